import { TINY } from '../../numbers.ts';
import type { Point } from '../point.ts';

/** A circle in the plane (mm). */
export interface Circle {
  readonly at: Point;
  readonly radius: number;
}

/** Points beyond a circle by this share of its radius still count as on it: rounding, far below a micrometre. */
const ON_CIRCLE = 1 + TINY;

const within = ({ at, radius }: Circle, [x, y]: Point): boolean =>
  Math.sqrt((x - at[0]) ** 2 + (y - at[1]) ** 2) <= radius * ON_CIRCLE;

function acrossTwo([x0, y0]: Point, [x1, y1]: Point): Circle {
  return { at: [(x0 + x1) / 2, (y0 + y1) / 2], radius: Math.hypot(x1 - x0, y1 - y0) / 2 };
}

/** The circle through three points; through the two furthest apart where they are in line. */
function throughThree(a: Point, b: Point, c: Point): Circle {
  const [bx, by, cx, cy] = [b[0] - a[0], b[1] - a[1], c[0] - a[0], c[1] - a[1]];
  const double = 2 * (bx * cy - by * cx);
  if (double === 0) {
    return [acrossTwo(a, b), acrossTwo(b, c), acrossTwo(a, c)].reduce((most, one) =>
      one.radius > most.radius ? one : most,
    );
  }
  const [bb, cc] = [bx * bx + by * by, cx * cx + cy * cy];
  const [x, y] = [(cy * bb - by * cc) / double, (bx * cc - cx * bb) / double];
  return { at: [a[0] + x, a[1] + y], radius: Math.hypot(x, y) };
}

/** Step between the points that are visited, as a share of their number: golden sections spread evenly. */
const GOLDEN = 0.618;

/** The points in a spread order: in the order of a hull, almost every point would widen the circle. */
function scattered(points: readonly Point[]): readonly Point[] {
  const count = points.length;
  const shared = (a: number, b: number): number => (b === 0 ? a : shared(b, a % b));
  let stride = Math.max(1, Math.floor(GOLDEN * count));
  while (shared(count, stride) > 1) stride += 1;
  return points.map((_, index) => points[(index * stride) % count] as Point);
}

/**
 * The least circle round some points (Welzl, in its plain form of three loops). A point that lies outside the circle so far
 * is on the border of the next one.
 *
 * @param cloud at least one point (mm)
 */
export function leastCircle(cloud: readonly Point[]): Circle {
  const points = scattered(cloud);
  let circle: Circle = { at: points[0] ?? [0, 0], radius: 0 };
  for (let one = 1; one < points.length; one += 1) {
    const a = points[one] as Point;
    if (within(circle, a)) continue;
    circle = { at: a, radius: 0 };
    for (let two = 0; two < one; two += 1) {
      const b = points[two] as Point;
      if (within(circle, b)) continue;
      circle = acrossTwo(a, b);
      for (let three = 0; three < two; three += 1) {
        const c = points[three] as Point;
        if (!within(circle, c)) circle = throughThree(a, b, c);
      }
    }
  }
  return circle;
}
