import { layBlank } from '../../core/mould/blank.ts';
import { proposeDarts } from '../../core/mould/proposeDarts.ts';
import type { BlankQuestion, BlankReply } from './blankWork.ts';

/** The worker's side: one question, its progress, one answer. */
const port = self as unknown as {
  onmessage: (event: MessageEvent<BlankQuestion>) => void;
  postMessage: (reply: BlankReply) => void;
};
port.onmessage = ({ data: { kind, target } }) => {
  const step = (share: number) => port.postMessage({ kind: 'far', share });
  try {
    if (kind === 'lay') port.postMessage({ kind: 'laid', blank: layBlank(target, 'fine', { step }) });
    else port.postMessage({ kind: 'proposed', proposal: proposeDarts(target, { step }) });
  } catch (error) {
    port.postMessage({ kind: 'failed', rule: error instanceof Error ? error.message : String(error) });
  }
};
