import { DEFAULT_STRIPS, STRIPS_LIMITS, type GoresForm } from '../../target/goresForm.ts';
import { heightRow, sizesOf, type SizeRow } from '../kind/formSize.ts';
import type { FormKindWork } from '../kind/kind.ts';
import { profileEdges, profileRanges, profileRough, profileRows } from '../kind/profile.ts';
import { SIZE } from '../kind/ranged.ts';
import { goreBody } from './goreBody.ts';
import { explainGores } from './goreSteps.ts';
import { develop, faults, standing } from './gores.ts';

/** How much wider a new piece is half-way up than between its ends: over its widest end, at most over its height. */
const NEW_BELLY = { wider: 0.35, most: 0.5 } as const;

/** The rim of a ball, from its foot and height (mm). */
function ballRim({ ball, foot, height }: Extract<GoresForm, { ball: number }>): number {
  const up = height - Math.sqrt(Math.max(0, ball ** 2 - foot ** 2)) / 2;
  return Math.sqrt(Math.max(0, ball ** 2 - 4 * up ** 2));
}

const strips = (form: GoresForm): SizeRow => ['strips', 'Strips', form.strips, 'count'];

/** Equal strips bent across, from foot to rim. */
export const goresKind: FormKindWork<GoresForm> = {
  words: {
    title: 'gores',
    why: 'A deep bowl or a round vase: equal strips from foot to rim, bent across.',
    piece: 'round vase',
    bending: 'Along their length and across, over a ball or a round former; paddle the edges in as they come round.',
  },
  traits: { round: true, open: true, seam: true, bulges: true },
  seams: () => ({ kinds: ['bevel', 'butt'], how: 'The strips are cut one by one and meet edge to edge.' }),
  ranges: (form) => [
    ['strips', form.strips, STRIPS_LIMITS, 'count'],
    ...('ball' in form
      ? ([
          ['ball', form.ball, SIZE],
          ['foot', form.foot, SIZE],
          ['height', form.height, SIZE],
        ] as const)
      : profileRanges(form.profile)),
  ],
  sizes: (form) =>
    sizesOf(form, [
      strips(form),
      ...('ball' in form
        ? ([['ball', 'Ball across', form.ball], ['foot', 'Foot across', form.foot], heightRow(form.height)] as const)
        : profileRows(form.profile)),
    ]),
  rough: (form) =>
    'ball' in form ? { rim: ballRim(form), foot: form.foot, height: form.height } : profileRough(form.profile),
  fresh: ({ rim, foot, height }) => {
    const wider = Math.min(NEW_BELLY.wider * Math.max(rim, foot), NEW_BELLY.most * height);
    const profile = [
      [0, foot],
      [height / 2, (rim + foot) / 2 + wider],
      [height, rim],
    ] as const;
    return { kind: 'gores', strips: DEFAULT_STRIPS, profile };
  },
  edges: (form) => ('ball' in form ? null : profileEdges(form.profile)),
  profile: (form) => ('ball' in form ? [] : form.profile),
  figures: (form, { panelWidest = 0, slant = 0, panelFoot = 0, panelRim = 0 }) => [
    { id: 'panelWidest', label: `Each of ${form.strips} strips, widest`, mm: panelWidest },
    { id: 'slant', label: 'Along its middle', mm: slant },
    { id: 'panelFoot', label: 'At the foot', mm: panelFoot },
    { id: 'panelRim', label: 'At the rim', mm: panelRim },
  ],
  standing,
  develop,
  faults,
  body: goreBody,
  explain: explainGores,
};
