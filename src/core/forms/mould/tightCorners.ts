import { ROUNDING, TURN_TOLERANCE } from '../../numbers.ts';
import { pointAt } from '../../geometry/outline/stations.ts';
import { turned, type Support } from '../../geometry/outline/support.ts';
import type { Point } from '../../geometry/point.ts';

/** A sharp inner corner of the outlines, from one flat edge's normal to the next, where a slab in a hollow is mitred. */
export interface TightCorner {
  readonly from: number;
  readonly to: number;
}

/** Radius of the arc between two normals of an outline (mm). */
function radiusBetween(shape: Support, { from, to }: TightCorner): number {
  const [x0, y0] = pointAt(shape, from, 'after');
  const [x1, y1] = pointAt(shape, to, 'before');
  return Math.hypot(x1 - x0, y1 - y0) / (2 * Math.sin((to - from) / 2));
}

/**
 * The corners of a rim that are too tight to be moved along their normals: those whose radius is no greater than the distance
 * into the piece (mm). None where the surface moves out.
 *
 * @param flats normals of the flat edges once round (radians)
 */
export function tightCorners(rim: Support, flats: readonly number[], distance: number): TightCorner[] {
  if (distance > 0) return [];
  return flats
    .map((from, index) => ({ from, to: from + turned((flats[(index + 1) % flats.length] ?? from) - from) }))
    .filter((corner) => corner.to > corner.from && radiusBetween(rim, corner) <= ROUNDING - distance);
}

/** Whether two normals are the same. */
function isSame(one: number, other: number): boolean {
  return turned(one - other + TURN_TOLERANCE) < 2 * TURN_TOLERANCE;
}

/** The tight corner that begins just after a normal, or ends just before it. */
export function tightAt(tight: readonly TightCorner[], phi: number, end: 'before' | 'after'): TightCorner | undefined {
  return tight.find(({ from, to }) => isSame(phi, end === 'after' ? from : to));
}

/** Whether a tight corner begins at a normal. */
export function isTight(tight: readonly TightCorner[], phi: number): boolean {
  return tightAt(tight, phi, 'after') !== undefined;
}

/** The tight corner that a normal lies within, its ends left out. */
export function tightRound(tight: readonly TightCorner[], phi: number): TightCorner | undefined {
  return tight.find(
    ({ from, to }) => turned(phi - from) > ROUNDING && turned(phi - from) < turned(to - from) - ROUNDING,
  );
}

/** Where the flat edges on both sides of a corner would meet. */
export function crossingAt(shape: Support, { from, to }: TightCorner): Point {
  const [h, g, sine] = [shape.h(from), shape.h(to), Math.sin(to - from)];
  return [(h * Math.sin(to) - g * Math.sin(from)) / sine, (g * Math.cos(from) - h * Math.cos(to)) / sine];
}
