import { barFigures, type ShrinkBar } from '../clay/bars.ts';
import { bounds, type Vertex } from '../../geometry/outline/outline.ts';
import { hull } from '../../geometry/outline/hull.ts';
import { standingLevels } from '../../bench/fit/standingLevels.ts';
import type { Target } from '../../target/target.ts';
import type { StandingKind } from './firingLoad.ts';
import type { FiringKind } from './keptFiring.ts';

/**
 * How much of its wet size a piece has as it goes into the kiln: dry for a bisque or single firing, bisque for a glaze firing, by
 * the clay's bars. Where none was measured there it is taken for wet, the largest that it ever is.
 */
export function sizeInKiln(kind: FiringKind, bars: readonly ShrinkBar[]): number {
  const { dry, bisque } = barFigures(bars).total;
  return 1 - ((kind === 'glaze' ? (bisque ?? dry) : dry)?.mean ?? 0);
}

/** A piece as it stands in the kiln: the hull of all of it seen from above, about the middle of its box, and its height (mm). */
export function standingKind(target: Target, share: number): StandingKind {
  const { levels, height } = standingLevels(target);
  const scale = share / (1 - target.clay.shrinkage);
  const drawn = hull(levels.flatMap(({ points }) => points)).map(([x, y]): Vertex => [scale * x, scale * y, 0]);
  const box = bounds(drawn);
  const [mx, my] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  return { outline: drawn.map(([x, y, bulge]): Vertex => [x - mx, y - my, bulge]), height: scale * height };
}
