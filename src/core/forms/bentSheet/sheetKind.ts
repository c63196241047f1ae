import { bounds, type Outline } from '../../geometry/outline/outline.ts';
import type { Point } from '../../geometry/point.ts';
import type { SheetBend, SheetForm } from '../../target/sheetForm.ts';
import { planRows, sizesOf, type SizeRow } from '../kind/formSize.ts';
import type { FormKindWork } from '../kind/kind.ts';
import { drawnPlanFaults, planRanges, SIZE } from '../kind/ranged.ts';
import { sheetWork } from './sheetWork.ts';

/** The cylinder or the mould that a sheet is bent over. */
function bendRows(bend: SheetBend): SizeRow[] {
  const angle = ['bend.angle', 'Turned by, degrees', bend.angle, 'count'] as const;
  if ('diameter' in bend)
    return [
      ['bend.diameter', 'Bent over, across', bend.diameter],
      ['bend.angle', 'Its axis at, degrees', bend.angle, 'count'],
    ];
  const { rim, foot, depth } = bend.mould;
  return [
    ...planRows('bend.mould.rim', rim),
    ...(foot ? planRows('bend.mould.foot', foot) : []),
    ['bend.mould.depth', 'Mould, deep', depth],
    angle,
  ];
}

/** A leaf over a bottle, with two veins cut out of it (mm). */
function leafSheet(): SheetForm {
  const leaf = ([x, y]: Point, length: number, bulge: number): Outline => [
    [x, y - length / 2, bulge],
    [x, y + length / 2, bulge],
  ];
  return {
    kind: 'sheet',
    outline: leaf([0, 0], 170, 0.42),
    holes: [leaf([-14, 10], 44, 0.12), leaf([14, -6], 44, 0.12)],
    lines: [
      [
        [0, -70],
        [0, 70],
      ],
    ],
    bend: { diameter: 90, angle: 90 },
    feet: { count: 3, height: 6, diameter: 12 },
  };
}

const mouldOf = ({ bend }: SheetForm) => ('mould' in bend ? bend.mould : null);

/** Any outline, bent over a cylinder or laid on a mould. */
export const sheetKind: FormKindWork<SheetForm> = {
  ...sheetWork,
  explain: () => [],
  words: { title: 'a bent sheet', why: 'A leaf, or any outline with holes, bent over a bottle.', piece: 'leaf' },
  traits: { ofTool: true },
  ranges: (form) => {
    const mould = mouldOf(form);
    if (!mould) return [];
    return [
      ...planRanges('bend.mould.rim', mould.rim),
      ...(mould.foot ? planRanges('bend.mould.foot', mould.foot) : []),
      ['bend.mould.depth', mould.depth, SIZE],
    ];
  },
  shapeFaults: (form) => {
    const mould = mouldOf(form);
    if (!mould) return [];
    return [
      ...drawnPlanFaults('form.bend.mould.rim', mould.rim),
      ...drawnPlanFaults('form.bend.mould.foot', mould.foot),
    ];
  },
  sizes: (form) =>
    sizesOf(form, [
      ...bendRows(form.bend),
      ...(form.feet
        ? ([
            ['feet.height', 'Feet, at least long', form.feet.height],
            ['feet.diameter', 'Feet, across', form.feet.diameter],
          ] as const)
        : []),
    ]),
  rough: ({ outline }) => {
    const { minX, minY, maxX, maxY } = bounds(outline);
    return { rim: maxX - minX, foot: maxX - minX, height: maxY - minY };
  },
  fresh: leafSheet,
};
