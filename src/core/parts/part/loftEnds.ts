import type { Station } from '../../geometry/outline/stations.ts';
import type { Point } from '../../geometry/point.ts';

/** A line of points and their stations. */
export interface Run {
  readonly points: readonly Point[];
  readonly stations: readonly Station[];
}

/** An end of the panel: its ruling, the direction along the level edge out of the panel (unit), and how far it is moved out. */
export interface End {
  readonly ruling: readonly [foot: Point, rim: Point];
  readonly out: Point;
  readonly by: number;
}

/** How far a point lies beyond an end's ruling, square to it (mm). */
function beyond({ ruling: [foot, rim], out }: End, [x, y]: Point): number {
  const [u, v] = [rim[0] - foot[0], rim[1] - foot[1]];
  const long = Math.hypot(u, v);
  const across = (out[0] * v - out[1] * u) / long;
  return (Math.sign(across) * ((x - foot[0]) * v - (y - foot[1]) * u)) / long;
}

/** Lengths along a level edge for each mm square to an end's ruling. */
export function perMm({ ruling: [foot, rim], out }: Omit<End, 'by'>): number {
  const [u, v] = [rim[0] - foot[0], rim[1] - foot[1]];
  return Math.hypot(u, v) / Math.abs(out[0] * v - out[1] * u);
}

/** A line whose last point is moved out along its own end, or cut off within it: parallel to the end's ruling. */
export function ended({ points, stations }: Run, end: End): Run {
  const { by, out } = end;
  if (by === 0) return { points, stations };
  const last = points.at(-1) as Point;
  if (by > 0) {
    const step = by * perMm(end);
    const at: Point = [last[0] + out[0] * step, last[1] + out[1] * step];
    // Two stations of one normal: the strip that is added is straight.
    return { points: [...points, at], stations: [...stations, stations.at(-1) as Station] };
  }
  let keep = points.length - 1;
  while (keep > 0 && beyond(end, points[keep] as Point) > by) keep -= 1;
  const [from, to] = [points[keep] as Point, points[keep + 1] ?? last];
  const [a, b] = [beyond(end, from), beyond(end, to)];
  const f = b > a ? Math.max(0, Math.min(1, (by - a) / (b - a))) : 0;
  const at: Point = [from[0] + f * (to[0] - from[0]), from[1] + f * (to[1] - from[1])];
  return {
    points: [...points.slice(0, keep + 1), at],
    stations: [...stations.slice(0, keep + 1), stations[Math.min(keep + 1, stations.length - 1)] as Station],
  };
}

/** A run in the other direction. */
export const reversed = ({ points, stations }: Run): Run => ({
  points: [...points].reverse(),
  stations: [...stations].reverse(),
});
