import { bellyHeights, type BellyShape } from '../forms/round/bellied.ts';
import { bellyOf } from '../forms/round/belly.ts';
import type { Target } from '../target/target.ts';
import type { Body, RaisedPart, Ribbon } from '../forms/kind/body.ts';
import { plus, times } from './pose.ts';
import { raise } from './raise.ts';
import type { Point3 } from '../geometry/point.ts';

/** A piece with a belly stands straight at this share of its way; the rest pushes it out. */
const STANDS_AT = 0.85;

/** A point of the standing wall at the share `f` of its way out: it keeps its height and its share of the wall's thickness. */
function pushedPoint([x, y, z]: Point3, shape: BellyShape, f: number): Point3 {
  const radius = Math.hypot(x, y);
  const [inner, outer] = [shape.straight.innerAt(z), shape.straight.outerAt(z)];
  const [low, high] = [shape.innerAt(z), shape.outerAt(z)];
  const out = low + ((radius - inner) / (outer - inner)) * (high - low);
  const factor = 1 + (f * (out - radius)) / radius;
  return [factor * x, factor * y, z];
}

/** Where a line from foot to rim passes the heights of the belly, its ends among them, as shares of its length. */
function sharesOf(from: Point3, to: Point3, heights: readonly number[]): number[] {
  const rise = to[2] - from[2];
  return [0, ...heights.map((z) => (z - from[2]) / rise).filter((share) => share > 0 && share < 1), 1];
}

const along = (from: Point3, to: Point3, share: number): Point3 => plus(times(from, 1 - share), to, share);

/** A face of the wall in rings from the foot up, each pushed out. */
function pushedFace({ face, one, other }: Ribbon, shape: BellyShape, f: number): Ribbon[] {
  const heights = bellyHeights(shape);
  const up = (one[0]?.[2] ?? 0) < (other[0]?.[2] ?? 0);
  const [low, high] = up ? [one, other] : [other, one];
  const shares = sharesOf(low[0] as Point3, high[0] as Point3, heights);
  const ring = (share: number) =>
    low.map((point, index) => pushedPoint(along(point, high[index] as Point3, share), shape, f));
  const rings = shares.map(ring);
  return rings.slice(1).map((above, index): Ribbon => {
    const below = rings[index] as Point3[];
    return up ? { face, one: below, other: above } : { face, one: above, other: below };
  });
}

/** An end of the wall, whose two lines run from foot to rim. */
function pushedEnd({ face, one, other }: Ribbon, shape: BellyShape, f: number): Ribbon {
  const heights = bellyHeights(shape);
  const line = ([from, to]: readonly Point3[]) =>
    sharesOf(from as Point3, to as Point3, heights).map((share) =>
      pushedPoint(along(from as Point3, to as Point3, share), shape, f),
    );
  return { face, one: line(one), other: line(other) };
}

function pushedPart(part: RaisedPart, shape: BellyShape, f: number): RaisedPart {
  if (!part.neutral) return part;
  return {
    part: part.part,
    // Pushing out stretches the wall: its neutral lines are not kept.
    neutral: null,
    ribbons: part.ribbons.flatMap((ribbon) => {
      const { face, one, other } = ribbon;
      if (face === 'inside' || face === 'outside') return pushedFace(ribbon, shape, f);
      if (face === 'cut') return [pushedEnd(ribbon, shape, f)];
      const all = (points: readonly Point3[]) => points.map((point) => pushedPoint(point, shape, f));
      return [{ face, one: all(one), other: all(other) }];
    }),
  };
}

/** The piece of a target at the share `f` of its way up: a wall with a belly is rolled up straight, and then pushed out. */
export function raisePiece(target: Target, body: Body, f: number): RaisedPart[] {
  const shape = bellyOf(target);
  if (!shape) return raise(body, f);
  const standing = raise(body, Math.min(1, f / STANDS_AT));
  const out = (f - STANDS_AT) / (1 - STANDS_AT);
  return out > 0 ? standing.map((part) => pushedPart(part, shape, out)) : standing;
}
