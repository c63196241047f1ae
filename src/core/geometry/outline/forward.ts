import type { Point } from '../point.ts';

/** Whether a line runs backward anywhere, against the mean direction of two points in a row. */
function runsBack(points: readonly Point[], tangents: readonly Point[]): boolean {
  for (let at = 1; at < points.length; at += 1) {
    const [from, to] = [points[at - 1] as Point, points[at] as Point];
    const [before, after] = [tangents[at - 1] as Point, tangents[at] as Point];
    if ((to[0] - from[0]) * (before[0] + after[0]) + (to[1] - from[1]) * (before[1] + after[1]) < 0) return true;
  }
  return false;
}

/**
 * An offset line whose radius is less than the offset runs back on itself. Points that run backward are replaced by their
 * mean, and the ends kept, so that the line only runs forward.
 *
 * @param tangents the line's direction at each of its points
 */
export function forward(points: readonly Point[], tangents: readonly Point[]): Point[] {
  if (!runsBack(points, tangents)) return [...points];
  const pools: { from: number; x: number; y: number }[] = [];
  points.forEach(([px, py], index) => {
    pools.push({ from: index, x: px, y: py });
    while (pools.length > 1) {
      const [one, next] = [pools.at(-2), pools.at(-1)] as [(typeof pools)[number], (typeof pools)[number]];
      const [tx, ty] = tangents[next.from] as Point;
      const [ux, uy] = tangents[next.from - 1] as Point;
      if ((next.x - one.x) * (tx + ux) + (next.y - one.y) * (ty + uy) >= 0) break;
      const share = (index - next.from + 1) / (index - one.from + 1);
      const pinned = one.from === 0 ? points[0] : index === points.length - 1 ? points[index] : undefined;
      const [x, y] = pinned ?? [one.x + share * (next.x - one.x), one.y + share * (next.y - one.y)];
      pools.splice(-2, 2, { from: one.from, x, y });
    }
  });
  const found: Point[] = [];
  pools.forEach(({ from, x, y }, pool) => {
    const to = pools[pool + 1]?.from ?? points.length;
    for (let index = from; index < to; index += 1) found.push(to - from === 1 ? (points[index] as Point) : [x, y]);
  });
  return found;
}
