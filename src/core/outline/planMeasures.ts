import { once } from '../numbers.ts';
import { pointAt, stationsAround } from './plan.ts';
import { type Support } from './support.ts';

/** Stations for girths and areas: with chords corrected to arcs, exact to a millionth on any piece that fits a table. */
export const STATIONS = 360;

/** A step along an outline: its ends (mm), the normal at its start, and how far the normal turns on it (radians). */
interface Step {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
  readonly phi: number;
  readonly turn: number;
}

/** An outline once round, step by step; its girth, area and tightest curve are all taken from it. */
const stepsOf = once((shape: Support): readonly Step[] => {
  const stations = stationsAround(shape, STATIONS);
  const steps: Step[] = [];
  let [x0, y0, phi] = [NaN, NaN, 0];
  for (const station of stations) {
    const [x1, y1] = pointAt(shape, station.phi, station.side);
    if (!Number.isNaN(x0)) steps.push({ x0, y0, x1, y1, phi, turn: station.phi - phi });
    [x0, y0, phi] = [x1, y1, station.phi];
  }
  return steps;
});

/** Perimeter of an outline (mm) along its stations, chords corrected to arcs by the turn of the normal. */
export function girth(shape: Support): number {
  return stepsOf(shape).reduce((sum, { x0, y0, x1, y1, turn }) => {
    const chord = Math.sqrt((x1 - x0) ** 2 + (y1 - y0) ** 2);
    return sum + chord * (turn === 0 ? 1 : turn / 2 / Math.sin(turn / 2));
  }, 0);
}

/** Area of an outline (mm2), by its points with the same correction. */
export function planArea(shape: Support): number {
  return stepsOf(shape).reduce((sum, { x0, y0, x1, y1, turn }) => {
    const square = (x1 - x0) ** 2 + (y1 - y0) ** 2;
    return sum + (x0 * y1 - x1 * y0) / 2 + (square * turn) / 12;
  }, 0);
}

/** Least radius of curvature (mm): Infinity where all is flat, 0 or less where an offset has gone too far. */
export function leastRadius(shape: Support): number {
  return stepsOf(shape).reduce((least, { x0, y0, x1, y1, phi, turn }) => {
    if (turn <= 0) return least;
    const middle = phi + turn / 2;
    return Math.min(least, (-(x1 - x0) * Math.sin(middle) + (y1 - y0) * Math.cos(middle)) / turn);
  }, Infinity);
}
