import { layBlank } from '../../core/forms/mould/layBlank.ts';
import type { DrapedTarget } from '../../core/forms/mould/draped.ts';
import { lookAtMesh } from '../../core/forms/mould/importedMould.ts';
import { proposeDarts } from '../../core/forms/mould/proposeDarts.ts';
import { buffersOf, prepared, readReady, unpacked, type BlankQuestion, type BlankReply } from './blankWork.ts';

/** The worker's side: one request, its progress, one reply. */
const port = self as unknown as {
  onmessage: (event: MessageEvent<BlankQuestion>) => void;
  postMessage: (reply: BlankReply, handedOver?: Transferable[]) => void;
};
const answer = (reply: BlankReply) => port.postMessage(reply, buffersOf(reply));
/** A quick blank, to be drawn until the fine one is ready. */
function early(target: DrapedTarget): void {
  try {
    port.postMessage({ kind: 'early', blank: layBlank(target, 'quick') });
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
  }
}
port.onmessage = ({ data }) => {
  const step = (share: number) => port.postMessage({ kind: 'far', share });
  try {
    if (data.kind === 'look') return answer(lookAtMesh(data.name, data.bytes, data.taking));
    if (data.kind === 'read') return answer(readReady(data.name, data.bytes, data.taking));
    if (data.kind === 'prepare') return answer(prepared(data.mesh));
    const target = unpacked(data);
    if (data.early) early(target);
    if (data.kind === 'lay') answer({ kind: 'laid', blank: layBlank(target, 'fine', { step }) });
    else answer({ kind: 'proposed', proposal: proposeDarts(target, { step }) });
  } catch (error) {
    answer({ kind: 'failed', rule: error instanceof Error ? error.message : String(error) });
  }
};
