import { once, POINT_TOLERANCE } from '../../numbers.ts';
import { forward } from './forward.ts';
import { pointsAt, stationsAround, UNROLL_STATIONS, type Station } from './stations.ts';
import { type Support } from './support.ts';
import type { Outline, Vertex } from './outline.ts';
import { vectorLength, type Point } from '../point.ts';

/** Arcs of a full turn: three degrees each, within a hundredth of a mm even on an ellipse seven times as long as wide. */
const ARCS = 120;

const apart = (a: Point, b: Point) => vectorLength(b[0] - a[0], b[1] - a[1]);

/** The bulge of the arc from a to b through m. */
function bulgeThrough(a: Point, m: Point, b: Point): number {
  if (apart(a, b) === 0) return 0;
  // From the angle at m, which does not depend on where m is between a and b.
  const ux = a[0] - m[0];
  const uy = a[1] - m[1];
  const vx = b[0] - m[0];
  const vy = b[1] - m[1];
  const angle = Math.PI - Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy));
  const side = (b[0] - a[0]) * (m[1] - a[1]) - (b[1] - a[1]) * (m[0] - a[0]);
  return (side < 0 ? 1 : -1) * Math.tan(angle / 2);
}

/**
 * A sampled line as vertices with arcs: straight over the flat edges, arcs through three points elsewhere. The last point
 * is left out, so that lines can be joined.
 *
 * @param chunk how many steps between stations become one arc at the most; even
 */
export function arcsThrough(
  points: readonly Point[],
  stations: readonly Station[],
  chunk = UNROLL_STATIONS / ARCS,
): Vertex[] {
  const vertices: Vertex[] = [];
  // No arc spans a flat edge, or a point where the line does not advance.
  const flat = new Uint8Array(points.length);
  for (let at = 0; at + 1 < points.length; at += 1) {
    const still = apart(points[at] as Point, points[at + 1] as Point) < POINT_TOLERANCE;
    flat[at] = still || stations[at + 1]?.phi === stations[at]?.phi ? 1 : 0;
  }
  let index = 0;
  let held: Point | null = null;
  while (index < points.length - 1) {
    const from = points[index] as Point;
    let step = 1;
    if (!flat[index]) {
      while (step < chunk && index + step < points.length - 1 && !flat[index + step]) step += 1;
      if (step > 1 && step % 2 === 1) step -= 1;
    }
    const to = points[index + step] as Point;
    if (apart(from, to) < POINT_TOLERANCE) {
      // The first of several points in one place represents them, so that a corner stays in place.
      held ??= from;
    } else {
      vertices.push([...(held ?? from), step === 1 ? 0 : bulgeThrough(from, points[index + step / 2] as Point, to)]);
      held = null;
    }
    index += step;
  }
  return vertices;
}

/** A plan outline as vertices and arcs, counter-clockwise. */
export const planOutline = once((shape: Support): Outline => {
  // Start between two flat edges, so that neither is cut in two.
  const [first = 0, second = first] = shape.flats;
  const stations = stationsAround(shape, 2 * ARCS, (first + second) / 2);
  // Between outlines of two kinds a flat edge may turn over slightly.
  const tangents = stations.map(({ phi }): Point => [-Math.sin(phi), Math.cos(phi)]);
  return arcsThrough(forward(pointsAt(shape, stations), tangents), stations, 2);
});
