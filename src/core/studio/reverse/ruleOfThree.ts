import { kindOf } from '../../forms/kinds.ts';
import type { Target } from '../../target/target.ts';

/** The bench rule beside the true length at one edge, wet mm. */
export interface RuleOfThree {
  readonly edge: 'wrap' | 'rim' | 'foot';
  /** Outside diameter there. */
  readonly outside: number;
  /** Three times it. */
  readonly bench: number;
  /** The neutral girth. */
  readonly girth: number;
  /** How much the bench rule cuts too much (+) or too little (-). */
  readonly off: number;
}

/**
 * What "three times the diameter" gives for a round piece, and how far off it is. `3 Do = pi Dn` where the slab is
 * `Do (pi - 3) / (2 pi (1 - k))` thick: nearly true for a thick-walled cup. Empty for what is not round.
 */
export function ruleOfThree(target: Target): RuleOfThree[] {
  const { numbers } = kindOf(target).develop(target);
  const { wall, neutralFraction } = target.slab;
  const row = (edge: RuleOfThree['edge'], girth: number, outside: number): RuleOfThree => ({
    edge,
    outside,
    bench: 3 * outside,
    girth,
    off: 3 * outside - girth,
  });
  if (numbers.wrapLength !== undefined && numbers.outsideDiameter !== undefined) {
    return [row('wrap', numbers.wrapLength, numbers.outsideDiameter)];
  }
  if (target.form.kind !== 'taper' || numbers.girthRim === undefined || numbers.girthFoot === undefined) return [];
  const cosine = Math.cos(((numbers.halfAngle ?? 0) * Math.PI) / 180);
  const outside = (girth: number) => girth / Math.PI + (2 * (1 - neutralFraction) * wall) / cosine;
  return [
    row('rim', numbers.girthRim, outside(numbers.girthRim)),
    row('foot', numbers.girthFoot, outside(numbers.girthFoot)),
  ];
}
