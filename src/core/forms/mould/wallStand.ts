import { pointAt } from '../../geometry/outline/stations.ts';
import type { Support } from '../../geometry/outline/support.ts';
import type { Point, Point3 } from '../../geometry/point.ts';
import type { MouldSurface } from './mouldSurface.ts';
import { crossingAt, tightAt, type TightCorner } from './tightCorners.ts';
import type { ProfileStep } from './wallProfile.ts';

/** Which end of a flat edge: both ends have the same normal. */
export type EdgeEnd = 'before' | 'after';

/** A tangent direction of the outlines, and how far the rim lies outside the foot along it. */
interface Side {
  readonly cos: number;
  readonly sin: number;
  readonly across: number;
}

/** What is constant up the wall at a normal: foot and rim, and the direction in which it is moved there, two at a mitred corner. */
interface Stand {
  readonly foot: Point;
  readonly rim: Point;
  readonly sides: readonly Side[];
}

/** A point of the wall, and by how much it moves for each mm that the surface moves. */
export interface Spot {
  readonly place: Point3;
  readonly way: Point3;
}

/** The stands of a surface by their normals; each is computed once. */
export function standsOf(
  { foot, rim }: Pick<MouldSurface, 'foot' | 'rim'>,
  tight: readonly TightCorner[],
): (phi: number, end: EdgeEnd) => Stand {
  const known = { before: new Map<number, Stand>(), after: new Map<number, Stand>() };
  const side = (normal: number): Side => ({
    cos: Math.cos(normal),
    sin: Math.sin(normal),
    across: rim.h(normal) - foot.h(normal),
  });
  const made = (phi: number, end: EdgeEnd): Stand => {
    const corner = tightAt(tight, phi, end);
    const at = (shape: Support) => (corner ? crossingAt(shape, corner) : pointAt(shape, phi, end));
    return { foot: at(foot), rim: at(rim), sides: (corner ? [corner.from, corner.to] : [phi]).map(side) };
  };
  return (phi, end) => {
    const found = known[end].get(phi) ?? made(phi, end);
    known[end].set(phi, found);
    return found;
  };
}

/** The outward normal of the wall at a side. */
function normalAt({ cos, sin, across }: Side, depth: number, { outBy, upBy }: ProfileStep): Point3 {
  const out = across * outBy;
  const rise = depth * upBy;
  const long = Math.sqrt(out * out + rise * rise);
  if (long === 0) return [0, 0, -1];
  return [(cos * rise) / long, (sin * rise) / long, -out / long];
}

/** The point of a stand at a step of the profile of a wall that rises `depth` mm. At a mitre it moves along both sides' planes. */
export function spotAt({ foot: [x0, y0], rim: [x1, y1], sides }: Stand, depth: number, step: ProfileStep): Spot {
  const place: Point3 = [x0 + (x1 - x0) * step.out, y0 + (y1 - y0) * step.out, depth * step.up];
  const [n = [0, 0, -1] as Point3, m] = sides.map((side) => normalAt(side, depth, step));
  if (!m) return { place, way: n };
  const share = 1 / (1 + n[0] * m[0] + n[1] * m[1] + n[2] * m[2]);
  return { place, way: [share * (n[0] + m[0]), share * (n[1] + m[1]), share * (n[2] + m[2])] };
}

/** A spot moved by a distance (mm). */
export function shifted({ place: [x, y, z], way: [u, v, w] }: Spot, distance: number): Point3 {
  return [x + distance * u, y + distance * v, z + distance * w];
}
