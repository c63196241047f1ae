import { wetLength } from '../units/shrinkage.ts';
import { hull, hullReach } from '../geometry/outline/hull.ts';
import { standingLevels } from '../bench/fit/standingLevels.ts';
import type { Target } from '../target/target.ts';

/** A piece as it stands somewhere, wet: how far its plan reaches towards a direction (radians) from its middle, and its height with pads and lid (mm). */
export interface StandingPlan {
  readonly reach: (phi: number) => number;
  readonly height: number;
}

/** What a piece takes of a shelf: all of it seen from above, with belly, handles and lid. */
export function standingPlan(target: Target): StandingPlan {
  const wet = (fired: number) => wetLength(fired, target.clay.shrinkage);
  const { levels, height } = standingLevels(target);
  const outline = hull(levels.flatMap(({ points }) => points));
  return { reach: hullReach(outline.map(([x, y]) => [wet(x), wet(y)] as const)), height: wet(height) };
}
