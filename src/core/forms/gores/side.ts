import { vectorLength } from '../../geometry/point.ts';
import { ROUNDING, root } from '../../numbers.ts';
import type { ProfileLine } from '../kind/smoothLine.ts';

/** A place on the side of a round wall: its radius and height (mm), and its slope (radians, positive where it flares). */
export interface SidePoint {
  readonly radius: number;
  readonly z: number;
  readonly slope: number;
}

/**
 * The side of a round wall, and of every surface beside it at a distance: `out` mm outside the measured face, negative
 * inside. Places on it are named by a parameter that rises from the foot to the rim.
 */
export interface Side {
  readonly at: (u: number, out: number) => SidePoint;
  /** Where the surface passes a height; NaN where it does not reach it. */
  readonly uAt: (z: number, out: number) => number;
  /** Length of the surface for each step of the parameter; not above 0 where it has turned over. */
  readonly speedAt: (u: number, out: number) => number;
  /** How fast the slope changes (radians for each step of the parameter). */
  readonly turnAt: (u: number) => number;
  /** Parameters at which it changes its course, so that a sum over it stops there. */
  readonly joints: readonly number[];
}

/** Newton's steps to a height, and how near it counts as there (mm). */
const STEPS = 12;
const NEAR = 1e-11;

/** The side along a smooth line of radii over heights; the parameter is the height of the measured face. */
export function lineSide(line: ProfileLine, heights: readonly number[]): Side {
  const slope = (u: number) => Math.atan(line.slopeAt(u));
  const turnAt = (u: number) => line.turnAt(u) / (1 + line.slopeAt(u) ** 2);
  return {
    at: (u, out) => {
      const a = slope(u);
      return { radius: line.radiusAt(u) + out * Math.cos(a), z: u - out * Math.sin(a), slope: a };
    },
    uAt: (z, out) => {
      const off = (u: number) => u - out * Math.sin(slope(u)) - z;
      let u = z;
      for (let step = 0; step < STEPS; step += 1) {
        const far = off(u);
        if (Math.abs(far) < NEAR) return u;
        u -= far / (1 - out * Math.cos(slope(u)) * turnAt(u));
      }
      // Where the side turns sharply Newton's steps may run off.
      const reach = Math.abs(out) + ROUNDING;
      return root(off, z - reach, z + reach) ?? NaN;
    },
    speedAt: (u, out) => vectorLength(1, line.slopeAt(u)) - out * turnAt(u),
    turnAt,
    joints: heights,
  };
}

/** The side of a ball of a radius about a middle at a height (mm); the parameter is the angle up from its middle (radians). */
export function ballSide(radius: number, middle: number): Side {
  return {
    at: (u, out) => ({
      radius: (radius + out) * Math.cos(u),
      z: middle + (radius + out) * Math.sin(u),
      slope: -u,
    }),
    uAt: (z, out) => Math.asin((z - middle) / (radius + out)),
    speedAt: (_, out) => radius + out,
    turnAt: () => -1,
    joints: [],
  };
}

/** Gauss's five places in an interval from -1 to 1, and their weights. */
const PLACES = [0, 0.5384693101056831, -0.5384693101056831, 0.906179845938664, -0.906179845938664] as const;
const WEIGHTS = [
  0.5688888888888889, 0.47862867049936647, 0.47862867049936647, 0.23692688505618908, 0.23692688505618908,
] as const;

/** Each stretch between two joints is summed in so many parts. */
const PARTS = 4;

/** Integral of a rate along a side between two places, over its parameter; negative backwards. */
export function sumAlong(
  { joints }: Side,
  { from, to, rate }: { readonly from: number; readonly to: number; readonly rate: (u: number) => number },
): number {
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  const stops = [low, ...joints.filter((u) => u > low && u < high), high];
  let sum = 0;
  for (let stop = 1; stop < stops.length; stop += 1) {
    const half = ((stops[stop] as number) - (stops[stop - 1] as number)) / (2 * PARTS);
    for (let part = 0; part < PARTS; part += 1) {
      const middle = (stops[stop - 1] as number) + (2 * part + 1) * half;
      for (let place = 0; place < PLACES.length; place += 1)
        sum += half * (WEIGHTS[place] as number) * rate(middle + half * (PLACES[place] as number));
    }
  }
  return from <= to ? sum : -sum;
}

/** Length of the surface `out` mm outside the measured face between two places (mm); negative backwards. */
export function lengthAlong(
  side: Side,
  out: number,
  { from, to }: { readonly from: number; readonly to: number },
): number {
  return sumAlong(side, { from, to, rate: (u) => side.speedAt(u, out) });
}
