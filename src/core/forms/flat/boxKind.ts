import type { BoxForm } from '../../target/target.ts';
import type { FormKindWork } from '../kind/kind.ts';
import { longForm } from '../kind/longForm.ts';
import { flatBody } from './flatBody.ts';
import { flatWork } from './flat.ts';

/** Four flat sides. */
export const boxKind: FormKindWork<BoxForm> = {
  ...flatWork,
  ...longForm,
  body: flatBody,
  explain: () => [],
  words: { title: 'box', why: 'Four flat sides with mitred or butted corners.', piece: 'box' },
  traits: { markable: true, former: true, cornered: true, panels: true },
  seams: () => ({ kinds: ['bevel', 'butt'], how: 'The panels are cut one by one and meet in mitres.' }),
  fresh: ({ rim, height }) => ({ kind: 'box', length: rim, width: rim * 0.7, height }),
};
