import { wetLength } from '../../units/shrinkage.ts';
import type { Target } from '../../target/target.ts';

/** A size of the target as a wet length: fired sizes are divided by `1 - s`, wet ones are kept. */
export function toWet(size: number, target: Pick<Target, 'size' | 'clay'>): number {
  return target.size.state === 'fired' ? wetLength(size, target.clay.shrinkage) : size;
}

/**
 * The height at which the foot's size is measured (wet mm): outside on the table, inside on the floor, which is what a spoon
 * meets.
 */
export function measuredFrom({ size, base, slab }: Pick<Target, 'size' | 'base' | 'slab'>): number {
  return size.face === 'inside' && base.join !== 'none' ? slab.base : 0;
}
