import { ANGLE_TOLERANCE } from '../numbers.ts';
import type { Outline } from './outline.ts';

type Point = readonly [number, number];

/**
 * A convex polygon with each edge moved inward by its own distance (mm; negative: outward).
 *
 * @param corners counter-clockwise
 * @param insets one for each edge, the first from corner 0 to corner 1
 */
export function insetPolygon(corners: readonly Point[], insets: readonly number[]): Outline {
  const count = corners.length;
  const lines = corners.map(([x, y], index) => {
    const [toX, toY] = corners[(index + 1) % count] as Point;
    const length = Math.hypot(toX - x, toY - y);
    const along = [(toX - x) / length, (toY - y) / length] as const;
    const inset = insets[index] ?? 0;
    return { at: [x - along[1] * inset, y + along[0] * inset] as const, along };
  });
  return lines.map(({ at, along }, index) => {
    const before = lines[(index + count - 1) % count] as (typeof lines)[number];
    const cross = before.along[0] * along[1] - before.along[1] * along[0];
    if (Math.abs(cross) < ANGLE_TOLERANCE) return [at[0], at[1], 0];
    const reach = ((at[0] - before.at[0]) * along[1] - (at[1] - before.at[1]) * along[0]) / cross;
    return [before.at[0] + reach * before.along[0], before.at[1] + reach * before.along[1], 0];
  });
}
