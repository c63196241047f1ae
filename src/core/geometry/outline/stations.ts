import { POINT_TOLERANCE, remembered, TAU } from '../../numbers.ts';
import { NORMAL_TOLERANCE, turned, type PlanPoint, type Support } from './support.ts';

/** A place on an outline: its normal, and which end of a flat edge, or its middle. */
export interface Station {
  readonly phi: number;
  readonly side: 'before' | 'middle' | 'after';
}

/** Stations for unrolling, where strips are taken as flat: holds lines in the flat to 0.001 mm. */
export const UNROLL_STATIONS = 720;

/** The slope of a support at a normal; in the middle of a flat edge it is the mean of both ends. */
function slopeOf(shape: Support, phi: number, side: Station['side']): number {
  if (side !== 'middle') return shape.slope(phi, side);
  return (shape.slope(phi, 'before') + shape.slope(phi, 'after')) / 2;
}

/** The point of an outline with outward normal phi, from one side of a flat edge: `h n + h' n_perp` (mm). */
export function pointAt(shape: Support, phi: number, side: Station['side']): PlanPoint {
  const known = shape.point?.(phi) ?? null;
  if (known) return known;
  const h = shape.h(phi);
  const slope = slopeOf(shape, phi, side);
  const cos = Math.cos(phi);
  const sin = Math.sin(phi);
  return [h * cos - slope * sin, h * sin + slope * cos];
}

/** The points of an outline at stations (mm). */
export function pointsAt(shape: Support, stations: readonly Station[]): PlanPoint[] {
  const points: PlanPoint[] = [];
  for (const { phi, side } of stations) points.push(pointAt(shape, phi, side));
  return points;
}

/** Whether an outline has only flat edges and sharp corners. */
export function isSharp(shape: Support): boolean {
  const { flats } = shape;
  if (flats.length < 3) return false;
  for (let index = 0; index < flats.length; index += 1) {
    const [x0, y0] = pointAt(shape, flats[index] as number, 'after');
    const [x1, y1] = pointAt(shape, flats[(index + 1) % flats.length] as number, 'before');
    if (Math.hypot(x1 - x0, y1 - y0) >= POINT_TOLERANCE) return false;
  }
  return true;
}

/** Stations once round: about `count`, or the corners alone of an outline that is nothing but flat edges. */
export function stationsAround(shape: Support, count: number, start = 0): readonly Station[] {
  return stationsOf(shape.flats, isSharp(shape) ? 1 : count, { start });
}

/**
 * Stations once round from `start` (radians), about `count` of them evenly spread, with both sides of every flat edge.
 * The last one stands at `start + sweep`, which closes the ring when the sweep is a full turn. What starts or ends
 * on a flat edge does so in its middle.
 */
export function stationsOf(
  flats: readonly number[],
  count: number,
  { start = 0, sweep = TAU }: { readonly start?: number; readonly sweep?: number } = {},
): readonly Station[] {
  return remembered(made, `${count} ${start} ${sweep} ${flats.join()}`, {
    make: () => newStations(flats, { count, start, sweep }),
    most: KEPT,
  });
}

/** Outlines of one kind have the same flat normals, and so the same stations, whatever their sizes. */
const made = new Map<string, readonly Station[]>();
const KEPT = 40;

function isOnFlat(flats: readonly number[], phi: number): boolean {
  for (const flat of flats) if (Math.abs(turned(flat - phi + Math.PI) - Math.PI) <= NORMAL_TOLERANCE) return true;
  return false;
}

function newStations(
  flats: readonly number[],
  { count, start, sweep }: { readonly count: number; readonly start: number; readonly sweep: number },
): readonly Station[] {
  const breaks = flats.map((flat) => start + turned(flat - start)).sort((one, other) => one - other);
  const end = start + sweep;
  const cuts = [start, ...breaks.filter((phi) => phi > start + NORMAL_TOLERANCE && phi < end - NORMAL_TOLERANCE), end];
  const found: Station[] = [];
  if (isOnFlat(flats, start)) found.push({ phi: start, side: 'middle' });
  for (let index = 1; index < cuts.length; index += 1) {
    const [from, to] = [cuts[index - 1] as number, cuts[index] as number];
    const steps = 2 * Math.max(1, Math.ceil((count * (to - from)) / TAU / 2));
    for (let step = 0; step <= steps; step += 1) {
      const side = step === steps ? 'before' : 'after';
      found.push({ phi: step === steps ? to : from + ((to - from) * step) / steps, side });
    }
  }
  if (isOnFlat(flats, end)) found.push({ phi: end, side: 'middle' });
  return found;
}
