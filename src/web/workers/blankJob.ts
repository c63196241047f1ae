import type { BlankQuestion, BlankReply } from './blankWork.ts';
import { workerJob } from './workerJob.ts';

/** Computes blanks, reads moulds and prepares meshes, one at a time. */
export function blankJob() {
  return workerJob<BlankQuestion, BlankReply>({
    make: () => new Worker(new URL('./blank.worker.ts', import.meta.url), { type: 'module' }),
    ends: ({ kind }) => kind !== 'far' && kind !== 'early',
    broken: { kind: 'failed', rule: 'the work stopped: try again' },
  });
}
