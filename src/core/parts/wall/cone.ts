import { degrees, root } from '../../numbers.ts';
import type { Base, Rim } from '../../target/target.ts';

/** A conical band by its outer line, wet mm; angles in radians, positive when it flares upward. */
export interface ConeLine {
  /** Outer radius at height 0 of the line (it may lie below the band's own start). */
  readonly radius: number;
  readonly halfAngle: number;
}

/** Outer radius at a height. */
export function outerRadius(line: ConeLine, z: number): number {
  return line.radius + z * Math.tan(line.halfAngle);
}

/** Radius of the surface `depth` mm inside the outer face, in the level plane at height z: `Ro - depth / cos a`. */
export function radiusInside(line: ConeLine, z: number, depth: number): number {
  return outerRadius(line, z) - depth / Math.cos(line.halfAngle);
}

/** Input for the outer line of a tapered wall. Wet mm: radii over the measured face. */
export interface ConeTarget {
  readonly rim: number;
  readonly foot: number;
  readonly height: number;
  readonly wall: number;
  readonly face: 'inside' | 'outside';
  readonly rimCut: Rim;
}

/**
 * The outer line of a tapered wall (geometry: cone). With a square rim one edge of it is lower than the other by
 * `t sin|a|`: the outer one on a flare. The measured face reaches its diameter at its own edge, so a is a root.
 */
export function coneLine(target: ConeTarget): ConeLine {
  const { rim, foot, height, wall: t, face, rimCut } = target;
  const drop = (a: number): number => {
    if (rimCut === 'level') return 0;
    const lower = face === 'outside' ? a > 0 : a < 0;
    return lower ? t * Math.sin(Math.abs(a)) : 0;
  };
  const level = Math.atan((rim - foot) / height);
  const off = (a: number) => (height - drop(a)) * Math.tan(a) - (rim - foot);
  const steepest = Math.PI / 2 - 1e-6;
  const halfAngle = rimCut === 'level' ? level : (root(off, ...bracket(level, steepest)) ?? level);
  return { halfAngle, radius: face === 'outside' ? foot : foot + t / Math.cos(halfAngle) };
}

/** A wall with a square rim slants a little more than one with a level rim, never less. */
function bracket(level: number, steepest: number): [number, number] {
  return level >= 0 ? [level, steepest] : [-steepest, level];
}

/** Height at which the neutral surface ends at the rim (wet mm), k from the inner face. */
export function neutralRim(line: ConeLine, height: number, cut: { rim: Rim; wall: number; k: number }): number {
  if (cut.rim === 'level') return height;
  const sine = Math.sin(line.halfAngle);
  // On a flare the inner edge stands at the full height, else the outer one.
  return sine > 0 ? height - cut.k * cut.wall * sine : height - (1 - cut.k) * cut.wall * -sine;
}

/** A base disc under or within a cone: diameters of its under and upper face, lean of its edge seen inside up (degrees). */
export interface ConeBase {
  /** Height at which the wall's neutral surface starts. */
  readonly start: number;
  /** Lean of the wall's foot, degrees, signed as seen with the inside face up. */
  readonly footLean: number;
  readonly disc: { readonly under: number; readonly top: number; readonly lean: number } | null;
}

/** Wall, floor and neutral fraction that a base is joined with. Wet mm. */
export interface ConeSlab {
  readonly wall: number;
  readonly floor: number;
  readonly neutralFraction: number;
}

/**
 * Where the wall starts and what its base is, for each school (geometry: cone, cylinder). A level edge of a slanting
 * wall leans by a: tucked at the foot of a flare as seen with the inside up.
 */
export function coneBase(line: ConeLine, base: Base, slab: ConeSlab): ConeBase {
  const { wall: t, floor: tb, neutralFraction: k } = slab;
  const level = -degrees(line.halfAngle);
  const grown = 2 * base.trim;
  const disc = (under: number, top: number) => ({
    under: under + grown,
    top: top + grown,
    lean: degrees(Math.atan((under - top) / 2 / tb)),
  });
  const outer = (z: number) => 2 * outerRadius(line, z);
  const inner = (z: number) => 2 * radiusInside(line, z, t);
  switch (base.join) {
    case 'none':
      return { start: 0, footLean: level, disc: null };
    case 'under': {
      // A disc that is trimmed to the wall after joining is cut straight down, as wide as the wider face needs.
      const wide = Math.max(outer(0), outer(tb));
      return { start: tb, footLean: level, disc: base.trim > 0 ? disc(wide, wide) : disc(outer(0), outer(tb)) };
    }
    case 'inside':
      return { start: 0, footLean: level, disc: disc(inner(0), inner(tb)) };
    case 'skirt':
      return { start: tb, footLean: level, disc: disc(outer(tb) + 2 * base.overlap, outer(tb)) };
    case 'mitre': {
      // The slant runs from the outer edge on the table to the inner edge on the floor.
      const across = (inner(tb) - outer(0)) / 2;
      const along = across * Math.sin(line.halfAngle) + tb * Math.cos(line.halfAngle);
      return { start: tb * (1 - k), footLean: degrees(Math.atan(along / t)), disc: disc(outer(0), inner(tb)) };
    }
  }
}

/** A developed conical band. Wet mm and degrees, on the neutral surface. */
export interface ConeNumbers {
  readonly halfAngle: number;
  readonly slant: number;
  /** Radii of the flat arcs; Infinity when the band is straight. */
  readonly arcFoot: number;
  readonly arcRim: number;
  readonly sweep: number;
  readonly girthFoot: number;
  readonly girthRim: number;
}

/** Develops the neutral surface of a band between two heights: `Rn / sin|a|`, sweep `360 sin|a|` (geometry: cone). */
export function developCone(line: ConeLine, span: { from: number; to: number; depth: number }): ConeNumbers {
  const foot = radiusInside(line, span.from, span.depth);
  const rim = radiusInside(line, span.to, span.depth);
  const sine = Math.abs(Math.sin(line.halfAngle));
  return {
    halfAngle: degrees(line.halfAngle),
    slant: (span.to - span.from) / Math.cos(line.halfAngle),
    arcFoot: foot / sine,
    arcRim: rim / sine,
    sweep: 360 * sine,
    girthFoot: 2 * Math.PI * foot,
    girthRim: 2 * Math.PI * rim,
  };
}
