import { newTarget } from '../src/core/target/target.ts';
import { textsOf, type ReadTarget } from '../src/server/workshop/work.ts';

/** A plain tumbler as the server keeps it. */
export function keptTarget(name: string): ReadTarget {
  return { name, ...textsOf(newTarget(name)), baseRevision: null };
}
