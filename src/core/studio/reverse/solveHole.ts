import { widestAcross } from '../../bench/fit/passage.ts';
import type { Target } from '../../target/target.ts';
import type { Keep } from './scaled.ts';
import { solveFor, type Solution } from './solveFor.ts';

/** Finds the piece that drops into a round hole (mm) with room all round to spare in its diameter, keeping what `keep` says. */
export function solveHole(target: Target, hole: { diameter: number; clearance: number }, keep: Keep): Solution {
  const value = hole.diameter - hole.clearance;
  if (!(value > 0)) return { kind: 'unsolved', rule: 'the hole must be larger than the room it leaves' };
  const reach = (mm: number, end: 'most' | 'least') =>
    `the piece gets no ${end === 'most' ? 'wider' : 'narrower'} than about ${mm.toFixed(1)} mm`;
  return solveFor(target, { measure: widestAcross, value, keep, reach });
}
