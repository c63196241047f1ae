import { planReach } from '../../parts/plan/plan.ts';
import { DEFAULT_BLANK_MARGIN, type MouldForm } from '../../target/mouldForm.ts';
import { planRows, sizesOf, type FormSize, type SizeRow } from '../kind/formSize.ts';
import type { FormKindWork } from '../kind/kind.ts';
import { drawnPlanFaults, planRanges, SIZE } from '../kind/ranged.ts';
import { drapedWork } from './drapedWork.ts';
import { wallPoints, withWallPoint } from './drawnWall.ts';

/** Points of a drawn wall as heights and widths of the mould's section. */
function wallSizes(form: MouldForm): FormSize[] {
  return wallPoints(form).flatMap(({ index, up, across }): FormSize[] => [
    {
      key: `profile.${index}.0`,
      label: `Wall ${index}, up`,
      value: up,
      unit: 'length',
      put: (next) => withWallPoint(form, index, { up: next }),
    },
    {
      key: `profile.${index}.1`,
      label: `Wall ${index}, across`,
      value: across,
      unit: 'length',
      put: (next) => withWallPoint(form, index, { across: next }),
    },
  ]);
}

/** A new mould is at least so far across (mm). */
const LEAST_ACROSS = 120;

/** A shallow oval tray over a hump, about as wide (mm). */
export function newMould(size: number): MouldForm {
  const across = Math.max(size, LEAST_ACROSS);
  const plan = (share: number) => ({ kind: 'ellipse', length: share * across, width: 0.7 * share * across }) as const;
  return {
    kind: 'mould',
    rim: plan(1),
    foot: plan(0.75),
    depth: 0.12 * across,
    wall: 'curved',
    side: 'hump',
    margin: DEFAULT_BLANK_MARGIN,
  };
}

/** What both kinds of mould add to the slab. */
export function slabRows({ margin, flange, cloth }: Pick<MouldForm, 'margin' | 'flange' | 'cloth'>): SizeRow[] {
  return [
    ['margin', 'Margin to trim', margin],
    ['flange', 'Flange left on, wet', flange ?? 0],
    ['cloth', 'Cloth between, thick', cloth ?? 0],
  ];
}

/** Over or in a mould that is drawn here. */
export const mouldKind: FormKindWork<MouldForm> = {
  ...drapedWork,
  words: { title: 'over or in a mould', why: 'Trays and bowls from one blank: a hump or a hollow.', piece: 'tray' },
  traits: { ofTool: true },
  ranges: ({ rim, foot, depth }) => [
    ...planRanges('rim', rim),
    ...(foot ? planRanges('foot', foot) : []),
    ['depth', depth, SIZE],
  ],
  shapeFaults: ({ rim, foot }) => [...drawnPlanFaults('form.rim', rim), ...drawnPlanFaults('form.foot', foot)],
  sizes: (form) => [
    ...sizesOf(form, [
      ...planRows('rim', form.rim),
      ...(form.foot ? planRows('foot', form.foot) : []),
      ['depth', 'Depth', form.depth],
      ...slabRows(form),
    ]),
    ...wallSizes(form),
  ],
  rough: ({ rim, foot, depth }) => ({ rim: planReach(rim), foot: planReach(foot ?? rim), height: depth }),
  fresh: ({ rim }) => newMould(rim),
  profile: (form) => {
    const points = wallPoints(form).map(({ up, across }) => [up, across] as const);
    return points.length > 0 ? [[0, 0], ...points, [form.depth, planReach(form.rim)]] : [];
  },
};
