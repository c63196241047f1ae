/** A round piece of equal strips from foot to rim, each bent across. Sizes over the face and state of `size`. */
interface Strips {
  readonly kind: 'gores';
  /** How many strips go once round. */
  readonly strips: number;
}

/** ... by its side: points [height above the table, diameter] in mm, the first at height 0, with a smooth line through them. */
export interface ProfileGores extends Strips {
  readonly profile: readonly (readonly [height: number, diameter: number])[];
}

/** ... or part of a ball of that diameter, from the level where it is as wide as its foot up to its height (mm). */
export interface BallGores extends Strips {
  readonly ball: number;
  readonly foot: number;
  readonly height: number;
}

/** A round piece of strips, by its profile or by a ball. */
export type GoresForm = ProfileGores | BallGores;

/** Fewest and most strips: with fewer they stretch too much, more are joins without end. */
export const STRIPS_LIMITS = { least: 5, greatest: 16 } as const;

/** Strips of a new piece. */
export const DEFAULT_STRIPS = 8;
