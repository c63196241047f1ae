import type { Vertex } from './outline.ts';
import type { Point } from '../point.ts';
import { ROUNDING } from '../../numbers.ts';

/** Most that an arc may deviate from the points that it replaces (mm): well within what a knife follows. */
export const ARC_TOLERANCE = 0.12;

/** Most points that one arc replaces. */
const MOST_POINTS = 160;

/** The bulge of the arc from a to b through m; 0 where they lie on one line. */
function bulgeThrough(a: Point, m: Point, b: Point): number {
  const side = (b[0] - a[0]) * (m[1] - a[1]) - (b[1] - a[1]) * (m[0] - a[0]);
  const [u, v] = [
    [a[0] - m[0], a[1] - m[1]],
    [b[0] - m[0], b[1] - m[1]],
  ] as const;
  const open = Math.PI - Math.abs(Math.atan2(u[0] * v[1] - u[1] * v[0], u[0] * v[0] + u[1] * v[1]));
  return (side < 0 ? 1 : -1) * Math.tan(open / 2);
}

/** How far a point lies from the arc that a bulge makes of the line from a to b (mm), taken on its whole circle. */
function offArc({
  a,
  b,
  bulge,
  p,
}: {
  readonly a: Point;
  readonly b: Point;
  readonly bulge: number;
  readonly p: Point;
}): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const chord = Math.hypot(dx, dy);
  if (Math.abs(bulge) < ROUNDING) return Math.abs(dx * (p[1] - a[1]) - dy * (p[0] - a[0])) / chord;
  const radius = (chord * (1 + bulge * bulge)) / (4 * bulge);
  const height = radius * ((1 - bulge * bulge) / (1 + bulge * bulge));
  const centre = [(a[0] + b[0]) / 2 - (dy / chord) * height, (a[1] + b[1]) / 2 + (dx / chord) * height] as const;
  return Math.abs(Math.hypot(p[0] - centre[0], p[1] - centre[1]) - Math.abs(radius));
}

function arcFits(
  points: readonly Point[],
  { from, to, tolerance }: { readonly from: number; readonly to: number; readonly tolerance: number },
): number | null {
  const [a, b] = [points[from], points[to]] as [Point, Point];
  if (to - from === 1) return 0;
  const bulge = bulgeThrough(a, points[(from + to) >> 1] as Point, b);
  if (Math.abs(bulge) > 0.6) return null;
  for (let at = from + 1; at < to; at += 1)
    if (offArc({ a, b, bulge, p: points[at] as Point }) > tolerance) return null;
  return bulge;
}

/** An open line of points as few arcs and straight pieces, within a tolerance (mm); the last point is left out, so that lines can be joined. */
export function arcLine(points: readonly Point[], tolerance = ARC_TOLERANCE): Vertex[] {
  const vertices: Vertex[] = [];
  let from = 0;
  while (from < points.length - 1) {
    let [to, bulge] = [from + 1, 0];
    for (let step = 2; from + step < points.length && step <= MOST_POINTS; step = Math.ceil(step * 1.25)) {
      const fitted = arcFits(points, { from, to: from + step, tolerance });
      if (fitted === null) break;
      [to, bulge] = [from + step, fitted];
    }
    const [x, y] = points[from] as Point;
    vertices.push([x, y, bulge]);
    from = to;
  }
  return vertices;
}
