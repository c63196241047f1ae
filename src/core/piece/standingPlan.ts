import { wetLength } from '../clay/shrinkage.ts';
import { radians } from '../numbers.ts';
import { isDraped } from '../mould/draped.ts';
import { additionsOf } from './additions.ts';
import { kindOf } from './kinds/kinds.ts';
import type { Target } from './target.ts';

/** A piece as it stands somewhere, wet: how far its plan reaches towards a direction (radians) from its middle, and its height with pads and lid (mm). */
export interface StandingPlan {
  readonly reach: (phi: number) => number;
  readonly height: number;
}

/** What a piece takes of a shelf: the widest of its levels, its handles and its lid. */
export function standingPlan(target: Target): StandingPlan {
  const { outer, section, height } = kindOf(target).standing(target);
  const { handle, feet, lid, clay, slab } = target;
  const made = additionsOf(target);
  // A piece from a mould is nowhere wider than at its rim.
  const heights = isDraped(target) ? outer.slice(-1) : outer;
  const levels = [...new Set(heights.map(([z]) => z))].map((z) => section(z).outer);
  if (made.lid) levels.push(made.lid.plate);
  const wet = (fired: number) => wetLength(fired, clay.shrinkage);
  const corners = (made.handle?.angles ?? []).flatMap((angle) => {
    const far = wet(Math.max(...(made.handle?.curve.outer ?? []).map(([reach]) => reach)));
    const half = wet(Math.max(handle?.top ?? 0, handle?.bottom ?? 0)) / 2;
    const [cos, sin] = [Math.cos(radians(angle)), Math.sin(radians(angle))];
    return [half, -half].map((side) => [far * cos - side * sin, far * sin + side * cos] as const);
  });
  return {
    reach: (phi) => {
      const [cos, sin] = [Math.cos(phi), Math.sin(phi)];
      const body = levels.reduce((most, level) => Math.max(most, level.h(phi)), -Infinity);
      return corners.reduce((most, [x, y]) => Math.max(most, x * cos + y * sin), body);
    },
    height: height + (feet?.thickness ?? 0) + (lid ? slab.base : 0),
  };
}
