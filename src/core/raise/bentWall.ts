import { radians } from '../numbers.ts';
import { seamAllowance } from '../parts/seam/seam.ts';
import { footFirst, unrollPairs } from '../parts/wall/loft.ts';
import type { BentWall, RaisedPart, Ribbon } from '../forms/kind/body.ts';
import { foldChain, hingeAngle, hingeTurn, normalOf, type Hinge } from './hinges.ts';
import { after, dot, length, minus, placedBy, plus, times, turnedBy, type Pose } from './pose.ts';
import { vectorLength, type Point, type Point3 } from '../geometry/point.ts';

/** A wall laid flat, cell by cell: its points, the hinges between its triangles, and the triangles next to each ruling. */
export interface FlatSheet {
  readonly foot: readonly Point[];
  readonly rim: readonly Point[];
  readonly hinges: readonly Hinge[];
  /** For each ruling, the last triangle before it and the first one after it. */
  readonly before: readonly number[];
  readonly after: readonly number[];
  /** The standing triangle of each cell: its corners in the flat and as they stand. */
  readonly cells: readonly Cell[];
}

/** A triangle in the flat and as it stands, its corners in one order, anticlockwise seen from outside. */
export interface Cell {
  readonly flat: readonly [Point, Point, Point];
  readonly standing: readonly [Point3, Point3, Point3];
}

/** Shorter steps count as none (mm): both sides of a sharp corner are in one place, and rounding would turn slivers. */
const NO_STEP = 1e-6;

/** Lays a standing ruled wall flat with all its hinges (an isometry: every triangle keeps its sides). */
export function flatSheet(lows: readonly Point3[], highs: readonly Point3[]): FlatSheet {
  const { foot, rim } = unrollPairs(lows, highs);
  const cells: Cell[] = [];
  const before: number[] = [];
  const behind: number[] = [];
  const cell = (flat: readonly (Point | undefined)[], standing: readonly (Point3 | undefined)[]) =>
    cells.push({ flat, standing } as unknown as Cell);
  for (let at = 0; at < lows.length; at += 1) {
    before.push(Math.max(0, cells.length - 1));
    behind.push(cells.length);
    if (at === lows.length - 1) break;
    const footStep = length(minus(lows[at + 1] as Point3, lows[at] as Point3));
    const rimStep = length(minus(highs[at + 1] as Point3, highs[at] as Point3));
    const [f0, f1, r0, r1] = [foot[at], foot[at + 1], rim[at], rim[at + 1]];
    const [l0, l1, h0, h1] = [lows[at], lows[at + 1], highs[at], highs[at + 1]];
    if (footFirst(footStep, rimStep)) {
      if (footStep > NO_STEP) cell([f0, f1, r0], [l0, l1, h0]);
      if (rimStep > NO_STEP) cell([r0, f1, r1], [h0, l1, h1]);
    } else {
      if (rimStep > NO_STEP) cell([f0, r1, r0], [l0, h1, h0]);
      if (footStep > NO_STEP) cell([f0, f1, r1], [l0, l1, h1]);
    }
  }
  const last = cells.length - 1;
  const hinges = cells.slice(1).map((next, index) => hingeBetween(cells[index] as Cell, next));
  return { foot, rim, hinges, before, after: behind.map((one) => Math.min(last, one)), cells };
}

/** The hinge between two neighbouring triangles: the side with two corners in common. */
function hingeBetween(one: Cell, next: Cell): Hinge {
  const same = (a: Point, b: Point) => vectorLength(a[0] - b[0], a[1] - b[1]) <= 2 * NO_STEP;
  const shared = [0, 1, 2].filter((corner) =>
    next.flat.some((other) => same(one.flat[corner] as Point, other)),
  ) as number[];
  const [a = 0, b = 1] = shared;
  const edge = minus(one.standing[b] as Point3, one.standing[a] as Point3);
  return {
    from: one.flat[a] as Point,
    to: one.flat[b] as Point,
    angle: hingeAngle(normalOf(...one.standing), normalOf(...next.standing), edge),
  };
}

/** The pose that lays a cell's flat triangle on its standing one. */
export function standingPose({ flat, standing }: Cell): Pose {
  const [a, b] = flat;
  const [p, q, r] = standing;
  const along = minus(q, p);
  const far = length(along);
  const u = times(along, 1 / far);
  const normal = normalOf(p, q, r);
  const n = times(normal, 1 / length(normal));
  const v: Point3 = [n[1] * u[2] - n[2] * u[1], n[2] * u[0] - n[0] * u[2], n[0] * u[1] - n[1] * u[0]];
  const [cos, sin] = [(b[0] - a[0]) / far, (b[1] - a[1]) / far];
  const pose: Pose = { x: plus(times(u, cos), v, -sin), y: plus(times(u, sin), v, cos), z: n, at: [0, 0, 0] };
  return { ...pose, at: minus(p, turnedBy(pose, [a[0], a[1], 0])) };
}

/**
 * Direction of the level edge at each ruling in the flat (unit), from its neighbours on the longer of both edges: the nearest
 * ones that stand elsewhere, since many rulings stand in one sharp corner.
 */
function tangents({ foot, rim }: FlatSheet): Point[] {
  const last = foot.length - 1;
  return foot.map((_, index) => {
    for (let by = 1; ; by += 1) {
      const [from, to] = [Math.max(0, index - by), Math.min(last, index + by)];
      const step = (line: readonly Point[]): Point => [
        (line[to]?.[0] ?? 0) - (line[from]?.[0] ?? 0),
        (line[to]?.[1] ?? 0) - (line[from]?.[1] ?? 0),
      ];
      const [one, other] = [step(foot), step(rim)];
      const [x, y] = vectorLength(...one) > vectorLength(...other) ? one : other;
      const far = vectorLength(x, y);
      if (far > NO_STEP || (from === 0 && to === last)) return [x / far, y / far];
    }
  });
}

/** How far each ruling is from the nearer end, along the middle of the wall (mm). */
function fromEnds({ foot, rim }: FlatSheet): { left: number[]; right: number[] } {
  const middle = foot.map(([x, y], index) => [(x + (rim[index]?.[0] ?? 0)) / 2, (y + (rim[index]?.[1] ?? 0)) / 2]);
  let run = 0;
  const left = middle.map(([x = 0, y = 0], index) => {
    const [u = x, v = y] = middle[index - 1] ?? [];
    run += vectorLength(x - u, y - v);
    return run;
  });
  return { left, right: left.map((far) => run - far) };
}

/** The slant of a bevel fades over this many runs from each end, so that the rulings keep their order. */
const FADE_RUNS = 4;

/** One face of the wall (or any depth of it) at the heights `rises` outside the neutral surface, folded. */
interface Layer {
  readonly foot: readonly Point3[];
  readonly rim: readonly Point3[];
}

/** The poses on both sides of each ruling at the share `f`. Beyond an end the wall continues with the same bend. */
function rulingPoses(sheet: FlatSheet, f: number): (readonly [Pose, Pose])[] {
  const { hinges, before, after: next, foot, rim } = sheet;
  const last = foot.length - 1;
  const poses = foldChain(hinges, next[Math.floor(last / 2)] ?? 0, f);
  const turned = (ruling: number, from: number, sign: 1 | -1): Pose => {
    const bend = hinges.slice(next[from], next[from + 1]).reduce((sum, { angle }) => sum + angle, 0);
    const line = { from: foot[ruling] as Point, to: rim[ruling] as Point, angle: sign * bend };
    return after(poses[sign < 0 ? 0 : poses.length - 1] as Pose, hingeTurn(line, f));
  };
  const near = (cell: number | undefined) => poses[cell ?? 0] as Pose;
  return foot.map((_, ruling) => [
    ruling === 0 ? turned(0, 0, -1) : near(before[ruling]),
    ruling === last ? turned(last, Math.max(0, last - 2), 1) : near(next[ruling]),
  ]);
}

/** How much the folded wall bends along an edge at each ruling (1/mm). */
function bendsAlong({ foot, rim }: FlatSheet, poses: readonly (readonly [Pose, Pose])[], edge: 'foot' | 'rim') {
  const line = edge === 'foot' ? foot : rim;
  return line.map(([x, y], index) => {
    const from = line[index - 1] ?? line[index + 1] ?? [x, y];
    const to = line[index + 1] ?? line[index - 1] ?? [x, y];
    const step = (vectorLength(x - from[0], y - from[1]) + vectorLength(x - to[0], y - to[1])) / 2;
    const [one, next] = poses[index] as readonly [Pose, Pose];
    const ruling = [(rim[index]?.[0] ?? 0) - (foot[index]?.[0] ?? 0), (rim[index]?.[1] ?? 0) - (foot[index]?.[1] ?? 0)];
    const [u, v] = ruling as [number, number];
    const across = Math.abs((to[0] - from[0]) * v - (to[1] - from[1]) * u);
    const sine = across / (vectorLength(u, v) * vectorLength(to[0] - from[0], to[1] - from[1]) || 1);
    const turn = Math.acos(Math.min(1, dot(one.z, next.z)));
    return step > NO_STEP ? (turn / step) * sine : 0;
  });
}

/** What the layers of a wall share: its sheet, and the poses on both sides of each ruling. */
interface Folded {
  readonly sheet: FlatSheet;
  readonly poses: readonly (readonly [Pose, Pose])[];
}

/** Direction of a level edge in the flat for each mm up the slope: along the ruling, whose normal is constant. */
function slideOf({ lows, highs, normals }: BentWall, { foot, rim }: FlatSheet) {
  return (index: number, square: Point): Point => {
    const [low, high, from, to] = [lows[index], highs[index], foot[index], rim[index]];
    const phi = normals?.[index];
    if (phi === undefined || !low || !high || !from || !to) return square;
    const [x, y, z] = minus(high, low);
    const across = vectorLength(z, x * Math.cos(phi) + y * Math.sin(phi));
    return [(to[0] - from[0]) / across, (to[1] - from[1]) / across];
  };
}

function layerAt(wall: BentWall, { sheet, poses }: Folded, rise: (index: number) => number): Layer {
  const along = tangents(sheet);
  const slideWay = slideOf(wall, sheet);
  const { left, right } = fromEnds(sheet);
  const bends = { foot: bendsAlong(sheet, poses, 'foot'), rim: bendsAlong(sheet, poses, 'rim') };
  const run = wall.seam ? seamAllowance(wall.seam, wall.thickness).run / wall.thickness : 0;
  const seamed = (end: 'first' | 'last') => !wall.sectioned?.includes(end);
  const place = (edge: 'foot' | 'rim') =>
    sheet[edge].map(([x, y], index): Point3 => {
      const h = rise(index);
      const fade = run * wall.thickness * FADE_RUNS;
      const near = Math.min(seamed('first') ? (left[index] ?? 0) : fade, seamed('last') ? (right[index] ?? 0) : fade);
      const slant = fade > 0 ? -h * run * Math.max(0, 1 - near / fade) : 0;
      const lean = Math.tan(radians((edge === 'foot' ? wall.footLeans : wall.rimLeans)[index] ?? 0));
      const slide = edge === 'foot' ? -h * lean : h * lean;
      const [tx, ty] = along[index] as Point;
      const [dx, dy] = slideWay(index, [-ty, tx]);
      const inPlane: Point3 = [tx * slant + dx * slide, ty * slant + dy * slide, 0];
      const [one, next] = poses[index] as readonly [Pose, Pose];
      const bend = bends[edge][index] ?? 0;
      const sag = (-slant * slant * bend) / (1 + h * bend) / 2;
      const at = placedBy(one, [x, y, 0]);
      const normal = times(plus(one.z, next.z), 0.5);
      const moved = times(plus(turnedBy(one, inPlane), turnedBy(next, inPlane)), 0.5);
      return plus(plus(at, moved), normal, (h + sag) / dot(normal, normal));
    });
  return { foot: place('foot'), rim: place('rim') };
}

/** Heights of the inner and outer face over the neutral surface at each ruling; a lap's ends lie over one another. */
function faces(wall: BentWall, sheet: FlatSheet, f: number) {
  const { thickness: t, neutralFraction: k, seam } = wall;
  const { left, right } = fromEnds(sheet);
  const over = seam?.kind === 'lap' || seam?.kind === 'half-lap' ? seam.overlap : 0;
  const ramp = (index: number) => Math.max(0, Math.min(1, 2 - (right[index] ?? 0) / over));
  const lifted = (index: number) => (seam?.kind === 'lap' && over > 0 ? f * t * ramp(index) : 0);
  const half = seam?.kind === 'half-lap' && over > 0;
  const thinned = (far: number | undefined) => (half && (far ?? Infinity) < over - NO_STEP ? t / 2 : 0);
  return {
    inner: (index: number) => -k * t + lifted(index) + thinned(right[index]),
    outer: (index: number) => (1 - k) * t + lifted(index) - thinned(left[index]),
  };
}

/** A bent wall at the share `f` of its way up, its middle ruling not moved: flat at 0, standing at 1. */
export function foldWall(wall: BentWall, sheet: FlatSheet, f: number): RaisedPart {
  const folded = { sheet, poses: rulingPoses(sheet, f) };
  const neutral = layerAt({ ...wall, seam: null }, folded, () => 0);
  const { inner, outer } = faces(wall, sheet, f);
  const inside = layerAt(wall, folded, inner);
  const outside = layerAt(wall, folded, outer);
  const last = wall.lows.length - 1;
  const end = (index: number): Ribbon => {
    const inner = [inside.foot[index] as Point3, inside.rim[index] as Point3];
    const outer = [outside.foot[index] as Point3, outside.rim[index] as Point3];
    return index === 0 ? { face: 'cut', one: outer, other: inner } : { face: 'cut', one: inner, other: outer };
  };
  return {
    part: wall.part,
    neutral,
    ribbons: [
      { face: 'outside', one: outside.foot, other: outside.rim },
      { face: 'inside', one: inside.rim, other: inside.foot },
      { face: 'edge', one: inside.foot, other: outside.foot },
      { face: 'edge', one: outside.rim, other: inside.rim },
      end(0),
      end(last),
    ],
  };
}
