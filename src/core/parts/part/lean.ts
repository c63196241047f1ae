import type { Face } from '../../target/face.ts';
import { radians } from '../../numbers.ts';

/** The fixed words for a lean. */
export type LeanWord = 'straight down' | 'spread' | 'tuck';

/**
 * How a cut edge leans: degrees from straight down, `spread` (+) when the blade runs outward beneath the template and
 * the underside is larger than the line, `tuck` (-) when it is smaller.
 */
export interface Lean {
  /**
   * The edge's name: `rim`, `foot`, `left`, `right`, `side` for both sides of a panel, `round` for a whole base, or a dart's
   * sides as seen from the rim inward.
   */
  readonly edge: 'rim' | 'foot' | 'left' | 'right' | 'side' | 'round' | 'dart-left' | 'dart-right';
  /** First and last vertex of the outline that the edge runs between. */
  readonly from: number;
  readonly to: number;
  /** Degrees from straight down, signed; where it varies along the edge, the largest. */
  readonly lean: number;
  /** Least and greatest lean where it varies along the edge, degrees, signed. */
  readonly least?: number;
  readonly greatest?: number;
  readonly word: LeanWord;
}

/** A lean smaller than this is cut straight down (degrees): no hand holds a blade more exactly. */
export const LEAN_TOLERANCE = 0.05;

/** The word for a signed lean in degrees. */
export function leanWord(lean: number): LeanWord {
  if (Math.abs(lean) < LEAN_TOLERANCE) return 'straight down';
  return lean > 0 ? 'spread' : 'tuck';
}

/** Whether two leans are shown alike: the same edge and the same figure. */
export function sameLean(one: Lean, other: Lean): boolean {
  return (
    one.edge === other.edge &&
    one.word === other.word &&
    one.lean === other.lean &&
    one.least === other.least &&
    one.greatest === other.greatest
  );
}

/** The lean with the piece's other face up: the sign changes. */
export function turnedLean(lean: number): number {
  return lean === 0 ? 0 : -lean;
}

/**
 * How far the line on the upper face lies inside the neutral line (mm; negative: outside of it).
 *
 * @param lean signed degrees from straight down, as seen with this face up
 * @param toUpper distance between the neutral surface and the face that lies up (mm)
 */
export function inset(lean: number, toUpper: number): number {
  return toUpper * Math.tan(radians(lean));
}

/** Distance from the neutral surface to the face that lies up (mm), for a slab of thickness `t` and neutral fraction `k`. */
export function distanceToUpper(t: number, k: number, faceUp: Face): number {
  return faceUp === 'inside' ? k * t : (1 - k) * t;
}
