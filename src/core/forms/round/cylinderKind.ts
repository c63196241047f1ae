import type { CylinderForm } from '../../target/target.ts';
import { heightRow, sizesOf } from '../kind/formSize.ts';
import type { FormKindWork } from '../kind/kind.ts';
import { SIZE } from '../kind/ranged.ts';
import { straightWork } from './straight.ts';

/** Straight and round, by its size. */
export const cylinderKind: FormKindWork<CylinderForm> = {
  ...straightWork,
  words: {
    title: 'straight, round',
    why: 'A tumbler, jar or sleeve: one rectangle and a disc.',
    piece: 'tumbler',
  },
  traits: { round: true, open: true, belly: true, markable: true, quick: true, former: true, seam: true },
  ranges: ({ diameter, height }) => [
    ['diameter', diameter, SIZE],
    ['height', height, SIZE],
  ],
  sizes: (form) => sizesOf(form, [['diameter', 'Across', form.diameter], heightRow(form.height)]),
  rough: ({ diameter, height }) => ({ rim: diameter, foot: diameter, height }),
  fresh: ({ rim, height }) => ({ kind: 'cylinder', diameter: rim, height }),
};
