/** Default total linear shrinkage, wet to fired, as a fraction of the wet length: the middle of the usual 10 to 15 %. */
export const DEFAULT_SHRINKAGE = 0.12;

/** Default density of plastic clay (g/cm3). */
export const DEFAULT_WET_DENSITY = 1.95;

/**
 * Fired mass as a fraction of wet mass when nothing was weighed: about a fifth of plastic clay is water that dries off,
 * and about 7 % of what is left burns off. An estimate until a test piece is weighed.
 */
export const FIRED_MASS_FRACTION = 0.74;

/** The fired length of a wet length: `wet * (1 - s)`. Lengths in mm, `shrinkage` a fraction of the wet length. */
export function firedLength(wet: number, shrinkage: number): number {
  return wet * (1 - shrinkage);
}

/** The wet length that gives a fired length: `fired / (1 - s)`. Lengths in mm, `shrinkage` a fraction of the wet length. */
export function wetLength(fired: number, shrinkage: number): number {
  return fired / (1 - shrinkage);
}
