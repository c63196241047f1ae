import { LENGTH_TOLERANCE, once } from '../../numbers.ts';
import { hull } from '../../geometry/outline/hull.ts';
import { leastCircle } from '../../geometry/outline/leastCircle.ts';
import type { PlanPoint } from '../../geometry/outline/support.ts';
import { standingLevels, type StandingThing } from './standingLevels.ts';
import type { Target } from '../../target/target.ts';

/** The least round hole that takes all of a piece up to a height (fired mm), and what is widest there. */
export interface Passage {
  readonly z: number;
  readonly across: number;
  readonly of: StandingThing;
  /** The outline of everything so far, seen from above. */
  readonly outline: readonly PlanPoint[];
}

/** The hole that a piece needs as it is lowered, height by height from its foot. */
export const passagesOf = once((target: Target): readonly Passage[] => {
  const passages: Passage[] = [];
  let outline: readonly PlanPoint[] = [];
  for (const { z, of, points } of standingLevels(target).levels) {
    outline = hull([...outline, ...points]);
    passages.push({ z, across: 2 * leastCircle(outline).radius, of, outline });
  }
  return passages;
});

/** The least round hole that all of a finished piece drops through: handle, belly and lid with it (fired mm). */
export function widestAcross(target: Target): number {
  return passagesOf(target).at(-1)?.across ?? 0;
}

/** Where a piece that is let down into a round hole (mm) stops: the height over its foot, and what stops it; null where nothing does. */
export function stopIn(target: Target, hole: number): { readonly z: number; readonly by: StandingThing } | null {
  const passages = passagesOf(target);
  const index = passages.findIndex(({ across }) => across > hole + LENGTH_TOLERANCE);
  const stop = passages[index];
  if (!stop) return null;
  const before = passages[index - 1];
  if (!before || stop.of !== 'wall') return { z: stop.z, by: stop.of };
  const { wallAt } = standingLevels(target);
  let [low, high] = [before.z, stop.z];
  for (let step = 0; step < 30; step += 1) {
    const z = (low + high) / 2;
    if (2 * leastCircle(hull([...before.outline, ...wallAt(z)])).radius > hole) high = z;
    else low = z;
  }
  return { z: low, by: 'wall' };
}
