import { fork } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import type { Nested, NestJob } from '../core/geometry/nest/nestJob.ts';

/** What one search is given: the job, when it must be done (ms since the epoch), and where its randomness begins. */
export interface NestTask {
  readonly job: NestJob;
  readonly until: number;
  readonly seed: number;
}

/** Greatest number of parallel searches: each has its own randomness, and the best result counts. */
const MOST_SEARCHES = 8;

function searched(task: NestTask): Promise<Nested | null> {
  return new Promise((resolve, reject) => {
    const child = fork(fileURLToPath(new URL('./nestWorker.ts', import.meta.url)), { execArgv: ['--import', 'tsx'] });
    child.once('message', (reply) => resolve(reply as Nested | null));
    child.once('error', reject);
    child.once('exit', (code) => reject(new Error(`the search ended with code ${code}`)));
    child.send(task);
  });
}

/** Nests in several processes for some seconds and returns the shortest layout. */
export async function nestApart(job: NestJob, seconds: number): Promise<Nested | null> {
  const searches = Math.max(1, Math.min(MOST_SEARCHES, availableParallelism()));
  const until = Date.now() + 1000 * seconds;
  const found = await Promise.all(
    Array.from({ length: searches }, (_, seed) => searched({ job, until, seed: seed + 1 })),
  );
  return found.reduce((best, one) => (one && (!best || one.used < best.used) ? one : best), null);
}
