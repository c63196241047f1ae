import { pointAt, stationsOf, type Station, type Support } from './plan.ts';

/** Stations for girths and areas: with chords corrected to arcs, exact to a millionth on any piece that fits a table. */
export const STATIONS = 360;

/** Perimeter of an outline (mm) along its stations, chords corrected to arcs by the turn of the normal. */
export function girth(shape: Support): number {
  const stations = stationsOf(shape.flats, STATIONS);
  return stations.slice(1).reduce((sum, station, index) => {
    const from = stations[index] as Station;
    const [x0, y0] = pointAt(shape, from.phi, from.side);
    const [x1, y1] = pointAt(shape, station.phi, station.side);
    const turn = station.phi - from.phi;
    return sum + Math.hypot(x1 - x0, y1 - y0) * (turn === 0 ? 1 : turn / 2 / Math.sin(turn / 2));
  }, 0);
}

/** Area of an outline (mm2), by its points with the same correction. */
export function planArea(shape: Support): number {
  const stations = stationsOf(shape.flats, STATIONS);
  return stations.slice(1).reduce((sum, station, index) => {
    const from = stations[index] as Station;
    const [x0, y0] = pointAt(shape, from.phi, from.side);
    const [x1, y1] = pointAt(shape, station.phi, station.side);
    const chord = Math.hypot(x1 - x0, y1 - y0);
    return sum + (x0 * y1 - x1 * y0) / 2 + (chord * chord * (station.phi - from.phi)) / 12;
  }, 0);
}

/** Least radius of curvature (mm): Infinity where all is flat, 0 or less where an offset has gone too far. */
export function leastRadius(shape: Support): number {
  const stations = stationsOf(shape.flats, STATIONS);
  return stations.slice(1).reduce((least, station, index) => {
    const from = stations[index] as Station;
    const turn = station.phi - from.phi;
    if (turn <= 0) return least;
    const [x0, y0] = pointAt(shape, from.phi, from.side);
    const [x1, y1] = pointAt(shape, station.phi, station.side);
    const middle = (station.phi + from.phi) / 2;
    const along = -(x1 - x0) * Math.sin(middle) + (y1 - y0) * Math.cos(middle);
    return Math.min(least, along / turn);
  }, Infinity);
}
