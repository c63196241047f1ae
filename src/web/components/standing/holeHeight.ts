import { firedLength } from '../../../core/units/shrinkage.ts';
import { kindOf } from '../../../core/forms/kinds.ts';
import { stopIn } from '../../../core/bench/fit/passage.ts';
import type { Target } from '../../../core/target/target.ts';

/** Share of the height at which a rack board holds a piece that its hole does not stop. */
const HELD_AT = 0.6;

/** Height at which a rack board stands round the piece (mm, at the share `scale` of the wet size): where the hole stops it. */
export function holeHeight(target: Target, diameter: number, scale: number): number {
  const { shrinkage } = target.clay;
  const stop = stopIn(target, diameter);
  const fired = stop?.z ?? HELD_AT * firedLength(kindOf(target).standing(target).height, shrinkage);
  return (scale * fired) / (1 - shrinkage);
}
