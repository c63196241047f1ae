import type { TaperForm } from '../../target/target.ts';
import { heightRow, sizesOf } from '../kind/formSize.ts';
import { taperedRough, type FormKindWork } from '../kind/kind.ts';
import { SIZE } from '../kind/ranged.ts';
import { coneWork } from './cones.ts';

/** One cone. */
export const taperKind: FormKindWork<TaperForm> = {
  ...coneWork,
  words: { title: 'tapered', why: 'A cup that flares or closes: an arc and a disc.', piece: 'cup' },
  traits: {
    round: true,
    open: true,
    belly: true,
    markable: true,
    quick: true,
    former: true,
    rimCut: true,
    seam: true,
  },
  ranges: ({ rim, foot, height }) => [
    ['rim', rim, SIZE],
    ['foot', foot, SIZE],
    ['height', height, SIZE],
  ],
  sizes: (form) =>
    sizesOf(form, [['rim', 'Rim across', form.rim], ['foot', 'Foot across', form.foot], heightRow(form.height)]),
  rough: ({ rim, foot, height }) => ({ rim, foot, height }),
  fresh: (rough) => ({ kind: 'taper', ...taperedRough(rough), height: rough.height }),
  edges: () => ({ rim: 'rim', foot: 'foot' }),
};
