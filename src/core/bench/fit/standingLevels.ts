import { bentSheet } from '../../forms/bentSheet/bentSheet.ts';
import { firedLength } from '../../units/shrinkage.ts';
import { faceMesh, isDraped } from '../../forms/mould/draped.ts';
import { once, radians } from '../../numbers.ts';
import { hull } from '../../geometry/outline/hull.ts';
import { pointsAt, stationsAround } from '../../geometry/outline/stations.ts';
import { circle, type PlanPoint, type Support } from '../../geometry/outline/support.ts';
import { additionsOf, handleAside, lugPoints } from '../../forms/additions.ts';
import { kindOf } from '../../forms/kinds.ts';
import type { Standing } from '../../forms/kind/standing.ts';
import type { Target } from '../../target/target.ts';

/** The part of a standing piece that reaches farthest at a height. */
export type StandingThing = 'wall' | 'handle' | 'lug' | 'lid' | 'knob';

/** Places of a standing piece at a height over the table, seen from above; fired mm. */
export interface StandingLevel {
  readonly z: number;
  readonly of: StandingThing;
  readonly points: readonly PlanPoint[];
}

/** All of a standing piece, from the table up, and the outline of its wall at any height in between. Fired mm. */
export interface StandingLevels {
  readonly levels: readonly StandingLevel[];
  readonly wallAt: (z: number) => readonly PlanPoint[];
  /** Height of all that stands: pads, wall, handles, lugs, lid and knob. */
  readonly height: number;
}

/** Places round a curved outline. */
const STATIONS = 180;

/** Rows of a point cloud. */
const ROWS = 48;

function pointsOf(shape: Support): PlanPoint[] {
  return pointsAt(shape, stationsAround(shape, STATIONS));
}

/** Points all over a piece that is not made of level outlines, in rows from below: each row has the points up to its height. */
function cloudLevels(points: readonly (readonly [number, number, number])[]): StandingLevel[] {
  const heights = points.map(([, , z]) => z);
  const low = heights.reduce((least, z) => Math.min(least, z), Infinity);
  const high = heights.reduce((most, z) => Math.max(most, z), -Infinity);
  const rows = Array.from({ length: ROWS + 1 }, () => [] as PlanPoint[]);
  for (const [x, y, z] of points) rows[Math.ceil(((z - low) / (high - low || 1)) * ROWS)]?.push([x, y]);
  return rows.flatMap((row, index) =>
    row.length > 0 ? [{ z: ((high - low) * index) / ROWS, of: 'wall' as const, points: hull(row) }] : [],
  );
}

/** The faces of a draped mesh or a bent sheet as points, wet mm; null where the piece is made of level outlines. */
function cloudOf(target: Target): (readonly [number, number, number])[] | null {
  const { form, slab } = target;
  if (form.kind === 'sheet') {
    const bent = bentSheet(form, slab.wall, slab.neutralFraction);
    return [...bent.outer, ...bent.inner];
  }
  if (!isDraped(target) || form.kind !== 'mesh') return null;
  const points: [number, number, number][] = [];
  for (const face of ['outer', 'inner'] as const) {
    const { positions } = faceMesh(target, face, 0);
    for (let at = 0; at < positions.length; at += 3) {
      points.push([positions[at] as number, positions[at + 1] as number, positions[at + 2] as number]);
    }
  }
  return points;
}

/** Both edges of a handle's outer face, and of its inner one, at each of its places. Fired mm. */
function handleLevels(target: Target, standing: Standing, lift: number): StandingLevel[] {
  const made = additionsOf(target).handle;
  const { handle } = target;
  if (!made || !handle) return [];
  return made.angles.flatMap((angle) => {
    const phi = radians(angle);
    const [cos, sin] = [Math.cos(phi), Math.sin(phi)];
    const aside = firedLength(handleAside(target, standing, angle), target.clay.shrinkage);
    return (['outer', 'inner'] as const).flatMap((face) =>
      made.curve[face].map(([reach, z], index, line): StandingLevel => {
        const half = (handle.top + ((handle.bottom - handle.top) * index) / (line.length - 1)) / 2;
        const at = (side: number): PlanPoint => [reach * cos - side * sin, reach * sin + side * cos];
        return { z: z + lift, of: 'handle', points: [at(aside - half), at(aside + half)] };
      }),
    );
  });
}

/** Both lugs, at their under and their upper face. */
function lugLevels(target: Target, lift: number): StandingLevel[] {
  const made = additionsOf(target).lugs;
  if (!made) return [];
  const s = target.clay.shrinkage;
  return [made.bottom, made.top].map((z) => {
    const points = made.angles
      .flatMap((_, turn) => lugPoints(made, turn))
      .map(([x, y]): PlanPoint => [firedLength(x, s), firedLength(y, s)]);
    return { z: firedLength(z, s) + lift, of: 'lug' as const, points };
  });
}

/** The ball on the lid: where it is widest, and its top. */
function knobLevels(target: Target, { height, rim }: Standing, lift: number): StandingLevel[] {
  const { knob } = additionsOf(target);
  if (!knob) return [];
  const s = target.clay.shrinkage;
  const radius = firedLength(knob.across / 2, s);
  const middle = firedLength((rim[1] + rim[2]) / 2, s);
  const on = firedLength(height + target.slab.base, s) + lift;
  const round = pointsOf(circle(radius)).map(([x, y]): PlanPoint => [x + middle, y]);
  return [
    { z: on + radius, of: 'knob', points: round },
    { z: on + 2 * radius, of: 'knob', points: [[middle, 0]] },
  ];
}

function lidLevels(target: Target, { height }: Standing, lift: number): StandingLevel[] {
  const made = additionsOf(target).lid;
  const { lid, slab, clay } = target;
  if (!lid || !made) return [];
  const s = clay.shrinkage;
  const plate = pointsOf(made.plate).map(([x, y]): PlanPoint => [firedLength(x, s), firedLength(y, s)]);
  const rim = firedLength(height, s) + lift;
  const low = lid.kind === 'cap' ? rim - lid.depth : rim;
  return [low, rim, rim + firedLength(slab.base, s)].map((z) => ({ z, of: 'lid' as const, points: plate }));
}

/**
 * The finished piece by what it shows to a hole that it is let down into: wall and belly, handles, lugs and lid, with its pads
 * under it. Each is named, so that advice can say what is in the way.
 */
export const standingLevels = once((target: Target): StandingLevels => {
  const standing = kindOf(target).standing(target);
  const s = target.clay.shrinkage;
  const fired = ([x, y]: PlanPoint): PlanPoint => [firedLength(x, s), firedLength(y, s)];
  const lift = firedLength(target.feet?.thickness ?? 0, s);
  const wallAt = (z: number) => pointsOf(standing.section((z - lift) / (1 - s)).outer).map(fired);
  const cloud = cloudOf(target);
  const feet = 'feet' in target.form ? (target.form.feet?.height ?? 0) : 0;
  const walls = cloud
    ? cloudLevels(cloud).map(({ z, of, points }) => ({ z: firedLength(z, s) + feet, of, points: points.map(fired) }))
    : [...new Set([0, ...standing.outer.map(([z]) => z), standing.height])].map((wet): StandingLevel => {
        const z = firedLength(wet, s) + lift;
        return { z, of: 'wall', points: wallAt(z) };
      });
  // A level flange beyond a mould's rim is not part of its mesh.
  if (cloud && isDraped(target))
    walls.push({ z: firedLength(standing.height, s), of: 'wall', points: wallAt(firedLength(standing.height, s)) });
  const levels = [
    ...walls,
    ...handleLevels(target, standing, lift),
    ...lugLevels(target, lift),
    ...lidLevels(target, standing, lift),
    ...knobLevels(target, standing, lift),
  ];
  levels.sort((one, other) => one.z - other.z);
  return { levels, wallAt, height: levels.at(-1)?.z ?? 0 };
});
