import { bandsOf, seamTurn } from './bands.ts';
import type { Target } from '../../target/target.ts';
import { cutWall, wetPiece } from './wetPiece.ts';
import { radiusInside } from '../../parts/wall/cone.ts';
import { radians, TAU } from '../../numbers.ts';
import { type BasePlate, type BentWall, type Body, RULINGS, ring } from '../kind/body.ts';
import type { Point3 } from '../../geometry/point.ts';

/** A conical or straight band on its neutral surface: radii and heights of its edges (wet mm), leans in degrees. */
interface Hoop {
  readonly low: { readonly radius: number; readonly z: number };
  readonly high: { readonly radius: number; readonly z: number };
  readonly footLean: number;
  readonly rimLean: number;
}

/** A target, and how many rulings its walls have once round. */
interface Round {
  readonly target: Target;
  readonly rulings: number;
}

/** Where a hoop stands: its band from below, the part it is cut as, and the angle of its first seam (radians). */
interface HoopPlace {
  readonly band: number;
  readonly part: string;
  readonly start: number;
}

/** The parts of one hoop. */
function hoopWalls(hoop: Hoop, { target, rulings }: Round, { band, part, start }: HoopPlace): BentWall[] {
  const { panels } = target.seam;
  const count = Math.max(12, Math.ceil(rulings / panels / 2) * 2);
  return Array.from({ length: panels }, (_, panel): BentWall => {
    const angles = Array.from({ length: count + 1 }, (__, step) => start + (TAU * (panel + step / count)) / panels);
    const line = ({ radius, z }: Hoop['low']) =>
      angles.map((angle): Point3 => [radius * Math.cos(angle), radius * Math.sin(angle), z]);
    return {
      kind: 'bent',
      part,
      lows: line(hoop.low),
      highs: line(hoop.high),
      footLeans: angles.map(() => hoop.footLean),
      rimLeans: angles.map(() => hoop.rimLean),
      thickness: target.slab.wall,
      neutralFraction: target.slab.neutralFraction,
      seam: target.seam,
      band,
    };
  });
}

function disc(disc: { under: number; top: number } | null, thickness: number): BasePlate | null {
  return disc && { under: ring(disc.under / 2), top: ring(disc.top / 2), thickness };
}

/** A straight round piece as it stands. */
export function straightBody(target: Target, rulings = RULINGS): Body {
  const { slab } = target;
  const piece = wetPiece(target);
  const cut = cutWall(target);
  const radius = cut.neutral / 2;
  const hoop: Hoop = {
    low: { radius, z: piece.height - cut.wallHeight },
    high: { radius, z: piece.height },
    footLean: cut.footLean,
    rimLean: 0,
  };
  return {
    walls: hoopWalls(hoop, { target, rulings }, { band: 0, part: 'wall', start: 0 }),
    base: disc(cut.disc, slab.base),
    height: piece.height,
    faceUp: slab.faceUp,
  };
}

/** A taper or a stack of tapers as it stands, the seams turned away from one another. */
export function taperedBody(target: Target, rulings = RULINGS): Body {
  const { slab, seam } = target;
  const { bands, foot } = bandsOf(target);
  const depth = (1 - slab.neutralFraction) * slab.wall;
  const walls = bands.flatMap(({ line, from, to, footLean, rimLean }, index) => {
    const edge = (z: number) => ({ radius: radiusInside(line, z, depth), z });
    const hoop: Hoop = { low: edge(from), high: edge(to), footLean, rimLean };
    const part = bands.length === 1 ? 'wall' : `wall-${index + 1}`;
    return hoopWalls(hoop, { target, rulings }, { band: index, part, start: radians(seamTurn(index, seam.panels)) });
  });
  return { walls, base: disc(foot.disc, slab.base), height: bands.at(-1)?.to ?? 0, faceUp: slab.faceUp };
}
