import { kindOf } from '../../forms/kinds.ts';
import type { Target } from '../../target/target.ts';
import type { Keep } from './scaled.ts';
import { solveFor, type Solution } from './solveFor.ts';

/** Brim capacity at fired size (ml). */
function capacityOf(target: Target): number {
  return (kindOf(target).standing(target).hollowVolume * (1 - target.clay.shrinkage) ** 3) / 1000;
}

/** Finds the piece that holds `wanted` ml to the brim, fired, keeping what `keep` says. */
export function solveCapacity(target: Target, wanted: number, keep: Keep): Solution {
  if (!(wanted > 0) || !Number.isFinite(wanted)) return { kind: 'unsolved', rule: 'must be more than 0 ml' };
  if (target.base.join === 'none') return { kind: 'unsolved', rule: 'a piece without a base holds nothing' };
  const reach = (ml: number, end: 'most' | 'least') =>
    `the piece can hold no ${end === 'most' ? 'more' : 'less'} than about ${Math.round(ml)} ml`;
  return solveFor(target, { measure: capacityOf, value: wanted, keep, reach });
}
