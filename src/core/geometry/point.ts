/** A place in a plane, in the unit of whoever names it. */
export type Point = readonly [x: number, y: number];

/** A place in space, in the unit of whoever names it. */
export type Point3 = readonly [x: number, y: number, z: number];

/** Length of a vector. Math.hypot takes many times as long. */
export function vectorLength(x: number, y: number): number {
  return Math.sqrt(x * x + y * y);
}
