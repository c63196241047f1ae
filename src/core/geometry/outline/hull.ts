import { TAU } from '../../numbers.ts';
import type { Point } from '../point.ts';

/** Which way three points turn: positive to the left. */
function turn([x0, y0]: Point, [x1, y1]: Point, [x2, y2]: Point): number {
  return (x1 - x0) * (y2 - y0) - (y1 - y0) * (x2 - x0);
}

/** One side of the hull of sorted points. */
function chain(points: readonly Point[]): Point[] {
  const side: Point[] = [];
  for (const point of points) {
    while (side.length > 1 && turn(side.at(-2) as Point, side.at(-1) as Point, point) <= 0) side.pop();
    side.push(point);
  }
  return side.slice(0, -1);
}

/** The directions of the outermost points that are found first. */
const FIRST = [
  [1, 0],
  [1, 1],
  [0, 1],
  [-1, 1],
  [-1, 0],
  [-1, -1],
  [0, -1],
  [1, -1],
] as const;

/** Fewer points than this are sorted without that. */
const MANY = 200;

/** The points outside the octagon of the outermost ones: those inside cannot be corners. */
function outerOnes(points: readonly Point[]): readonly Point[] {
  if (points.length < MANY) return points;
  const ends = FIRST.map(([x, y]) => {
    let [best, most] = [points[0] as Point, -Infinity];
    for (const point of points) {
      const far = point[0] * x + point[1] * y;
      if (far > most) [best, most] = [point, far];
    }
    return best;
  });
  const sides = ends
    .map((end, index) => [end, ends[(index + 1) % ends.length] as Point] as const)
    .filter(([a, b]) => a !== b);
  return points.filter((point) => !sides.every(([a, b]) => turn(a, b, point) > 0));
}

/** How far a polygon of corners, convex and counter-clockwise, reaches towards a direction (radians) from the origin. */
export function hullReach(corners: readonly Point[]): (phi: number) => number {
  // The normals of the sides ascend: the corner before the first side whose normal is beyond the direction reaches farthest.
  const sides = corners
    .map(([x, y], index) => {
      const [u, v] = corners[(index + 1) % corners.length] as Point;
      return { looks: wrapped(Math.atan2(x - u, v - y)), x, y };
    })
    .sort((one, other) => one.looks - other.looks);
  const looks = sides.map((side) => side.looks);
  return (phi) => {
    if (sides.length === 0) return -Infinity;
    const wanted = wrapped(phi);
    let [low, high] = [0, looks.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((looks[middle] as number) < wanted) low = middle + 1;
      else high = middle;
    }
    const index = low % sides.length;
    const { x, y } = sides[index] as { x: number; y: number };
    return x * Math.cos(phi) + y * Math.sin(phi);
  };
}

/** A direction brought into [0, tau). */
function wrapped(phi: number): number {
  return phi - TAU * Math.floor(phi / TAU);
}

/** The corners of the convex hull of some points, counter-clockwise (the monotone chain). */
export function hull(points: readonly Point[]): Point[] {
  const sorted = [...outerOnes(points)].sort(([x0, y0], [x1, y1]) => x0 - x1 || y0 - y1);
  if (sorted.length < 3) return sorted;
  return [...chain(sorted), ...chain(sorted.reverse())];
}
