import { meshOf } from '../../core/forms/mould/draped.ts';
import type { Target } from '../../core/target/target.ts';
import { blankJob } from './blankJob.ts';
import { listsOf, takeReady } from './blankWork.ts';

/**
 * Has the worker find out what takes long of an imported mould that came from the server or a file, so that the page does
 * not stop for it. Where that fails, the page finds it out itself when it is asked for.
 */
export async function prepareMould({ form }: Target): Promise<void> {
  if (form.kind !== 'mesh' || listsOf(form)) return;
  const reply = await blankJob().ask({ kind: 'prepare', mesh: meshOf(form) });
  if (reply?.kind === 'ready') takeReady(form, reply.ready);
}
