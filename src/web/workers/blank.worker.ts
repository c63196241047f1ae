import { layBlank } from '../../core/mould/blank.ts';
import { readMouldMesh } from '../../core/mould/importedMould.ts';
import { proposeDarts } from '../../core/mould/proposeDarts.ts';
import { unpacked, type BlankQuestion, type BlankReply } from './blankWork.ts';

/** The worker's side: one question, its progress, one answer. */
const port = self as unknown as {
  onmessage: (event: MessageEvent<BlankQuestion>) => void;
  postMessage: (reply: BlankReply) => void;
};
port.onmessage = ({ data }) => {
  const step = (share: number) => port.postMessage({ kind: 'far', share });
  try {
    if (data.kind === 'read') return port.postMessage({ kind: 'read', reading: readMouldMesh(data.name, data.bytes) });
    const target = unpacked(data.target, data.mesh);
    if (data.kind === 'lay') port.postMessage({ kind: 'laid', blank: layBlank(target, 'fine', { step }) });
    else port.postMessage({ kind: 'proposed', proposal: proposeDarts(target, { step }) });
  } catch (error) {
    port.postMessage({ kind: 'failed', rule: error instanceof Error ? error.message : String(error) });
  }
};
