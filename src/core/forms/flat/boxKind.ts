import type { BoxForm } from '../../target/target.ts';
import { heightRow, sizesOf } from '../kind/formSize.ts';
import type { FormKindWork } from '../kind/kind.ts';
import { SIZE } from '../kind/ranged.ts';
import { flatBody } from './flatBody.ts';
import { flatWork } from './flat.ts';

/** Four flat sides. */
export const boxKind: FormKindWork<BoxForm> = {
  ...flatWork,
  body: flatBody,
  explain: () => [],
  words: { title: 'box', why: 'Four flat sides with mitred or butted corners.', piece: 'box' },
  traits: { markable: true, former: true, cornered: true, panels: true },
  seams: () => ({ kinds: ['bevel', 'butt'], how: 'The panels are cut one by one and meet in mitres.' }),
  ranges: ({ length, width, height }) => [
    ['length', length, SIZE],
    ['width', width, SIZE],
    ['height', height, SIZE],
  ],
  sizes: (form) =>
    sizesOf(form, [['length', 'Length', form.length], ['width', 'Width', form.width], heightRow(form.height)]),
  rough: ({ length, height }) => ({ rim: length, foot: length, height }),
  fresh: ({ rim, height }) => ({ kind: 'box', length: rim, width: rim * 0.7, height }),
};
