import { once } from '../../numbers.ts';
import { pointAt, stationsAround, type Station } from './stations.ts';
import { type Support } from './support.ts';

/** Stations for girths and areas: with chords corrected to arcs, exact to a millionth on any piece that fits a table. */
export const STATIONS = 360;

/**
 * An outline once round, step by step. Of each step the chord (mm), the turn of the normal on it (radians), twice the area
 * between it and the origin (mm2), and the radius of its curve (mm; Infinity where it is flat).
 */
interface Steps {
  readonly chord: Float64Array;
  readonly turn: Float64Array;
  readonly double: Float64Array;
  readonly radius: Float64Array;
}

/** Girth, area and tightest curve of an outline all come from one walk round it. */
const stepsOf = once((shape: Support): Steps => {
  const stations = stationsAround(shape, STATIONS);
  const count = stations.length - 1;
  const steps: Steps = {
    chord: new Float64Array(count),
    turn: new Float64Array(count),
    double: new Float64Array(count),
    radius: new Float64Array(count),
  };
  let x0 = 0;
  let y0 = 0;
  let phi = 0;
  for (let at = 0; at <= count; at += 1) {
    const station = stations[at] as Station;
    const point = pointAt(shape, station.phi, station.side);
    const x1 = point[0];
    const y1 = point[1];
    if (at > 0) {
      const turn = station.phi - phi;
      const middle = phi + turn / 2;
      steps.chord[at - 1] = Math.sqrt((x1 - x0) ** 2 + (y1 - y0) ** 2);
      steps.turn[at - 1] = turn;
      steps.double[at - 1] = x0 * y1 - x1 * y0;
      steps.radius[at - 1] =
        turn > 0 ? (-(x1 - x0) * Math.sin(middle) + (y1 - y0) * Math.cos(middle)) / turn : Infinity;
    }
    x0 = x1;
    y0 = y1;
    phi = station.phi;
  }
  return steps;
});

/** Perimeter of an outline (mm) along its stations, chords corrected to arcs by the turn of the normal. */
export function girth(shape: Support): number {
  const { chord, turn } = stepsOf(shape);
  let sum = 0;
  for (let at = 0; at < chord.length; at += 1) {
    const half = (turn[at] as number) / 2;
    sum += (chord[at] as number) * (half === 0 ? 1 : half / Math.sin(half));
  }
  return sum;
}

/** Area of an outline (mm2), by its points with the same correction. */
export function planArea(shape: Support): number {
  const { chord, turn, double } = stepsOf(shape);
  let sum = 0;
  for (let at = 0; at < chord.length; at += 1) {
    sum += (double[at] as number) / 2 + ((chord[at] as number) ** 2 * (turn[at] as number)) / 12;
  }
  return sum;
}

/** Least radius of curvature (mm): Infinity where all is flat, 0 or less where an offset has gone too far. */
export function leastRadius(shape: Support): number {
  const { radius } = stepsOf(shape);
  let least = Infinity;
  for (let at = 0; at < radius.length; at += 1) least = Math.min(least, radius[at] as number);
  return least;
}
