import { TAU } from '../numbers.ts';
import { pointAt } from '../outline/stations.ts';
import { inward } from '../outline/derived.ts';
import { turned, type Support } from '../outline/support.ts';
import { circle } from '../outline/shapes.ts';
import type { Face } from '../part/lean.ts';
import type { Part } from '../part/part.ts';

/** Pads under the base, pressed level under a board. */
export interface Feet {
  readonly count: number;
  /** Across one pad (fired mm). */
  readonly diameter: number;
  /** How thick they are cut (wet mm). */
  readonly thickness: number;
  /** From the edge of the piece in to the edge of a pad (fired mm). */
  readonly inset: number;
}

/** Three stand on any table; more than three only on a level one. */
export const DEFAULT_FEET: Feet = { count: 3, diameter: 18, thickness: 6, inset: 4 };

export const FEET_LIMITS = {
  count: { least: 3, greatest: 6 },
  diameter: { least: 3, greatest: 400 },
  thickness: { least: 1, greatest: 40 },
  inset: { least: 0, greatest: 400 },
} as const;

/** The middles of the pads under a plan (mm, in its frame), evenly round by their normals; the first away from the seam's end. */
export function feetPlaces(plan: Support, count: number, depth: number): (readonly [number, number])[] {
  const line = inward(plan, depth);
  return Array.from({ length: count }, (_, index) => {
    const phi = turned(Math.PI + (TAU * index) / count);
    const [ax, ay] = pointAt(line, phi, 'before');
    const [bx, by] = pointAt(line, phi, 'after');
    return [(ax + bx) / 2, (ay + by) / 2] as const;
  });
}

/** How far a point lies inside the line from foot to foot, at the nearest side; negative outside (mm). */
export function withinFeet(places: readonly (readonly [number, number])[], [x, y]: readonly [number, number]): number {
  return places.reduce((least, [ax, ay], index) => {
    const [bx, by] = places[(index + 1) % places.length] ?? [ax, ay];
    const length = Math.hypot(bx - ax, by - ay);
    return Math.min(least, ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / length);
  }, Infinity);
}

/** The pads as they are cut; `diameter` and `thickness` wet mm. */
export function feetPart(count: number, diameter: number, thickness: number, faceUp: Face): Part {
  const outline = circle(diameter);
  return {
    id: 'foot',
    name: 'Foot pad',
    count,
    thickness,
    faceUp,
    outline,
    underside: outline,
    leans: [],
    marks: [],
    volume: (Math.PI / 4) * diameter * diameter * thickness,
  };
}
