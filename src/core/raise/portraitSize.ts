import { firedLength } from '../units/shrinkage.ts';
import { once, radians } from '../numbers.ts';
import { elevation, type Elevation } from '../piece/elevation.ts';
import { kindOf } from '../forms/kinds.ts';
import type { Target } from '../target/target.ts';

/** Direction from which portraits are seen: round from the first seam (degrees). */
export const ROUND = -62;

/** Angle from which portraits are seen (degrees above level). */
export const UP = 17;

/** About how much room a portrait takes (mm), without raising the piece: for laying out many of them. */
export const portraitSize = once((target: Target): { readonly width: number; readonly height: number } => {
  const [a, e] = [radians(ROUND), radians(UP)];
  const side = elevation(target, 'fired');
  const { traits, standing } = kindOf(target);
  const { across } = standing(target);
  const [x, y] = across.map((wet) => firedLength(wet, target.clay.shrinkage)) as [number, number];
  const seen = (sin: number, cos: number): number => {
    const [along, aside] = [Math.abs(cos) * x, Math.abs(sin) * y];
    return traits.cornered ? along + aside : Math.hypot(along, aside);
  };
  const added = Math.max(0, side.width - x) * Math.abs(Math.sin(a));
  return {
    width: seen(Math.cos(a), Math.sin(a)) + added,
    height: Math.cos(e) * clayHeight(side) + Math.sin(e) * seen(Math.sin(a), Math.cos(a)),
  };
});

/** Height of the clay in a side view: what is drawn beside it is left out (mm). */
function clayHeight({ outer, added }: Elevation): number {
  return [outer, ...added].flat().reduce((most, [, y]) => Math.max(most, y), 0);
}
