import type { OvalForm } from '../../target/target.ts';
import type { FormKindWork } from '../kind/kind.ts';
import { longForm } from '../kind/longForm.ts';
import { loftBody } from './loftBody.ts';
import { loftWork } from './loft.ts';

/** Straight, on an ellipse. */
export const ovalKind: FormKindWork<OvalForm> = {
  ...loftWork,
  ...longForm,
  body: loftBody,
  words: { title: 'oval', why: 'A straight wall on an ellipse: one rectangle and an oval base.', piece: 'oval' },
  traits: { open: true, markable: true, former: true, seam: true },
  fresh: ({ rim, height }) => ({ kind: 'oval', length: rim, width: rim * 0.7, height }),
};
