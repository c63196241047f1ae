import { once } from '../numbers.ts';
import { pointAt, stationsAround, type Station } from './plan.ts';
import { type Support } from './support.ts';

/** Stations for girths and areas: with chords corrected to arcs, exact to a millionth on any piece that fits a table. */
export const STATIONS = 360;

/** An outline once round by its stations: x, y (mm) and the normal (radians) of each; between two of them is a step. */
interface Round {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly phi: Float64Array;
}

/** Girth, area and tightest curve of an outline are all taken from one round. */
const roundOf = once((shape: Support): Round => {
  const stations = stationsAround(shape, STATIONS);
  const count = stations.length;
  const round = { x: new Float64Array(count), y: new Float64Array(count), phi: new Float64Array(count) };
  for (let at = 0; at < count; at += 1) {
    const { phi, side } = stations[at] as Station;
    const point = pointAt(shape, phi, side);
    round.x[at] = point[0];
    round.y[at] = point[1];
    round.phi[at] = phi;
  }
  return round;
});

/** Adds up what `share` finds of each step: from (x0, y0) to (x1, y1), on which the normal turns from phi by `turn`. */
function overSteps(
  shape: Support,
  share: (x0: number, y0: number, x1: number, y1: number, turn: number, phi: number) => number,
  join: (sum: number, value: number) => number,
  first: number,
): number {
  const { x, y, phi } = roundOf(shape);
  let sum = first;
  for (let at = 1; at < x.length; at += 1) {
    const from = phi[at - 1] as number;
    const value = share(x[at - 1] as number, y[at - 1] as number, x[at] as number, y[at] as number, (phi[at] as number) - from, from); // prettier-ignore
    sum = join(sum, value);
  }
  return sum;
}

const added = (sum: number, value: number) => sum + value;

/** Perimeter of an outline (mm) along its stations, chords corrected to arcs by the turn of the normal. */
export function girth(shape: Support): number {
  const arc = (x0: number, y0: number, x1: number, y1: number, turn: number) => {
    const chord = Math.sqrt((x1 - x0) ** 2 + (y1 - y0) ** 2);
    return chord * (turn === 0 ? 1 : turn / 2 / Math.sin(turn / 2));
  };
  return overSteps(shape, arc, added, 0);
}

/** Area of an outline (mm2), by its points with the same correction. */
export function planArea(shape: Support): number {
  const sector = (x0: number, y0: number, x1: number, y1: number, turn: number) =>
    (x0 * y1 - x1 * y0) / 2 + (((x1 - x0) ** 2 + (y1 - y0) ** 2) * turn) / 12;
  return overSteps(shape, sector, added, 0);
}

/** Least radius of curvature (mm): Infinity where all is flat, 0 or less where an offset has gone too far. */
export function leastRadius(shape: Support): number {
  const radius = (x0: number, y0: number, x1: number, y1: number, turn: number, phi: number) => {
    if (turn <= 0) return Infinity;
    const middle = phi + turn / 2;
    return (-(x1 - x0) * Math.sin(middle) + (y1 - y0) * Math.cos(middle)) / turn;
  };
  return overSteps(shape, radius, Math.min, Infinity);
}
