import { degrees } from '../../numbers.ts';
import type { Base } from '../../target/target.ts';

/** A round wall by its two faces: their radii on the level at a height, and the wall's slope there (wet mm, radians). */
export interface RoundFaces {
  readonly outer: (z: number) => number;
  readonly inner: (z: number) => number;
  readonly slopeAt: (z: number) => number;
}

/** A base disc under or within a round wall: diameters of its under and upper face, lean of its edge seen inside up (degrees). */
export interface RoundBase {
  /** Height at which the wall's neutral surface starts. */
  readonly start: number;
  /** Lean of the wall's foot, degrees, signed as seen with the inside face up. */
  readonly footLean: number;
  readonly disc: { readonly under: number; readonly top: number; readonly lean: number } | null;
}

/** Wall, floor and neutral fraction that a base is joined with. Wet mm. */
export interface RoundSlab {
  readonly wall: number;
  readonly floor: number;
  readonly neutralFraction: number;
}

/**
 * Where the wall starts and what its base is, for each school (geometry: cone, cylinder). A level edge of a slanting
 * wall leans by its slope: tucked at the foot of a flare as seen with the inside up.
 */
export function roundBase({ outer, inner, slopeAt }: RoundFaces, base: Base, slab: RoundSlab): RoundBase {
  const { wall: t, floor: tb, neutralFraction: k } = slab;
  const level = (z: number) => -degrees(slopeAt(z));
  const grown = 2 * base.trim;
  const disc = (under: number, top: number) => ({
    under: 2 * under + grown,
    top: 2 * top + grown,
    lean: degrees(Math.atan((under - top) / tb)),
  });
  switch (base.join) {
    case 'none':
      return { start: 0, footLean: level(0), disc: null };
    case 'under': {
      // A disc that is trimmed to the wall after joining is cut straight down, as wide as the wider face needs.
      const wide = Math.max(outer(0), outer(tb));
      const cut = base.trim > 0 ? disc(wide, wide) : disc(outer(0), outer(tb));
      return { start: tb, footLean: level(tb), disc: cut };
    }
    case 'inside':
      return { start: 0, footLean: level(0), disc: disc(inner(0), inner(tb)) };
    case 'skirt':
      return { start: tb, footLean: level(tb), disc: disc(outer(tb) + base.overlap, outer(tb)) };
    case 'mitre': {
      // The slant runs from the outer edge on the table to the inner edge on the floor.
      const start = tb * (1 - k);
      const slope = slopeAt(start);
      const along = (inner(tb) - outer(0)) * Math.sin(slope) + tb * Math.cos(slope);
      return { start, footLean: degrees(Math.atan(along / t)), disc: disc(outer(0), inner(tb)) };
    }
  }
}
