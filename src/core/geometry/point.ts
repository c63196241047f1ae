/** A place in a plane, in the unit of whoever names it. */
export type Point = readonly [x: number, y: number];

/** A place in space, in the unit of whoever names it. */
export type Point3 = readonly [x: number, y: number, z: number];
