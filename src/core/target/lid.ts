/**
 * A lid: `flat`, a slab on the rim with a flange inside that keeps it in place, or a `cap` whose side comes down over the
 * outside of the wall. Fired mm; it shrinks with the piece, so the room between them does too.
 */
export interface Lid {
  readonly kind: 'flat' | 'cap';
  /** Room between lid and wall on each side (fired mm). */
  readonly clearance: number;
  /** How far the flange, or the side of the cap, reaches down (fired mm). */
  readonly depth: number;
  /** How far a flat lid stands out past the rim (fired mm). */
  readonly overhang: number;
  /** What its knob is weighed as (wet g), and rolled to a ball; none when left out. Knobs of one weight look alike. */
  readonly knob?: number;
}

/** All kinds of lids. */
export const LID_KINDS: readonly Lid['kind'][] = ['flat', 'cap'];

/** A new lid. */
export const DEFAULT_LID: Lid = { kind: 'flat', clearance: 1.5, depth: 10, overhang: 0 };

/** Limits of a lid's figures (mm, g). */
export const LID_LIMITS = {
  clearance: { least: 0, greatest: 30 },
  depth: { least: 1, greatest: 400 },
  overhang: { least: 0, greatest: 200 },
  knob: { least: 1, greatest: 2000 },
} as const;
