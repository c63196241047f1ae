import { onDemand, ROUNDING, TURN_TOLERANCE } from '../../numbers.ts';
import { supportOf } from '../../parts/plan/plan.ts';
import { pointAt } from '../../geometry/outline/stations.ts';
import { between, inward } from '../../geometry/outline/derived.ts';
import { planArea } from '../../geometry/outline/planMeasures.ts';
import { turned, type Support } from '../../geometry/outline/support.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { roundTable, type Bearing, type RoundTable, type TightCorner } from './roundTable.ts';
import type { Point3 } from '../../geometry/point.ts';

/** A point of the wall's profile: shares out and up, and their derivatives. */
interface ProfileStep {
  readonly out: number;
  readonly up: number;
  readonly outBy: number;
  readonly upBy: number;
}

/** A mould as a surface that can be moved along its normals. Z from the floor (0) up to the rim, open upward; mm. */
export interface MouldSurface {
  readonly foot: Support;
  readonly rim: Support;
  readonly depth: number;
  /** The wall at a share of its way, 0 at the floor and 1 at the rim. */
  readonly profile: (share: number) => ProfileStep;
  /** The wall meets the floor at an edge. */
  readonly edged: boolean;
  /** There is a flat floor. */
  readonly floored: boolean;
}

/** Radius of the circle as large as an outline (mm). */
export function evenRadius(shape: Support): number {
  return Math.sqrt(planArea(shape) / Math.PI);
}

/** The profile of a spherical cap that rises `depth` over a radius. */
function domeProfile(radius: number, depth: number): MouldSurface['profile'] {
  const sphere = (radius * radius) / (2 * depth) + depth / 2;
  const whole = Math.acos(1 - depth / sphere);
  return (share) => {
    const angle = share * whole;
    return {
      out: (sphere * Math.sin(angle)) / radius,
      up: (sphere * (1 - Math.cos(angle))) / depth,
      outBy: (sphere * Math.cos(angle)) / radius,
      upBy: (sphere * Math.sin(angle)) / depth,
    };
  };
}

/** A drawn profile, its corners rounded by a curve through its points. */
function drawnProfile(points: readonly (readonly [number, number])[]): MouldSurface['profile'] {
  const last = points.length - 1;
  const at = (index: number) => points[Math.max(0, Math.min(last, index))] ?? [0, 0];
  const slope = (index: number, axis: 0 | 1) => {
    const [low, high] = [Math.max(0, index - 1), Math.min(last, index + 1)];
    return (at(high)[axis] - at(low)[axis]) / (high - low);
  };
  return (share) => {
    const along = share * last;
    const index = Math.min(last - 1, Math.floor(along));
    const f = along - index;
    const hermite = (axis: 0 | 1): readonly [value: number, by: number] => {
      const [p, q, m, n] = [at(index)[axis], at(index + 1)[axis], slope(index, axis), slope(index + 1, axis)];
      const a = 2 * p - 2 * q + m + n;
      const b = 3 * q - 3 * p - 2 * m - n;
      return [((a * f + b) * f + m) * f + p, (3 * a * f + 2 * b) * f + m];
    };
    const [out, outBy] = hermite(0);
    const [up, upBy] = hermite(1);
    return { out, up, outBy, upBy };
  };
}

const QUARTER = Math.PI / 2;

/** The surface of a mould that is given by outlines and a wall (geometry: drape, hump and slump blanks). */
export function mouldSurface(form: MouldForm): MouldSurface {
  const rim = supportOf(form.rim);
  const [x, y] = form.rim.at ?? [0, 0];
  const foot = form.foot ? supportOf(form.foot) : supportOf({ kind: 'circle', diameter: 0, at: [x, y] });
  const common = { foot, rim, depth: form.depth, floored: form.foot !== undefined, edged: false };
  switch (form.wall) {
    case 'straight':
      return { ...common, edged: true, profile: (u) => ({ out: u, up: u, outBy: 1, upBy: 1 }) };
    case 'curved':
      return {
        ...common,
        profile: (u) => ({
          out: Math.sin(QUARTER * u),
          up: 1 - Math.cos(QUARTER * u),
          outBy: QUARTER * Math.cos(QUARTER * u),
          upBy: QUARTER * Math.sin(QUARTER * u),
        }),
      };
    case 's':
      return {
        ...common,
        profile: (u) => ({
          out: u,
          up: (1 - Math.cos(Math.PI * u)) / 2,
          outBy: 1,
          upBy: (Math.PI * Math.sin(Math.PI * u)) / 2,
        }),
      };
    case 'dome':
      return { ...common, profile: domeProfile(evenRadius(rim), form.depth) };
    case 'drawn':
      return {
        ...common,
        profile: drawnProfile(
          form.profile ?? [
            [0, 0],
            [1, 1],
          ],
        ),
      };
  }
}

/** A tangent direction of the outlines, and how far the rim lies outside the foot along it. */
interface Side {
  readonly cos: number;
  readonly sin: number;
  readonly across: number;
}

/** Foot and rim at a bearing, and the direction in which the wall is moved there: two at a mitred corner. */
interface Stand {
  readonly foot: readonly [number, number];
  readonly rim: readonly [number, number];
  readonly sides: readonly Side[];
}

function normalAt({ cos, sin, across }: Side, depth: number, { outBy, upBy }: ProfileStep): Point3 {
  const out = across * outBy;
  const rise = depth * upBy;
  const long = Math.sqrt(out * out + rise * rise);
  if (long === 0) return [0, 0, -1];
  return [(cos * rise) / long, (sin * rise) / long, -out / long];
}

function radiusBetween(shape: Support, from: number, to: number): number {
  const [x0, y0] = pointAt(shape, from, 'after');
  const [x1, y1] = pointAt(shape, to, 'before');
  return Math.hypot(x1 - x0, y1 - y0) / (2 * Math.sin((to - from) / 2));
}

/**
 * A mould's surface moved along its normals: out of the piece (mm, positive, as on a hump) or into it (as in a hollow), with
 * places once round by shares of the girth half way up.
 */
export interface MovedMould extends RoundTable {
  /** The floor's edge, or null where there is no floor; the wall begins there. */
  readonly floorAt: (bearing: Bearing) => Point3;
  /** Round the floor's sharp edge, 0 to 1. */
  readonly edgeAt: (bearing: Bearing, share: number) => Point3;
  readonly wallAt: (bearing: Bearing, share: number) => Point3;
  /** Height of the floor (mm). */
  readonly floor: number;
  /** The edge is rounded by the offset. */
  readonly turning: boolean;
  /** The place whose normal points along a direction (radians): where a level line reaches farthest. */
  readonly facing: (phi: number) => Bearing;
}

/** Moves a mould's surface along its normals by a distance (mm). */
export function movedMould(surface: MouldSurface, distance: number): MovedMould {
  const { foot, rim, depth, profile } = surface;
  const into = Math.max(0, -distance);
  const middle = between(foot, rim, surface.floored ? 0.5 : 0.7);
  const { flats } = middle;
  const tight: readonly TightCorner[] = flats
    .map((from, index) => ({ from, to: from + turned((flats[(index + 1) % flats.length] ?? from) - from) }))
    .filter(({ from, to }) => distance <= 0 && to > from && radiusBetween(rim, from, to) <= into + ROUNDING);
  const tightAt = (phi: number, end: 'before' | 'after') => {
    const same = (one: number, other: number) => turned(one - other + TURN_TOLERANCE) < 2 * TURN_TOLERANCE;
    return tight.find(({ from, to }) => (end === 'after' ? same(phi, from) : same(phi, to))) ?? null;
  };
  const crossing = (shape: Support, { from, to }: TightCorner): readonly [number, number] => {
    const [h, g, sine] = [shape.h(from), shape.h(to), Math.sin(to - from)];
    return [(h * Math.sin(to) - g * Math.sin(from)) / sine, (g * Math.cos(from) - h * Math.cos(to)) / sine];
  };
  /** What is constant up the wall at a bearing, computed once for all rings. */
  const stands = { before: new Map<number, Stand>(), after: new Map<number, Stand>() };
  const standAt = (phi: number, end: 'before' | 'after'): Stand => {
    const known = stands[end].get(phi);
    if (known) return known;
    const corner = tightAt(phi, end);
    const at = (shape: Support) => (corner ? crossing(shape, corner) : pointAt(shape, phi, end));
    const own = (normal: number) => ({
      cos: Math.cos(normal),
      sin: Math.sin(normal),
      across: rim.h(normal) - foot.h(normal),
    });
    const made = { foot: at(foot), rim: at(rim), sides: corner ? [own(corner.from), own(corner.to)] : [own(phi)] };
    stands[end].set(phi, made);
    return made;
  };
  /** The point of the wall at one end of a flat edge or on a round one, and the way that it moves. */
  const spot = (phi: number, end: 'before' | 'after', step: ProfileStep): readonly [Point3, Point3] => {
    const {
      foot: [x0, y0],
      rim: [x1, y1],
      sides,
    } = standAt(phi, end);
    const place: Point3 = [x0 + (x1 - x0) * step.out, y0 + (y1 - y0) * step.out, depth * step.up];
    const [n = [0, 0, -1] as Point3, m] = sides.map((side) => normalAt(side, depth, step));
    if (!m) return [place, n];
    const share = 1 / (1 + n[0] * m[0] + n[1] * m[1] + n[2] * m[2]);
    return [place, [share * (n[0] + m[0]), share * (n[1] + m[1]), share * (n[2] + m[2])]];
  };
  const shifted = ([[x, y, z], [u, v, w]]: readonly [Point3, Point3]): Point3 => [
    x + distance * u,
    y + distance * v,
    z + distance * w,
  ];
  const mixed = (one: Point3, other: Point3, f: number): Point3 => [
    one[0] + f * (other[0] - one[0]),
    one[1] + f * (other[1] - one[1]),
    one[2] + f * (other[2] - one[2]),
  ];
  const isFlat = (phi: number) => flats.some((flat) => turned(flat - phi + ROUNDING) < 2 * ROUNDING);
  const onBearing = ({ phi, along }: Bearing, made: (end: 'before' | 'after') => Point3): Point3 =>
    isFlat(phi) ? mixed(made('before'), made('after'), along) : made('after');
  // In a hollow the wall starts where its offset meets the offset floor.
  const start = (phi: number, end: 'before' | 'after') => {
    if (!surface.edged || into === 0) return 0;
    const [, [, , down]] = spot(phi, end, profile(0));
    return (into * (1 + down)) / depth;
  };
  const wallAt = (bearing: Bearing, share: number) =>
    onBearing(bearing, (end) => {
      const from = start(bearing.phi, end);
      return shifted(spot(bearing.phi, end, profile(from + share * (1 - from))));
    });
  const turning = surface.edged && distance > 0;
  const edgeAt = (bearing: Bearing, share: number) =>
    onBearing(bearing, (end) => {
      const [place, [u, v, w]] = spot(bearing.phi, end, profile(0));
      const lean = Math.asin(Math.min(1, -w));
      const angle = QUARTER - share * (QUARTER - lean);
      const level = Math.hypot(u, v);
      return shifted([place, [(u / level) * Math.cos(angle), (v / level) * Math.cos(angle), -Math.sin(angle)]]);
    });
  const facing = (phi: number): Bearing => {
    const corner = tight.find(
      ({ from, to }) => turned(phi - from) > ROUNDING && turned(phi - from) < turned(to - from) - ROUNDING,
    );
    return corner ? { phi: corner.from, along: 1 } : { phi, along: 0 };
  };
  // The places round a mould are slow to compute, so they are computed at first use.
  const round = onDemand(() => roundTable(distance > 0 ? inward(middle, -distance) : middle, tight));
  return {
    floorAt: (bearing) => (turning ? edgeAt(bearing, 0) : wallAt(bearing, 0)),
    edgeAt,
    wallAt,
    floor: -distance,
    turning,
    facing,
    bearingAt: (share) => round().bearingAt(share),
    get kept() {
      return round().kept;
    },
  };
}
