import { degrees, TAU } from '../../numbers.ts';
import { stationsOf } from '../../geometry/outline/stations.ts';
import { mergedFlats } from '../../geometry/outline/derived.ts';
import { loftBase, wallOf } from './loft.ts';
import type { Target } from '../../target/target.ts';
import { rulingPairs, slopeAt } from '../../parts/wall/loft.ts';
import { type BentWall, type Body, RULINGS, platePoints } from '../kind/body.ts';

/** An oval or a loft as it stands, its first seam at the end of the x axis. */
export function loftBody(target: Target, rulings = RULINGS): Body {
  const { slab, seam } = target;
  const wall = wallOf(target);
  const { start: from, footLeanAt, under, top } = loftBase(target, wall);
  const depth = (1 - slab.neutralFraction) * slab.wall;
  const flats = mergedFlats(wall.foot, wall.rim);
  const sweep = TAU / seam.panels;
  const walls = Array.from({ length: seam.panels }, (_, panel): BentWall => {
    const stations = stationsOf(flats, rulings, { start: panel * sweep, sweep });
    const { lows, highs } = rulingPairs(wall, { from, to: wall.height, depth }, stations);
    return {
      kind: 'bent',
      part: seam.panels === 1 || target.form.kind === 'oval' ? 'wall' : `wall-${panel + 1}`,
      lows,
      highs,
      footLeans: stations.map(({ phi }) => footLeanAt(phi)),
      rimLeans: stations.map(({ phi }) => degrees(slopeAt(wall, phi))),
      normals: stations.map(({ phi }) => phi),
      thickness: slab.wall,
      neutralFraction: slab.neutralFraction,
      seam,
      band: 0,
    };
  });
  const base = under && top ? { ...platePoints(under, top), thickness: slab.base } : null;
  return { walls, base, height: wall.height, faceUp: slab.faceUp };
}
