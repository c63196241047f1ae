import { nest } from '../core/geometry/nest/nest.ts';
import { seeded } from '../core/seeded.ts';
import type { NestTask } from './nestApart.ts';

/** One search in a process of its own: a task comes in, the best layout goes out, and the process ends. */
process.once('message', ({ job, until, seed }: NestTask) => {
  const nested = nest(job, { random: seeded(seed), going: () => Date.now() < until });
  process.send?.(nested, () => process.disconnect());
});
