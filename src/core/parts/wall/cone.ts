import { degrees, root, TURN_TOLERANCE } from '../../numbers.ts';
import type { Base, Rim } from '../../target/target.ts';
import { roundBase, type RoundBase, type RoundSlab } from './roundBase.ts';

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
  const steepest = Math.PI / 2 - TURN_TOLERANCE;
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

/** Where a conical wall starts and what its base is (wet mm). */
export function coneBase(line: ConeLine, base: Base, slab: RoundSlab): RoundBase {
  const faces = {
    outer: (z: number) => outerRadius(line, z),
    inner: (z: number) => radiusInside(line, z, slab.wall),
    slopeAt: () => line.halfAngle,
  };
  return roundBase(faces, base, slab);
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
