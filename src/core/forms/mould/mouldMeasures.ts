import { movedMould, type MovedMould } from './movedMould.ts';
import { planArea } from '../../geometry/outline/planMeasures.ts';
import { pointAt } from '../../geometry/outline/stations.ts';
import { turned } from '../../geometry/outline/support.ts';
import { TAU } from '../../numbers.ts';
import type { Reach } from '../kind/standing.ts';
import { middleOfMould } from './mouldMesh.ts';
import { type MouldSurface } from './mouldSurface.ts';
import type { Bearing } from './roundTable.ts';
import type { Point3 } from '../../geometry/point.ts';

/** Rows of a silhouette, steps along the section that it is taken from, and steps round the floor's edge. */
const ROWS = 24;
const STEPS = 40;
const EDGE_STEPS = 6;

/** Places once round and steps up the wall by which the hollow is measured. */
const ROUND = 48;
const UP = 40;

/** A mould's surface moved along its normals, measured from outside without any mesh (mm). */
export interface MouldMeasures {
  readonly least: Point3;
  readonly greatest: Point3;
  /** Its silhouette seen along the y axis, from below. */
  readonly silhouette: readonly Reach[];
  /** Height of the lowest place of its rim. */
  readonly lowestRim: number;
}

/** Along the section from the floor's edge to the rim. */
function section(
  moved: MovedMould,
  bearing: Bearing,
  { steps, edgeSteps }: { readonly steps: number; readonly edgeSteps: number },
): Point3[] {
  const edge = moved.turning
    ? Array.from({ length: edgeSteps }, (_, step) => moved.edgeAt(bearing, step / edgeSteps))
    : [];
  return [...edge, ...Array.from({ length: steps + 1 }, (_, step) => moved.wallAt(bearing, step / steps))];
}

/** How far the surface reaches towards a direction at heights: each level line's furthest place lies on the bearing that faces it. */
function reaches(moved: MovedMould, phi: number): (readonly [height: number, reach: number])[] {
  const [cos, sin] = [Math.cos(phi), Math.sin(phi)];
  return section(moved, moved.facing(phi), { steps: STEPS, edgeSteps: EDGE_STEPS }).map(([x, y, z]) => [
    z,
    x * cos + y * sin,
  ]);
}

/** The reach at a height; above or below the section that of its end. */
function reachAt(line: readonly (readonly [number, number])[], height: number): number {
  const ends = [line[0], line.at(-1)] as [readonly [number, number], readonly [number, number]];
  let most = height <= ends[0][0] ? ends[0][1] : height >= ends[1][0] ? ends[1][1] : -Infinity;
  for (let at = 1; at < line.length; at += 1) {
    const [[z0, r0], [z1, r1]] = [line[at - 1], line[at]] as [readonly [number, number], readonly [number, number]];
    if (height < Math.min(z0, z1) || height > Math.max(z0, z1)) continue;
    most = Math.max(most, z1 === z0 ? Math.max(r0, r1) : r0 + ((height - z0) / (z1 - z0)) * (r1 - r0));
  }
  return most;
}

/** Places once round: the ends of flat edges, and even turns between; what lies within a mitred corner is left out. */
function bearingsRound({ rim: { flats } }: MouldSurface, moved: MovedMould): Bearing[] {
  const turns = (from: number, to: number): Bearing[] => {
    const count = Math.max(1, Math.ceil((ROUND * (to - from)) / TAU));
    return Array.from({ length: count - 1 }, (_, step) => ({
      phi: from + ((step + 1) * (to - from)) / count,
      along: 0,
    }));
  };
  if (flats.length === 0) return [{ phi: 0, along: 0 }, ...turns(0, TAU)];
  return flats.flatMap((from, index) => {
    const to = from + (turned((flats[(index + 1) % flats.length] ?? from) - from) || TAU);
    const mitred = moved.facing((from + to) / 2).phi === from;
    return [{ phi: from, along: 0 }, { phi: from, along: 1 }, ...(mitred ? [] : turns(from, to))];
  });
}

/** Measures a mould's surface moved along its normals by a distance (mm, positive out of the piece). */
export function mouldMeasures(surface: MouldSurface, distance: number): MouldMeasures {
  const moved = movedMould(surface, distance);
  const rim = bearingsRound(surface, moved).map((bearing) => moved.wallAt(bearing, 1)[2]);
  const sides = [0, 0.25, 0.5, 0.75].map((turn) => reaches(moved, turn * TAU));
  const furthest = sides.map((line) => line.reduce((most, [, reach]) => Math.max(most, reach), -Infinity));
  const [right = 0, back = 0, left = 0, front = 0] = furthest;
  const [low, high] = [moved.floor, Math.max(...rim)];
  const [toRight = [], , toLeft = []] = sides;
  return {
    least: [-left, -front, low],
    greatest: [right, back, high],
    silhouette: Array.from({ length: ROWS + 1 }, (_, row): Reach => {
      const z = low + (row / ROWS) * (high - low);
      return [z, -reachAt(toLeft, z), reachAt(toRight, z)];
    }),
    lowestRim: Math.min(...rim),
  };
}

/** Volume between the moved surface and the level through the lowest place of its rim (mm3). */
export function hollowBelowRim(surface: MouldSurface, distance: number): number {
  const moved = movedMould(surface, distance);
  const bearings = bearingsRound(surface, moved);
  const sections = bearings.map((bearing) => section(moved, bearing, { steps: UP, edgeSteps: EDGE_STEPS }));
  const level = Math.min(...sections.map((line) => line.at(-1)?.[2] ?? 0));
  const [cx, cy] = middleOfMould(surface);
  const middle: Point3 = [cx, cy, moved.floor];
  const under = (a: Point3, b: Point3, c: Point3) =>
    (((b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1])) / 2) * (level - (a[2] + b[2] + c[2]) / 3);
  let volume = 0;
  sections.forEach((line, index) => {
    const next = sections[(index + 1) % sections.length] as Point3[];
    volume += under(middle, line[0] as Point3, next[0] as Point3);
    for (let step = 1; step < line.length; step += 1) {
      const [a, b, c, d] = [line[step - 1], line[step], next[step - 1], next[step]] as [Point3, Point3, Point3, Point3];
      volume += under(a, b, c) + under(c, b, d);
    }
  });
  return volume * roundness(surface, bearings);
}

/** By how much the rim's outline is larger than the polygon through its places. */
function roundness({ rim }: MouldSurface, bearings: readonly Bearing[]): number {
  const points = bearings.map(({ phi, along }) =>
    pointAt(rim, phi, along === 0 && rim.flats.includes(phi) ? 'before' : 'after'),
  );
  const polygon = points.reduce((sum, [x, y], index) => {
    const [u, v] = points[(index + 1) % points.length] as readonly [number, number];
    return sum + (x * v - u * y) / 2;
  }, 0);
  return planArea(rim) / polygon;
}
