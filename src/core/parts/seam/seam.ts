import type { Seam } from '../../target/seam.ts';
import { radians } from '../../numbers.ts';

/** What a seam adds to a wall. */
export interface SeamAllowance {
  /** Length of slab beyond the wrap that is taken by a slanted cut (mm); the traced line does not grow by it. */
  readonly run: number;
  /** Length by which the traced outline itself grows (mm). */
  readonly added: number;
  /** Lean of both ends from straight down (degrees, not signed). */
  readonly lean: number;
}

/**
 * The allowance of a seam on a slab of `thickness` mm. A bevel at angle b from the face runs `t / tan b`
 * (geometry: seams); a lap and a half-lap lengthen the outline by their overlap, a wall cut in place by its margin at
 * both ends; a butt adds nothing.
 */
export function seamAllowance(seam: Seam, thickness: number): SeamAllowance {
  switch (seam.kind) {
    case 'bevel': {
      const square = seam.angle >= 90;
      return {
        run: square ? 0 : thickness / Math.tan(radians(seam.angle)),
        added: 0,
        lean: square ? 0 : 90 - seam.angle,
      };
    }
    case 'butt':
      return { run: 0, added: 0, lean: 0 };
    case 'lap':
    case 'half-lap':
      return { run: 0, added: seam.overlap, lean: 0 };
    case 'cut-in-place':
      return { run: 0, added: 2 * seam.margin, lean: 0 };
  }
}

/** What a seam adds to the traced line at the left and right end of a wall as it lies (mm). */
export interface SeamEnds {
  readonly left: number;
  readonly right: number;
}

/**
 * Where what a seam adds lies: a lap at the end that follows anticlockwise round the standing piece, which is the right one
 * with the outside up and the left one with the inside up; the spare of a wall cut in place at both.
 */
export function seamEnds(seam: Seam, thickness: number, faceUp: 'inside' | 'outside'): SeamEnds {
  const { added } = seamAllowance(seam, thickness);
  if (seam.kind === 'cut-in-place') return { left: added / 2, right: added / 2 };
  return faceUp === 'outside' ? { left: 0, right: added } : { left: added, right: 0 };
}
