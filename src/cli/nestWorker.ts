import { nest } from '../core/nest/nest.ts';
import type { NestTask } from './nestApart.ts';

/** mulberry32: a small, seeded source of numbers from 0 to 1. */
function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** One search in a process of its own: a task comes in, the best layout goes out, and the process ends. */
process.once('message', ({ job, until, seed }: NestTask) => {
  const nested = nest(job, { random: seeded(seed), going: () => Date.now() < until });
  process.send?.(nested, () => process.disconnect());
});
