import type { Point3 } from '../geometry/point.ts';
import { ROUNDING } from '../numbers.ts';

/** a + f b. */
export const plus = (a: Point3, b: Point3, f = 1): Point3 => [a[0] + f * b[0], a[1] + f * b[1], a[2] + f * b[2]];

/** a - b. */
export const minus = (a: Point3, b: Point3): Point3 => plus(a, b, -1);

/** f a. */
export const times = (a: Point3, f: number): Point3 => [f * a[0], f * a[1], f * a[2]];

/** Scalar product. */
export const dot = (a: Point3, b: Point3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** Length of a vector. */
export const length = (a: Point3): number => Math.sqrt(dot(a, a));

/** The vector at length 1. */
export const unit = (a: Point3): Point3 => times(a, 1 / length(a));

/** Vector product. */
export const cross = (a: Point3, b: Point3): Point3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** A rigid body's place in space: where its own x, y and z axes point (unit, at right angles, right-handed) and its origin. */
export interface Pose {
  readonly x: Point3;
  readonly y: Point3;
  readonly z: Point3;
  readonly at: Point3;
}

/** The place of a body that has not been moved. */
export const UNMOVED: Pose = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1], at: [0, 0, 0] };

/** A direction of the body in space. */
export function turnedBy(pose: Pose, [x, y, z]: Point3): Point3 {
  return plus(plus(times(pose.x, x), pose.y, y), pose.z, z);
}

/** A point of the body in space (mm). */
export function placedBy(pose: Pose, point: Point3): Point3 {
  return plus(turnedBy(pose, point), pose.at);
}

/** First `inner`, then `outer`. */
export function after(outer: Pose, inner: Pose): Pose {
  return {
    x: turnedBy(outer, inner.x),
    y: turnedBy(outer, inner.y),
    z: turnedBy(outer, inner.z),
    at: placedBy(outer, inner.at),
  };
}

/** The move that takes a pose back to where it came from. */
export function inverse({ x, y, z, at }: Pose): Pose {
  const turn: Pose = { x: [x[0], y[0], z[0]], y: [x[1], y[1], z[1]], z: [x[2], y[2], z[2]], at: [0, 0, 0] };
  return { ...turn, at: times(turnedBy(turn, at), -1) };
}

/** A turn by an angle (radians) about the line through `at` along the unit vector `axis`, right-handed (Rodrigues). */
export function turnAbout(at: Point3, axis: Point3, angle: number): Pose {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const turned = (v: Point3): Point3 => plus(plus(times(v, cos), cross(axis, v), sin), axis, dot(axis, v) * (1 - cos));
  return { x: turned([1, 0, 0]), y: turned([0, 1, 0]), z: turned([0, 0, 1]), at: minus(at, turned(at)) };
}

/** The axis and angle (radians, 0 to pi) of a pose's turn. Half a turn has its axis from the largest of its parts. */
function axisAngle({ x, y, z }: Pose): { axis: Point3; angle: number } {
  const twist: Point3 = [y[2] - z[1], z[0] - x[2], x[1] - y[0]];
  const angle = Math.atan2(length(twist), x[0] + y[1] + z[2] - 1);
  if (length(twist) > ROUNDING) return { axis: unit(twist), angle };
  if (angle < 1) return { axis: [1, 0, 0], angle: 0 };
  const rows: readonly Point3[] = [plus(x, [1, 0, 0]), plus(y, [0, 1, 0]), plus(z, [0, 0, 1])];
  const largest = rows.reduce((best, row) => (length(row) > length(best) ? row : best));
  return { axis: unit(largest), angle };
}

/** The pose at the share `f` of the way from one to another: one even turn, and a straight way for the point `through`. */
export function poseBetween(
  from: Pose,
  to: Pose,
  { f, through }: { readonly f: number; readonly through: Point3 },
): Pose {
  const turn = axisAngle(after(to, inverse(from)));
  const origin: Point3 = [0, 0, 0];
  const turned = after(turnAbout(origin, turn.axis, f * turn.angle), { ...from, at: origin });
  const way = plus(times(placedBy(from, through), 1 - f), placedBy(to, through), f);
  return { ...turned, at: minus(way, turnedBy(turned, through)) };
}
