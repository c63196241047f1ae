/**
 * A handle: a strap cut from the slab, or one that is pulled from a lump. It is made for fired fingers, so its sizes are
 * fired mm whatever state the piece is given in; only the clay that is cut is wet.
 */
export interface Handle {
  readonly kind: 'strap' | 'pulled';
  /** How many fingers go through it. */
  readonly fingers: number;
  /** Room between fingers and clay (fired mm). */
  readonly clearance: number;
  /** How far its outside stands from the wall where it stands out most (fired mm). */
  readonly projection: number;
  /** From the rim down to the upper edge of its upper end (fired mm). */
  readonly below: number;
  /** Between the middles of both ends, along the height (fired mm); left out, it is the least that the fingers need. */
  readonly drop?: number;
  /** Where it stands out most: share of the drop, from the upper end. */
  readonly crest: number;
  /** Width at the upper and at the lower end (fired mm). */
  readonly top: number;
  readonly bottom: number;
  /** Wet thickness of the strap, or of a pulled handle in its middle (mm). */
  readonly thickness: number;
  /** Wet length added at each end of a strap, to be scored and blended in (mm). */
  readonly ends: number;
  /** Straps made over and above, since some crack. */
  readonly spares: number;
}

/** All kinds of handles. */
export const HANDLE_KINDS: readonly Handle['kind'][] = ['strap', 'pulled'];

/** A handle that two fingers go through. */
export const DEFAULT_HANDLE: Handle = {
  kind: 'strap',
  fingers: 2,
  clearance: 3,
  projection: 36,
  below: 12,
  crest: 0.42,
  top: 24,
  bottom: 18,
  thickness: 6,
  ends: 4,
  spares: 0,
};

/** Limits of the figures of a handle (mm, fired or wet as they are meant). */
export const HANDLE_LIMITS = {
  fingers: { least: 1, greatest: 4 },
  clearance: { least: 0, greatest: 30 },
  length: { least: 1, greatest: 400 },
  below: { least: 0, greatest: 400 },
  crest: { least: 0.15, greatest: 0.85 },
  thickness: { least: 1, greatest: 40 },
  ends: { least: 0, greatest: 60 },
  spares: { least: 0, greatest: 4 },
} as const;

/** A finger, thick (mm): a rule of the bench; a potter with larger hands gives more room. */
export const FINGER = 18;

/** What a pulled handle is pulled from, against what stands on the piece: the stub that is held and what is cut off. */
export const PULLED_RESERVE = 1.5;
