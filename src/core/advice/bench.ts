/** What the potter brings to any piece: her hand and her slab, mm. */
export interface Bench {
  /** Width of the hand over the knuckles, as it reaches in. */
  readonly hand: number;
  /** The greatest slab that can be rolled: along the roll, and across it. */
  readonly slab: { readonly length: number; readonly width: number };
}

/** A hand of middle size, and the largest slab of a table roller. */
export const DEFAULT_BENCH: Bench = { hand: 84, slab: { length: 1200, width: 550 } };
