import { degrees } from '../../numbers.ts';
import type { Base } from '../../target/target.ts';

/** Input for the wall and base of a straight cylinder. Wet mm. */
export interface CylinderSizes {
  /** Wet outside diameter. */
  readonly outside: number;
  /** Wet overall height, table to rim. */
  readonly height: number;
  /** Wet thickness of wall and base. */
  readonly wall: number;
  readonly floor: number;
  /** Neutral fraction k, from the inner face. */
  readonly neutralFraction: number;
  readonly base: Base;
}

/** A developed cylinder, on its neutral surface. Wet mm, degrees. Leans are signed as seen with the inside face up. */
export interface DevelopedCylinder {
  /** Neutral diameter. */
  readonly neutral: number;
  /** Wet inside diameter. */
  readonly inside: number;
  /** Length of the wrap on the neutral surface. */
  readonly wrapLength: number;
  /** Height of the wall on the neutral surface. */
  readonly wallHeight: number;
  /** Lean of the wall's foot. */
  readonly footLean: number;
  /** The base disc, null when there is none: diameters of its under and upper face, lean of its edge. */
  readonly disc: { readonly under: number; readonly top: number; readonly lean: number } | null;
}

/**
 * Develops a straight cylinder (geometry: cylinder). The wrap is `pi * Dn` with `Dn = Do - 2 t (1 - k)`.
 * With a mitred base the wall's foot is cut on the slant, so its neutral line stands `tb (1 - k)` above the table;
 * with a skirt the disc's upper face ends at the wall and its under face `overlap` beyond it.
 */
export function developCylinder(sizes: CylinderSizes): DevelopedCylinder {
  const { outside, height, wall: t, floor: tb, neutralFraction: k, base } = sizes;
  const inside = outside - 2 * t;
  const neutral = outside - 2 * t * (1 - k);
  const shared = { neutral, inside, wrapLength: Math.PI * neutral, footLean: 0 };
  const grown = 2 * base.trim;
  switch (base.join) {
    case 'none':
      return { ...shared, wallHeight: height, disc: null };
    case 'under':
      return { ...shared, wallHeight: height - tb, disc: { under: outside + grown, top: outside + grown, lean: 0 } };
    case 'inside':
      return { ...shared, wallHeight: height, disc: { under: inside + grown, top: inside + grown, lean: 0 } };
    case 'mitre':
      return {
        ...shared,
        wallHeight: height - tb * (1 - k),
        footLean: degrees(Math.atan(tb / t)),
        disc: { under: outside + grown, top: inside + grown, lean: degrees(Math.atan(t / tb)) },
      };
    case 'skirt':
      return {
        ...shared,
        wallHeight: height - tb,
        disc: {
          under: outside + 2 * base.overlap + grown,
          top: outside + grown,
          lean: degrees(Math.atan(base.overlap / tb)),
        },
      };
  }
}
