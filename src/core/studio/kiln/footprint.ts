import { TAU } from '../../numbers.ts';
import { area, bounds, edgeAt, type Outline } from '../../geometry/outline/outline.ts';

/** Directions at which a footprint is asked for its reach: every degree, axes included. */
export const DIRECTIONS = 360;

/** Cosines of the directions. */
export const COSINES = Float64Array.from({ length: DIRECTIONS }, (_, step) => Math.cos((TAU * step) / DIRECTIONS));

/** Sines of the directions. */
export const SINES = Float64Array.from({ length: DIRECTIONS }, (_, step) => Math.sin((TAU * step) / DIRECTIONS));
for (const [step, cos, sin] of [
  [0, 1, 0],
  [90, 0, 1],
  [180, -1, 0],
  [270, 0, -1],
] as const)
  [COSINES[step], SINES[step]] = [cos, sin];

/**
 * What a piece takes of a shelf, seen from above: how far it reaches towards each of {@link DIRECTIONS} from its middle (mm).
 * A piece counts by its hull: nothing stands in the hollow of another.
 */
export interface Footprint {
  readonly reach: Float64Array;
  /** The middle of its box, in the frame of the outline that it was made from (mm). */
  readonly middle: readonly [number, number];
  /** Area of the outline (mm2), for how full a shelf is. */
  readonly area: number;
}

/** The footprint of an outline; arcs are taken as arcs. */
export function footprintOf(outline: Outline): Footprint {
  const box = bounds(outline);
  const middle = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2] as const;
  const reach = new Float64Array(DIRECTIONS).fill(-Infinity);
  const meet = (step: number, far: number) => (reach[step] = Math.max(reach[step] as number, far));
  outline.forEach((_, index) => {
    const { from, centre, radius } = edgeAt(outline, index);
    const [x, y] = [from[0] - middle[0], from[1] - middle[1]];
    const sweep = 4 * Math.atan(from[2]);
    const start = centre ? Math.atan2(from[1] - centre[1], from[0] - centre[0]) : 0;
    for (let step = 0; step < DIRECTIONS; step += 1) {
      const [cos, sin] = [COSINES[step] as number, SINES[step] as number];
      meet(step, x * cos + y * sin);
      if (!centre || sweep < 0) continue;
      // An arc that bulges outward reaches a direction that lies in its sweep with its whole radius.
      const turned = ((((TAU * step) / DIRECTIONS - start) % TAU) + TAU) % TAU;
      if (turned <= sweep) meet(step, (centre[0] - middle[0]) * cos + (centre[1] - middle[1]) * sin + radius);
    }
  });
  return { reach, middle, area: area(outline) };
}

/** The reaches of a footprint that is turned; by whole degrees. */
export function turnedReach({ reach }: Footprint, degrees: number): Float64Array {
  const turn = Math.round(degrees);
  if (turn % DIRECTIONS === 0) return reach;
  return Float64Array.from(
    reach,
    (_, step) => reach[(((step - turn) % DIRECTIONS) + DIRECTIONS) % DIRECTIONS] as number,
  );
}
