import { wetLength } from '../clay/shrinkage.ts';
import type { Target } from './target.ts';

/** A size of the target as a wet length: fired sizes are divided by `1 - s`, wet ones are kept. */
export function toWet(size: number, target: Pick<Target, 'size' | 'clay'>): number {
  return target.size.state === 'fired' ? wetLength(size, target.clay.shrinkage) : size;
}
