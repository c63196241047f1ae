import type { Mesh } from '../../geometry/mesh/mesh.ts';
import type { Point3 } from '../../geometry/point.ts';

/** One closed line of points round the middle, anticlockwise from above, each with its share of the way round, from 0. */
export interface Ring {
  readonly shares: readonly number[];
  readonly points: readonly Point3[];
}

/** Shares of a ring: even, about `count` of them, with the `kept` ones among them; always with 0. */
export function ringShares(count: number, kept: readonly number[]): number[] {
  const stops = [...new Set([0, ...kept])].sort((one, other) => one - other);
  return stops.flatMap((from, index) => {
    const to = stops[index + 1] ?? 1;
    const steps = Math.max(1, Math.round(count * (to - from)));
    return Array.from({ length: steps }, (_, step) => from + ((to - from) * step) / steps);
  });
}

function apart(one: Point3, other: Point3): number {
  return Math.hypot(one[0] - other[0], one[1] - other[1], one[2] - other[2]);
}

/** Triangles between two rings: the shorter of both diagonals is taken at each step. */
function zipped({
  inner,
  innerFrom,
  outer,
  outerFrom,
}: {
  readonly inner: Ring;
  readonly innerFrom: number;
  readonly outer: Ring;
  readonly outerFrom: number;
}): number[] {
  const triangles: number[] = [];
  const [inCount, outCount] = [inner.points.length, outer.points.length];
  const inAt = (index: number) => innerFrom + (index % inCount);
  const outAt = (index: number) => outerFrom + (index % outCount);
  const point = (ring: Ring, index: number) => ring.points[index % ring.points.length] as Point3;
  const share = (ring: Ring, index: number) => ring.shares[index] ?? 1;
  let [i, o] = [0, 0];
  while (i < inCount || o < outCount) {
    const outward =
      i === inCount ||
      (o < outCount && apart(point(outer, o + 1), point(inner, i)) <= apart(point(outer, o), point(inner, i + 1)));
    // Neither ring may be ahead of the other by more than one step.
    const ahead = outward
      ? share(outer, o) > share(inner, i + 1) && i < inCount
      : share(inner, i) > share(outer, o + 1) && o < outCount;
    if (outward !== ahead) {
      triangles.push(outAt(o), outAt(o + 1), inAt(i));
      o += 1;
    } else {
      triangles.push(outAt(o), inAt(i + 1), inAt(i));
      i += 1;
    }
  }
  return triangles;
}

/** A disc of rings round a middle point, from the inside out; its triangles are seen from above. */
export function ringMesh(middle: Point3, rings: readonly Ring[]): Mesh {
  const positions: number[] = [...middle];
  const triangles: number[] = [];
  let from = 1;
  rings.forEach((ring, index) => {
    ring.points.forEach((point) => positions.push(...point));
    const before = rings[index - 1];
    if (before)
      triangles.push(
        ...zipped({ inner: before, innerFrom: from - before.points.length, outer: ring, outerFrom: from }),
      );
    else ring.points.forEach((_, at) => triangles.push(from + at, from + ((at + 1) % ring.points.length), 0));
    from += ring.points.length;
  });
  return { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) };
}
