import { degrees } from '../../numbers.ts';
import { inward, lowered, mitred } from '../../geometry/outline/derived.ts';
import { stationsOf } from '../../geometry/outline/stations.ts';
import { type Support } from '../../geometry/outline/support.ts';
import { basePart } from '../../parts/part/basePart.ts';
import type { Part } from '../../parts/part/part.ts';
import type { Target } from '../../target/target.ts';

/** What a base is joined to: the outer outline at a height, and the wall's slope at a normal (radians). */
export interface LevelWall {
  readonly outerAt: (z: number) => Support;
  readonly slopeAt: (phi: number) => number;
  readonly target: Target;
}

/** Where the wall starts (wet mm), the lean of a mitred foot (degrees, inside up), and the base itself. */
export interface LevelBase {
  readonly start: number;
  readonly footLean: number;
  /** Lean of the wall's foot at a normal (radians), degrees as seen with the inside up. */
  readonly footLeanAt: (phi: number) => number;
  readonly under: Support | null;
  readonly top: Support | null;
  readonly part: Part | null;
}

/** The inner outline at a height: each tangent moves in by `t / cos a` of its own slope. */
function innerAt(wall: LevelWall, z: number): Support {
  return mitred(lowered(wall.outerAt(z), (phi) => wall.target.slab.wall / Math.cos(wall.slopeAt(phi))));
}

/** How far one outline reaches past another at most, by their tangents; 0 where it lies within (mm). */
function furthestOut(one: Support, other: Support): number {
  const normals = [...stationsOf(one.flats, 360), ...stationsOf(other.flats, 360)].map(({ phi }) => phi);
  return Math.max(0, ...normals.map((phi) => one.h(phi) - other.h(phi)));
}

/** The base of a piece that is not round, for each school: its outline is the piece's own, not a circle. */
export function levelBase(wall: LevelWall): LevelBase {
  const { base, slab } = wall.target;
  const { base: tb, wall: t, neutralFraction: k, faceUp } = slab;
  const levelAt = (phi: number) => -degrees(wall.slopeAt(phi));
  const made = (
    under: Support,
    top: Support,
    { start, footLeanAt = levelAt }: { readonly start: number; readonly footLeanAt?: (phi: number) => number },
  ): LevelBase => {
    const faces = { under: inward(under, -base.trim), top: inward(top, -base.trim) };
    return {
      start,
      footLean: footLeanAt(0),
      footLeanAt,
      ...faces,
      part: basePart({ ...faces, thickness: tb, faceUp }),
    };
  };
  switch (base.join) {
    case 'none':
      return { start: 0, footLean: levelAt(0), footLeanAt: levelAt, under: null, top: null, part: null };
    case 'under': {
      const [under, top] = [wall.outerAt(0), wall.outerAt(tb)];
      if (base.trim === 0) return made(under, top, { start: tb });
      // A base trimmed after joining is cut straight down, wide enough for both faces.
      const wide = inward(under, -furthestOut(top, under));
      return made(wide, wide, { start: tb });
    }
    case 'inside':
      return made(innerAt(wall, 0), innerAt(wall, tb), { start: 0 });
    case 'skirt':
      // The slant is folded up over the wall, which stands on the base's upper face.
      return made(inward(wall.outerAt(tb), -base.overlap), wall.outerAt(tb), { start: tb });
    case 'mitre': {
      const [under, top] = [wall.outerAt(0), innerAt(wall, tb)];
      return made(under, top, {
        start: tb * (1 - k),
        footLeanAt: (phi) => {
          const a = wall.slopeAt(phi);
          const along = (top.h(phi) - under.h(phi)) * Math.sin(a) + tb * Math.cos(a);
          return degrees(Math.atan(along / t));
        },
      });
    }
  }
}
