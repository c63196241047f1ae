import type { OvalForm } from '../../target/target.ts';
import { heightRow, sizesOf } from '../kind/formSize.ts';
import type { FormKindWork } from '../kind/kind.ts';
import { SIZE } from '../kind/ranged.ts';
import { loftBody } from './loftBody.ts';
import { loftWork } from './loft.ts';

/** Straight, on an ellipse. */
export const ovalKind: FormKindWork<OvalForm> = {
  ...loftWork,
  body: loftBody,
  words: { title: 'oval', why: 'A straight wall on an ellipse: one rectangle and an oval base.', piece: 'oval' },
  traits: { open: true, markable: true, former: true, seam: true },
  ranges: ({ length, width, height }) => [
    ['length', length, SIZE],
    ['width', width, SIZE],
    ['height', height, SIZE],
  ],
  sizes: (form) =>
    sizesOf(form, [['length', 'Length', form.length], ['width', 'Width', form.width], heightRow(form.height)]),
  rough: ({ length, height }) => ({ rim: length, foot: length, height }),
  fresh: ({ rim, height }) => ({ kind: 'oval', length: rim, width: rim * 0.7, height }),
};
