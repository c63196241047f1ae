import { meshOf } from '../../core/forms/mould/draped.ts';
import type { Target } from '../../core/target/target.ts';
import { blankJob } from './blankJob.ts';
import { listsOf, takeReady } from './blankWork.ts';

/**
 * Lets the worker compute what is slow for an imported mould from the server or a file, so that the page is not blocked.
 * Where that fails, the page computes it at first use.
 */
export async function prepareMould({ form }: Target): Promise<void> {
  if (form.kind !== 'mesh' || listsOf(form)) return;
  const reply = await blankJob().ask({ kind: 'prepare', mesh: meshOf(form) });
  if (reply?.kind === 'ready') takeReady(form, reply.ready);
}
