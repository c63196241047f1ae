import { ANGLE_TOLERANCE } from '../../numbers.ts';
import type { Outline, Vertex } from './outline.ts';
import type { Point } from '../point.ts';

/** The line of an edge: a point on it and its direction. */
interface Line {
  readonly at: Point;
  readonly along: Point;
}

/**
 * A convex polygon with each edge moved inward by its own distance (mm; negative: outward).
 *
 * @param corners counter-clockwise
 * @param insets one for each edge, the first from corner 0 to corner 1
 */
export function insetPolygon(corners: readonly Point[], insets: readonly number[]): Outline {
  const count = corners.length;
  const lines: Line[] = [];
  for (let index = 0; index < count; index += 1) {
    const [x, y] = corners[index] as Point;
    const [toX, toY] = corners[(index + 1) % count] as Point;
    const length = Math.sqrt((toX - x) ** 2 + (toY - y) ** 2);
    const along = [(toX - x) / length, (toY - y) / length] as const;
    const inset = insets[index] ?? 0;
    lines.push({ at: [x - along[1] * inset, y + along[0] * inset], along });
  }
  const outline: Vertex[] = [];
  for (let index = 0; index < count; index += 1) {
    const { at, along } = lines[index] as Line;
    const before = lines[(index + count - 1) % count] as Line;
    const cross = before.along[0] * along[1] - before.along[1] * along[0];
    const reach = ((at[0] - before.at[0]) * along[1] - (at[1] - before.at[1]) * along[0]) / cross;
    outline.push(
      Math.abs(cross) < ANGLE_TOLERANCE
        ? [at[0], at[1], 0]
        : [before.at[0] + reach * before.along[0], before.at[1] + reach * before.along[1], 0],
    );
  }
  return outline;
}
