import { meshOf } from '../../core/mould/draped.ts';
import type { Target } from '../../core/piece/target.ts';
import { listsOf, takeReady, type BlankQuestion, type BlankReply } from './blankWork.ts';

/**
 * Has the worker find out what takes long of an imported mould that came from the server or a file, so that the page does
 * not stop for it. Where that fails, the page finds it out itself when it is asked for.
 */
export async function prepareMould({ form }: Target): Promise<void> {
  if (form.kind !== 'mesh' || listsOf(form)) return;
  const worker = new Worker(new URL('./blank.worker.ts', import.meta.url), { type: 'module' });
  const reply = await new Promise<BlankReply | null>((resolve) => {
    worker.onmessage = ({ data }: MessageEvent<BlankReply>) => resolve(data);
    worker.onerror = () => resolve(null);
    worker.postMessage({ kind: 'prepare', mesh: meshOf(form) } satisfies BlankQuestion);
  });
  worker.terminate();
  if (reply?.kind === 'ready') takeReady(form, reply.ready);
}
