/** A full turn in radians. */
export const TAU = 2 * Math.PI;

/** Millimetres in an inch, exactly. */
export const MM_PER_INCH = 25.4;

/** Lengths that differ by less are one length (mm). A hundredth of what a sharp knife can follow, far above rounding. */
export const LENGTH_TOLERANCE = 1e-6;

/** Two outline points nearer than this are one point (mm). Chosen well under print resolution (0.04 mm at 600 dpi). */
export const POINT_TOLERANCE = 1e-4;

/** Smallest bulge that still is an arc; below it the edge is a straight line (ratio of sagitta to half chord). */
export const BULGE_TOLERANCE = 1e-9;

/** Degrees to radians. */
export function radians(degrees: number): number {
  return (degrees * Math.PI) / 180;
}

/** Radians to degrees. */
export function degrees(angle: number): number {
  return (angle * 180) / Math.PI;
}

/** Rounds up to the next multiple of `step` (same unit as `value`), forgiving rounding noise. */
export function roundUpTo(value: number, step: number): number {
  return Math.ceil(value / step - LENGTH_TOLERANCE) * step;
}
