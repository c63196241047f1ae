/** Pads under the base, pressed level under a board. */
export interface Feet {
  readonly count: number;
  /** Across one pad (fired mm). */
  readonly diameter: number;
  /** How thick they are cut (wet mm). */
  readonly thickness: number;
  /** From the edge of the piece in to the edge of a pad (fired mm). */
  readonly inset: number;
}

/** Three stand on any table; more than three only on a level one. */
export const DEFAULT_FEET: Feet = { count: 3, diameter: 18, thickness: 6, inset: 4 };

/** Limits of the figures of feet (counts, mm). */
export const FEET_LIMITS = {
  count: { least: 3, greatest: 6 },
  diameter: { least: 3, greatest: 400 },
  thickness: { least: 1, greatest: 40 },
  inset: { least: 0, greatest: 400 },
} as const;
