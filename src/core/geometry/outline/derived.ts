import { POINT_TOLERANCE, TAU } from '../../numbers.ts';
import { isSharp, pointAt } from './stations.ts';
import { NORMAL_TOLERANCE, roundedPolygon, turned, type PlanPoint, type Side, type Support } from './support.ts';

/** The outline with each tangent moved in by a distance of its own, which its points follow. */
class Lowered implements Support {
  readonly flats: readonly number[];

  constructor(
    readonly shape: Support,
    readonly by: (phi: number) => number,
  ) {
    this.flats = shape.flats;
  }

  h(phi: number): number {
    return this.shape.h(phi) - this.by(phi);
  }

  slope(phi: number, side: Side): number {
    return this.shape.slope(phi, side);
  }
}

/** The outline with each tangent moved in by `by` mm at its normal (radians), the slopes left as they are. */
export function lowered(shape: Support, by: (phi: number) => number): Support {
  return new Lowered(shape, by);
}

/** The parallel outline: all tangents moved in by the same distance (mm). */
class Parallel implements Support {
  readonly flats: readonly number[];

  constructor(
    readonly shape: Support,
    readonly d: number,
  ) {
    this.flats = shape.flats;
  }

  h(phi: number): number {
    return this.shape.h(phi) - this.d;
  }

  slope(phi: number, side: Side): number {
    return this.shape.slope(phi, side);
  }

  point(phi: number): PlanPoint | null {
    const known = this.shape.point?.(phi) ?? null;
    return known && [known[0] - this.d * Math.cos(phi), known[1] - this.d * Math.sin(phi)];
  }
}

/** The outline moved inward by d mm (negative: outward): `h - d`, corners sharper than d staying sharp. */
export function inward(shape: Support, d: number): Support {
  return d === 0 ? shape : mitred(new Parallel(shape, d));
}

/** Where the lines of two tangents meet (mm). */
function crossing(shape: Support, one: number, other: number): PlanPoint {
  const [h, g] = [shape.h(one), shape.h(other)];
  const sine = Math.sin(other - one);
  return [(h * Math.sin(other) - g * Math.sin(one)) / sine, (g * Math.cos(one) - h * Math.cos(other)) / sine];
}

/** A corner by the normals at which it begins and ends (radians), and where it lies (mm). */
interface SharpCorner {
  readonly from: number;
  readonly to: number;
  readonly at: PlanPoint;
}

/** What leads to a corner or on from it, with the distance or turn from the corner: a flat edge by mm, a curve by radians. */
interface CornerSide {
  readonly at: (way: number) => PlanPoint;
  /** Which way the point goes with the distance or turn, and how far. */
  readonly rate: (way: number) => PlanPoint;
  readonly flat: boolean;
  readonly most: number;
}

/** A turn over which the run of a curve is taken (radians). */
const SMALL_TURN = 1e-5;

class Mitred implements Support {
  readonly flats: readonly number[];

  constructor(
    readonly shape: Support,
    readonly corners: readonly SharpCorner[],
  ) {
    this.flats = shape.flats;
  }

  h(phi: number): number {
    const at = this.cornerAt(phi, 'after');
    return at ? at[0] * Math.cos(phi) + at[1] * Math.sin(phi) : this.shape.h(phi);
  }

  slope(phi: number, side: Side): number {
    const at = this.cornerAt(phi, side);
    return at ? at[1] * Math.cos(phi) - at[0] * Math.sin(phi) : this.shape.slope(phi, side);
  }

  private cornerAt(phi: number, side: Side): PlanPoint | null {
    for (const { from, to, at } of this.corners) {
      const along = turned(phi - from + NORMAL_TOLERANCE) - NORMAL_TOLERANCE;
      const atStart = Math.abs(along) <= NORMAL_TOLERANCE;
      const atEnd = Math.abs(along - (to - from)) <= NORMAL_TOLERANCE;
      if (atStart ? side === 'after' : atEnd ? side === 'before' : along > 0 && along < to - from) return at;
    }
    return null;
  }
}

/** One side of a corner whose normal it is: `way` is -1 before the corner and 1 after it; `most` the turn to the next flat edge. */
function sideOf(
  shape: Support,
  { phi, way, most }: { readonly phi: number; readonly way: -1 | 1; readonly most: number },
): CornerSide {
  const face = way < 0 ? 'before' : 'after';
  if (shape.slope(phi, 'after') - shape.slope(phi, 'before') > POINT_TOLERANCE) {
    const [x, y] = pointAt(shape, phi, way < 0 ? 'after' : 'before');
    const run: PlanPoint = [-way * Math.sin(phi), way * Math.cos(phi)];
    return { flat: true, most: Infinity, at: (far) => [x + far * run[0], y + far * run[1]], rate: () => run };
  }
  const at = (turn: number) => pointAt(shape, phi + way * turn, face);
  const rate = (turn: number): PlanPoint => {
    const [[x, y], [u, v]] = [at(turn), at(turn + SMALL_TURN)];
    return [(u - x) / SMALL_TURN, (v - y) / SMALL_TURN];
  };
  return { flat: false, most, at, rate };
}

/** Newton's steps to a meeting end when both places are this near (mm). */
const MET = 1e-10;

/** Where the two sides of a corner meet: on the lines of its flat edges, or on the curves themselves (Newton's way). */
function cornerOf(
  shape: Support,
  {
    from,
    to,
    before,
    after,
  }: { readonly from: number; readonly to: number; readonly before: number; readonly after: number },
): SharpCorner {
  const lines: SharpCorner = { from, to, at: crossing(shape, from, to) };
  const [one, other] = [
    sideOf(shape, { phi: from, way: -1, most: before }),
    sideOf(shape, { phi: to, way: 1, most: after }),
  ];
  if (one.flat && other.flat) return lines;
  let [u, v] = [0, 0];
  for (let round = 0; round < 30; round += 1) {
    const [p, q, pu, qv] = [one.at(u), other.at(v), one.rate(u), other.rate(v)];
    const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
    const whole = pu[1] * qv[0] - pu[0] * qv[1];
    u += (dy * qv[0] - dx * qv[1]) / whole;
    v += (dy * pu[0] - dx * pu[1]) / whole;
    if (!(u >= 0 && v >= 0 && u < one.most && v < other.most)) return lines;
    if (Math.hypot(dx, dy) < MET) break;
  }
  return { from: one.flat ? from : from - u, to: other.flat ? to : to + v, at: one.at(u) };
}

/**
 * Mends an offset that has gone past the radius of a corner: between two flat edges whose joining arc has turned over,
 * the outline is the point where the edges' lines meet, as in a mitred frame; where a curve leads to the corner, where it
 * meets the other side.
 */
export function mitred(shape: Support): Support {
  const { flats } = shape;
  const corners: SharpCorner[] = [];
  for (let index = 0; index < flats.length; index += 1) {
    const from = flats[index] as number;
    const to = from + turned((flats[(index + 1) % flats.length] as number) - from);
    if (to - from <= NORMAL_TOLERANCE || to - from >= Math.PI) continue;
    const start = pointAt(shape, from, 'after');
    const end = pointAt(shape, to, 'before');
    const middle = (from + to) / 2;
    const forward = (start[0] - end[0]) * Math.sin(middle) + (end[1] - start[1]) * Math.cos(middle);
    if (forward >= 0) continue;
    const before = turned(from - (flats[(index + flats.length - 1) % flats.length] as number));
    const after = turned((flats[(index + 2) % flats.length] as number) - to);
    corners.push(cornerOf(shape, { from, to, before: before || TAU, after: after || TAU }));
  }
  return corners.length === 0 ? shape : new Mitred(shape, corners);
}

/** The outline grown by d mm all round; where flat edges alone enclose it, its corners stay sharp. */
export function outwardSharp(shape: Support, d: number): Support {
  const { flats } = shape;
  if (!isSharp(shape)) return inward(shape, -d);
  const grown = new Parallel(shape, -d);
  return roundedPolygon(
    flats.map((from, index) => crossing(grown, from, flats[(index + 1) % flats.length] ?? from)),
    0,
  );
}

class Between implements Support {
  readonly flats: readonly number[];

  constructor(
    readonly one: Support,
    readonly other: Support,
    readonly f: number,
  ) {
    this.flats = mergedFlats(one, other);
  }

  h(phi: number): number {
    return (1 - this.f) * this.one.h(phi) + this.f * this.other.h(phi);
  }

  slope(phi: number, side: Side): number {
    return (1 - this.f) * this.one.slope(phi, side) + this.f * this.other.slope(phi, side);
  }

  point(phi: number): PlanPoint | null {
    const from = this.one.point?.(phi) ?? null;
    const to = from && (this.other.point?.(phi) ?? null);
    if (!from || !to) return null;
    return [(1 - this.f) * from[0] + this.f * to[0], (1 - this.f) * from[1] + this.f * to[1]];
  }
}

/** The outline at the share `f` of the way from one to another: the section of the hull of both. */
export function between(one: Support, other: Support, f: number): Support {
  return one === other ? one : new Between(one, other, f);
}

/** Flat normals of both outlines, each once. */
export function mergedFlats(one: Support, other: Support): readonly number[] {
  if (one.flats.length === 0) return other.flats;
  if (other.flats.length === 0) return one.flats;
  const all = [...one.flats, ...other.flats].sort((first, second) => first - second);
  return all.filter((flat, index) => index === 0 || flat - (all[index - 1] ?? 0) > NORMAL_TOLERANCE);
}

/** Works each normal out only once. */
class Remembered implements Support {
  readonly flats: readonly number[];
  private readonly heights = new Map<number, number>();
  private readonly slopes = { before: new Map<number, number>(), after: new Map<number, number>() };
  private readonly points = new Map<number, PlanPoint | null>();

  constructor(readonly shape: Support) {
    this.flats = shape.flats;
  }

  h(phi: number): number {
    let h = this.heights.get(phi);
    if (h === undefined) {
      h = this.shape.h(phi);
      this.heights.set(phi, h);
    }
    return h;
  }

  slope(phi: number, side: Side): number {
    const known = this.slopes[side];
    let slope = known.get(phi);
    if (slope === undefined) {
      slope = this.shape.slope(phi, side);
      known.set(phi, slope);
    }
    return slope;
  }

  point(phi: number): PlanPoint | null {
    let point = this.points.get(phi);
    if (point === undefined) {
      point = this.shape.point?.(phi) ?? null;
      this.points.set(phi, point);
    }
    return point;
  }
}

/** The same outline that works each normal out only once: the same stations are asked for again and again. */
export function rememberedSupport(shape: Support): Support {
  return new Remembered(shape);
}
