import { kindOf } from '../../../core/piece/kinds/kinds.ts';
import type { Target } from '../../../core/piece/target.ts';

/** Share of the height at which a rack board holds a piece that its hole does not stop. */
const HELD_AT = 0.6;

/** Height at which a rack board stands round the piece (mm, at the share `scale` of the wet size): where it is as wide as the hole. */
export function holeHeight(target: Target, diameter: number, scale: number): number {
  const { outer, height } = kindOf(target).standing(target);
  const wet = diameter / scale / 2;
  for (let index = 1; index < outer.length; index += 1) {
    const [z0, , r0] = outer[index - 1] ?? [0, 0, 0];
    const [z1, , r1] = outer[index] ?? [0, 0, 0];
    if (r1 > r0 && wet >= r0 && wet <= r1) return scale * (z0 + ((wet - r0) / (r1 - r0)) * (z1 - z0));
  }
  return scale * HELD_AT * height;
}
