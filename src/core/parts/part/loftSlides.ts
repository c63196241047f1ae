import type { Station } from '../../geometry/outline/stations.ts';
import type { Point } from '../../geometry/point.ts';
import { radians } from '../../numbers.ts';
import { slopeAt, type UnrolledLoft } from '../wall/loft.ts';
import type { LoftPanel } from './loftPart.ts';

/** Direction of the level edges at each ruling in the flat, from the ruling's known share along and across them. */
function edgeDirections(flat: UnrolledLoft): Point[] {
  const directions: Point[] = [];
  for (let index = 0; index < flat.along.length; index += 1) {
    const along = flat.along[index] as number;
    const [footX, footY] = flat.foot[index] as Point;
    const [rimX, rimY] = flat.rim[index] as Point;
    const [x, y] = [rimX - footX, rimY - footY];
    const across = Math.sqrt(Math.max(0, x * x + y * y - along * along));
    const square = along * along + across * across;
    directions.push([(along * x + across * y) / square, (along * y - across * x) / square]);
  }
  return directions;
}

/** Where the level edges slide to, for each mm outside the neutral surface, at each ruling of the flat wall (mm). */
export interface Slides {
  readonly tangents: readonly Point[];
  readonly foot: readonly Point[];
  readonly rim: readonly Point[];
}

/** The normal is constant along a ruling, so the level edges slide along the rulings and the ends do not move. */
export function slidesOf({ wall, footLeanAt }: Pick<LoftPanel, 'wall' | 'footLeanAt'>, flat: UnrolledLoft): Slides {
  const tangents = edgeDirections(flat);
  const foot: Point[] = [];
  const rim: Point[] = [];
  for (let index = 0; index < tangents.length; index += 1) {
    const [x, y] = tangents[index] as Point;
    const { phi } = flat.stations[index] as Station;
    const [footX, footY] = flat.foot[index] as Point;
    const [rimX, rimY] = flat.rim[index] as Point;
    const [dx, dy] = [rimX - footX, rimY - footY];
    // Length along the ruling for each mm straight up the slope.
    const square = x * dy - y * dx;
    const low = -Math.tan(radians(footLeanAt(phi))) / square;
    const high = Math.tan(slopeAt(wall, phi)) / square;
    foot.push([dx * low, dy * low]);
    rim.push([dx * high, dy * high]);
  }
  return { tangents, foot, rim };
}

/** The points, each moved by `rise` times its own direction (mm). */
export function slid(points: readonly Point[], by: readonly Point[], rise: number): Point[] {
  const found: Point[] = [];
  for (let index = 0; index < points.length; index += 1) {
    const [x, y] = points[index] as Point;
    const [dx, dy] = by[index] as Point;
    found.push([x + rise * dx, y + rise * dy]);
  }
  return found;
}
