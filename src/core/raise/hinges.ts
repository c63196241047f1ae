import { after, cross, dot, length, minus, turnAbout, UNMOVED, unit, type Pose } from './pose.ts';
import type { Point, Point3 } from '../geometry/point.ts';

/** Two flat cells joined along an edge, and the angle (radians) by which the second turns in the standing piece. */
export interface Hinge {
  readonly from: Point;
  readonly to: Point;
  readonly angle: number;
}

/** The angle from one face to the next about their common edge (radians), by their normals; right-handed along the edge. */
export function hingeAngle(first: Point3, second: Point3, edge: Point3): number {
  return Math.atan2(dot(unit(edge), cross(first, second)), dot(first, second));
}

/** The normal of a triangle (not of unit length), 0 where it has no width. */
export function normalOf(a: Point3, b: Point3, c: Point3): Point3 {
  return cross(minus(b, a), minus(c, a));
}

/** The turn of a hinge by the share `f` of its angle, in the flat. */
export function hingeTurn({ from, to, angle }: Hinge, f: number): Pose {
  const along: Point3 = [to[0] - from[0], to[1] - from[1], 0];
  return length(along) === 0 ? UNMOVED : turnAbout([...from, 0], unit(along), f * angle);
}

/**
 * Where each cell of a chain is when every hinge is turned by the share `f` of its angle: nothing stretches, at any
 * share. Cells are moved from their flat places; cell `anchor` is not moved. There is one cell more than there are hinges.
 */
export function foldChain(hinges: readonly Hinge[], anchor: number, f: number): Pose[] {
  const poses = new Array<Pose>(hinges.length + 1);
  poses[anchor] = UNMOVED;
  for (let cell = anchor; cell < hinges.length; cell += 1) {
    poses[cell + 1] = after(poses[cell] as Pose, hingeTurn(hinges[cell] as Hinge, f));
  }
  for (let cell = anchor - 1; cell >= 0; cell -= 1) {
    poses[cell] = after(poses[cell + 1] as Pose, hingeTurn(hinges[cell] as Hinge, -f));
  }
  return poses;
}
