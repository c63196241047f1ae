import { degrees } from '../numbers.ts';
import {
  between,
  mergedFlats,
  mitred,
  pointAt,
  stationsOf,
  UNROLL_STATIONS,
  type Station,
  type Support,
} from '../outline/plan.ts';

/** The wall between two outlines, by the supports of its outer face at the table and at the rim. Wet mm. */
export interface LoftWall {
  readonly foot: Support;
  readonly rim: Support;
  readonly height: number;
  readonly thickness: number;
}

/** `sqrt(1 + ((h1 - h0) / H)^2)`: how much longer the wall is along the slope than upright, at a normal. */
export function slopeFactor(wall: LoftWall, phi: number): number {
  return Math.hypot(1, (wall.rim.h(phi) - wall.foot.h(phi)) / wall.height);
}

/** Slope of the wall at a normal, radians, positive when it flares. */
export function slopeAt(wall: LoftWall, phi: number): number {
  return Math.atan((wall.rim.h(phi) - wall.foot.h(phi)) / wall.height);
}

/**
 * The level section at height z of the surface `depth` mm inside the outer face: `h - depth sqrt(1 + ((h1 - h0)/H)^2)`
 * (geometry: lofts). Its slope follows by the chain rule, from each side of a flat edge.
 */
export function sectionAt(wall: LoftWall, z: number, depth: number): Support {
  const outer = between(wall.foot, wall.rim, z / wall.height);
  return mitred({
    flats: outer.flats,
    h: (phi) => outer.h(phi) - depth * slopeFactor(wall, phi),
    slope: (phi, side) => {
      const q = (wall.rim.h(phi) - wall.foot.h(phi)) / wall.height;
      const dq = (wall.rim.slope(phi, side) - wall.foot.slope(phi, side)) / wall.height;
      return outer.slope(phi, side) - (depth * q * dq) / Math.hypot(1, q);
    },
  });
}

/** A wall unrolled: its foot and rim as points in the plane, in pairs along the rulings. Mm. */
export interface UnrolledLoft {
  readonly stations: readonly Station[];
  readonly foot: readonly (readonly [number, number])[];
  readonly rim: readonly (readonly [number, number])[];
  readonly girthFoot: number;
  readonly girthRim: number;
  readonly area: number;
}

type Point3 = readonly [number, number, number];

const distance = (one: Point3, other: Point3) => Math.hypot(one[0] - other[0], one[1] - other[1], one[2] - other[2]);

/** The point at the given distances from two points, on the left of the line from the first to the second. */
function apex(
  a: readonly [number, number],
  b: readonly [number, number],
  fromA: number,
  fromB: number,
): readonly [number, number] {
  const base = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const along = (fromA * fromA - fromB * fromB + base * base) / (2 * base);
  const aside = Math.sqrt(Math.max(0, fromA * fromA - along * along));
  const [ux, uy] = [(b[0] - a[0]) / base, (b[1] - a[1]) / base];
  return [a[0] + along * ux - aside * uy, a[1] + along * uy + aside * ux];
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
  const low = sectionAt(wall, span.from, span.depth);
  const high = sectionAt(wall, span.to, span.depth);
  const stations = stationsOf(mergedFlats(wall.foot, wall.rim), span.count ?? UNROLL_STATIONS, span.start, span.sweep);
  const point = (shape: Support, { phi, side }: Station, z: number): Point3 => [...pointAt(shape, phi, side), z];
  const lows = stations.map((station) => point(low, station, span.from));
  const highs = stations.map((station) => point(high, station, span.to));
  const foot: (readonly [number, number])[] = [[0, 0]];
  const rim: (readonly [number, number])[] = [[0, distance(lows[0] as Point3, highs[0] as Point3)]];
  let [girthFoot, girthRim, area] = [0, 0, 0];
  for (let index = 1; index < stations.length; index += 1) {
    const turn = (stations[index] as Station).phi - (stations[index - 1] as Station).phi;
    const arc = turn === 0 ? 1 : turn / 2 / Math.sin(turn / 2);
    const [l0, l1, h0, h1] = [lows[index - 1], lows[index], highs[index - 1], highs[index]] as [
      Point3,
      Point3,
      Point3,
      Point3,
    ];
    const f0 = foot[index - 1] as readonly [number, number];
    const r0 = rim[index - 1] as readonly [number, number];
    const footStep = distance(l0, l1);
    const rimStep = distance(h0, h1);
    girthFoot += footStep * arc;
    girthRim += rimStep * arc;
    // The longer side of the strip carries the first triangle, so that a cone's tip makes no needle of no width.
    let f1: readonly [number, number];
    let r1: readonly [number, number];
    if (footStep >= rimStep) {
      f1 = footStep === 0 ? f0 : apex(r0, f0, distance(h0, l1), footStep);
      r1 = rimStep === 0 ? r0 : apex(r0, f1, rimStep, distance(h1, l1));
    } else {
      r1 = apex(r0, f0, rimStep, distance(l0, h1));
      f1 = footStep === 0 ? f0 : apex(r1, f0, distance(h1, l1), footStep);
    }
    foot.push(f1);
    rim.push(r1);
    const middle = ((stations[index] as Station).phi + (stations[index - 1] as Station).phi) / 2;
    area += ((footStep + rimStep) / 2) * arc * (span.to - span.from) * slopeFactor(wall, middle);
  }
  return { stations, foot, rim, girthFoot, girthRim, area };
}

/** Least and greatest lean of a level edge along the wall, degrees, and where. Signed as the wall's slope. */
export function slopeRange(wall: LoftWall): { readonly least: number; readonly greatest: number } {
  const slopes = stationsOf(mergedFlats(wall.foot, wall.rim), 360).map(({ phi }) => degrees(slopeAt(wall, phi)));
  return { least: Math.min(...slopes), greatest: Math.max(...slopes) };
}
