import { TAU } from '../../numbers.ts';
import { pointAt } from '../../geometry/outline/stations.ts';
import { inward } from '../../geometry/outline/derived.ts';
import { turned, type Support } from '../../geometry/outline/support.ts';
import { circle } from '../../geometry/outline/shapes.ts';
import type { Face } from '../../target/face.ts';
import type { Part } from '../part/part.ts';

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

/** Distance of a point from the nearest side of the polygon of the feet; negative outside (mm). */
export function withinFeet(places: readonly (readonly [number, number])[], [x, y]: readonly [number, number]): number {
  return places.reduce((least, [ax, ay], index) => {
    const [bx, by] = places[(index + 1) % places.length] ?? [ax, ay];
    const length = Math.hypot(bx - ax, by - ay);
    return Math.min(least, ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / length);
  }, Infinity);
}

/** The pads as they are cut; `diameter` and `thickness` wet mm. */
export function feetPart({
  count,
  diameter,
  thickness,
  faceUp,
}: {
  readonly count: number;
  readonly diameter: number;
  readonly thickness: number;
  readonly faceUp: Face;
}): Part {
  const outline = circle(diameter);
  return {
    id: 'foot',
    role: 'foot',
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
