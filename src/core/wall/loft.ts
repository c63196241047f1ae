import { degrees, once } from '../numbers.ts';
import { inward, mergedFlats, mitred, pointAt, stationsOf, UNROLL_STATIONS, type Station } from '../outline/plan.ts';
import { type Support } from '../outline/support.ts';

/** The wall between two outlines, by the supports of its outer face at the table and at the rim. Wet mm. */
export interface LoftWall {
  readonly foot: Support;
  readonly rim: Support;
  readonly height: number;
  readonly thickness: number;
}

/** `sqrt(1 + ((h1 - h0) / H)^2)`: how much longer the wall is along the slope than upright, at a normal. */
export function slopeFactor(wall: LoftWall, phi: number): number {
  const q = (wall.rim.h(phi) - wall.foot.h(phi)) / wall.height;
  return Math.sqrt(1 + q * q);
}

/** Slope of the wall at a normal, radians, positive when it flares. */
export function slopeAt(wall: LoftWall, phi: number): number {
  return Math.atan((wall.rim.h(phi) - wall.foot.h(phi)) / wall.height);
}

const sectionsOf = once<LoftWall, Map<string, Support>>(() => new Map());

/**
 * The level section at height z of the surface `depth` mm inside the outer face: `h - depth sqrt(1 + ((h1 - h0)/H)^2)`
 * (geometry: lofts). Its slope follows by the chain rule, from each side of a flat edge. Each section is made once.
 */
export function sectionAt(wall: LoftWall, z: number, depth: number): Support {
  const known = sectionsOf(wall);
  // A straight wall is the same at every height.
  const name = wall.foot === wall.rim ? `${depth}` : `${z} ${depth}`;
  const section = known.get(name) ?? newSection(wall, z, depth);
  known.set(name, section);
  return section;
}

function newSection({ foot, rim, height }: LoftWall, z: number, depth: number): Support {
  if (foot === rim) return inward(foot, depth);
  const f = z / height;
  return mitred({
    flats: mergedFlats(foot, rim),
    h: (phi) => {
      const [low, high] = [foot.h(phi), rim.h(phi)];
      const q = (high - low) / height;
      return (1 - f) * low + f * high - depth * Math.sqrt(1 + q * q);
    },
    slope: (phi, side) => {
      const q = (rim.h(phi) - foot.h(phi)) / height;
      const [low, high] = [foot.slope(phi, side), rim.slope(phi, side)];
      return (1 - f) * low + f * high - (depth * q * (high - low)) / height / Math.sqrt(1 + q * q);
    },
  });
}

/** A wall unrolled: its foot and rim as points in the plane, in pairs along the rulings. Mm. */
export interface UnrolledLoft extends UnrolledPairs {
  readonly stations: readonly Station[];
  /** Its level sections at both ends. */
  readonly low: Support;
  readonly high: Support;
  readonly girthFoot: number;
  readonly girthRim: number;
  readonly area: number;
}

/** A point in space: plan x and y, height z (mm). */
export type Point3 = readonly [number, number, number];

const distance = (one: Point3, other: Point3) =>
  Math.sqrt((one[0] - other[0]) ** 2 + (one[1] - other[1]) ** 2 + (one[2] - other[2]) ** 2);

/** The point at the given distances from two points, on the left of the line from the first to the second. */
function apex(
  a: readonly [number, number],
  b: readonly [number, number],
  fromA: number,
  fromB: number,
): readonly [number, number] {
  const base = Math.sqrt((b[0] - a[0]) ** 2 + (b[1] - a[1]) ** 2);
  const [ux, uy] = [(b[0] - a[0]) / base, (b[1] - a[1]) / base];
  // Measured from the nearer point, so that a needle's tip errs by no more than its own width.
  const nearB = fromB < fromA;
  const [near, far] = nearB ? [fromB, fromA] : [fromA, fromB];
  const off = (near * near - far * far + base * base) / (2 * base);
  const aside = Math.sqrt(Math.max(0, near * near - off * off));
  const along = nearB ? base - off : off;
  return [a[0] + along * ux - aside * uy, a[1] + along * uy + aside * ux];
}

/** Points of a ruled surface in the plane, in pairs along the rulings (mm). */
export interface UnrolledPairs {
  readonly foot: readonly (readonly [number, number])[];
  readonly rim: readonly (readonly [number, number])[];
}

/** Which diagonal a strip between two rulings is folded along: the longer side carries the first triangle. */
export function footFirst(footStep: number, rimStep: number): boolean {
  return footStep >= rimStep;
}

/** Lays pairs of points flat, triangle by triangle: every length along foot, rim, rulings and diagonals is kept. */
export function unrollPairs(lows: readonly Point3[], highs: readonly Point3[]): UnrolledPairs {
  const foot: (readonly [number, number])[] = [[0, 0]];
  const rim: (readonly [number, number])[] = [[0, distance(lows[0] as Point3, highs[0] as Point3)]];
  for (let index = 1; index < lows.length; index += 1) {
    const [l0, l1] = [lows[index - 1], lows[index]] as [Point3, Point3];
    const [h0, h1] = [highs[index - 1], highs[index]] as [Point3, Point3];
    const f0 = foot[index - 1] as readonly [number, number];
    const r0 = rim[index - 1] as readonly [number, number];
    const footStep = distance(l0, l1);
    const rimStep = distance(h0, h1);
    let f1: readonly [number, number];
    let r1: readonly [number, number];
    // So that a cone's tip makes no needle of no width.
    if (footFirst(footStep, rimStep)) {
      f1 = footStep === 0 ? f0 : apex(r0, f0, distance(h0, l1), footStep);
      r1 = rimStep === 0 ? r0 : apex(r0, f1, rimStep, distance(h1, l1));
    } else {
      r1 = apex(r0, f0, rimStep, distance(l0, h1));
      f1 = footStep === 0 ? f0 : apex(r1, f0, distance(h1, l1), footStep);
    }
    foot.push(f1);
    rim.push(r1);
  }
  return { foot, rim };
}

/** Points of a line that have become one: their mean, or the end of the line, which stays where it is. */
interface Pool {
  readonly first: number;
  readonly last: number;
  readonly at: Point3;
}

/**
 * Where a flat edge on one side ends in a point on the other, a parallel surface turns over by a hair at its edge. Points
 * that would run backward are pooled with the ones before them: the line runs forward only, and its length is the signed
 * one, which is what Cauchy's integral of the support gives.
 */
function untwisted(line: readonly Point3[], stations: readonly Station[]): Point3[] {
  const pools: Pool[] = [];
  const pooled = (one: Pool, next: Pool): Pool => {
    const share = (next.last - next.first + 1) / (next.last - one.first + 1);
    const mean = one.at.map((value, axis) => value + share * ((next.at[axis] ?? 0) - value)) as unknown as Point3;
    const pinned = one.first === 0 ? line[0] : next.last === line.length - 1 ? line.at(-1) : undefined;
    return { first: one.first, last: next.last, at: pinned ?? mean };
  };
  const backward = (one: Pool, next: Pool): boolean => {
    const phi = ((stations[one.last]?.phi ?? 0) + (stations[next.first]?.phi ?? 0)) / 2;
    const forward = (one.at[0] - next.at[0]) * Math.sin(phi) + (next.at[1] - one.at[1]) * Math.cos(phi);
    return forward < 0;
  };
  line.forEach((at, index) => {
    let pool: Pool = { first: index, last: index, at };
    for (let before = pools.at(-1); before && backward(before, pool); before = pools.at(-1)) {
      pools.pop();
      pool = pooled(before, pool);
    }
    pools.push(pool);
  });
  return pools.flatMap(({ first, last, at }) => Array.from({ length: last - first + 1 }, () => at));
}

/** The level sections at both ends of a ruled wall, and the points along them in pairs. */
interface RulingPairs {
  readonly low: Support;
  readonly high: Support;
  readonly lows: readonly Point3[];
  readonly highs: readonly Point3[];
}

/** The pairs of points along a wall's rulings, `depth` mm inside its outer face, between two heights (mm). */
export function rulingPairs(
  wall: LoftWall,
  span: { from: number; to: number; depth: number },
  stations: readonly Station[],
): RulingPairs {
  const low = sectionAt(wall, span.from, span.depth);
  const high = sectionAt(wall, span.to, span.depth);
  const point = (shape: Support, { phi, side }: Station, z: number): Point3 => [...pointAt(shape, phi, side), z];
  return {
    low,
    high,
    lows: untwisted(
      stations.map((station) => point(low, station, span.from)),
      stations,
    ),
    highs: untwisted(
      stations.map((station) => point(high, station, span.to)),
      stations,
    ),
  };
}

/**
 * Unrolls the surface `depth` mm inside the outer face between two heights, ruling by ruling from the normal `start`
 * (radians). Points with the same normal share one tangent plane, so each strip between two rulings is flat to second
 * order; chords are lengthened to their arcs by the turn of the normal.
 */
export function unrollLoft(
  wall: LoftWall,
  span: { from: number; to: number; depth: number; start: number; sweep?: number; count?: number },
): UnrolledLoft {
  const stations = stationsOf(mergedFlats(wall.foot, wall.rim), span.count ?? UNROLL_STATIONS, span.start, span.sweep);
  const { low, high, lows, highs } = rulingPairs(wall, span, stations);
  let [girthFoot, girthRim, area] = [0, 0, 0];
  for (let index = 1; index < stations.length; index += 1) {
    const [from, to] = [stations[index - 1], stations[index]] as [Station, Station];
    const turn = to.phi - from.phi;
    const arc = turn === 0 ? 1 : turn / 2 / Math.sin(turn / 2);
    const footStep = distance(lows[index - 1] as Point3, lows[index] as Point3);
    const rimStep = distance(highs[index - 1] as Point3, highs[index] as Point3);
    girthFoot += footStep * arc;
    girthRim += rimStep * arc;
    const slope = slopeFactor(wall, (from.phi + to.phi) / 2);
    area += ((footStep + rimStep) / 2) * arc * (span.to - span.from) * slope;
  }
  return { stations, low, high, ...unrollPairs(lows, highs), girthFoot, girthRim, area };
}

/** Least and greatest lean of a level edge along the wall, degrees, and where. Signed as the wall's slope. */
export function slopeRange(wall: LoftWall): { readonly least: number; readonly greatest: number } {
  const slopes = stationsOf(mergedFlats(wall.foot, wall.rim), 360).map(({ phi }) => degrees(slopeAt(wall, phi)));
  return { least: Math.min(...slopes), greatest: Math.max(...slopes) };
}
