import type { FormerForm } from '../../target/target.ts';
import { sizesOf } from '../kind/formSize.ts';
import type { FormKindWork } from '../kind/kind.ts';
import { CORNER, SIZE } from '../kind/ranged.ts';
import { straightWork } from './straight.ts';

/** Straight and round, as a pipe or can that is owned makes it. */
export const formerKind: FormKindWork<FormerForm> = {
  ...straightWork,
  words: { title: 'round a former', why: 'What a pipe or can that you own gives.', piece: 'pipe cup' },
  traits: { round: true, open: true, belly: true, markable: true, quick: true, seam: true },
  ranges: ({ diameter, sleeve, height }) => [
    ['diameter', diameter, SIZE],
    ['sleeve', sleeve, CORNER],
    ['height', height, SIZE],
  ],
  sizes: (form) =>
    sizesOf(form, [
      ['diameter', 'Former across', form.diameter],
      ['sleeve', 'Sleeve, thick', form.sleeve],
      ['height', 'Height, wet', form.height],
    ]),
  rough: ({ diameter, height }) => ({ rim: diameter, foot: diameter, height }),
  fresh: ({ rim, height }) => ({ kind: 'former', diameter: rim, sleeve: 1, height }),
};
