/** Two ears cut from the slab by one template, joined level and opposite one another. */
export interface Lugs {
  /** Along the wall, and from the wall out (fired mm). */
  readonly width: number;
  readonly out: number;
  /** From the rim down to the upper face (fired mm). */
  readonly below: number;
  /** Wet mm. */
  readonly thickness: number;
  /** Where the first is joined, degrees round from the seam; the other stands opposite. */
  readonly at: number;
}

/** New lugs. */
export const DEFAULT_LUGS: Lugs = { width: 44, out: 18, below: 16, thickness: 6, at: 90 };

/** Limits of the figures of lugs (mm, degrees). */
export const LUG_LIMITS = {
  length: { least: 2, greatest: 400 },
  below: { least: 0, greatest: 400 },
  thickness: { least: 1, greatest: 40 },
  at: { least: -360, greatest: 360 },
} as const;
