import type { Face } from '../target/face.ts';
import { kindOf } from '../forms/kinds.ts';
import type { Target } from '../target/target.ts';
import { flatSheet, foldWall, standingPose } from './bentWall.ts';
import type { BasePlate, BentWall, Body, PanelChain, RaisedPart, Ribbon } from '../forms/kind/body.ts';
import { foldChain } from './hinges.ts';
import { chainHinges, foldPanels, panelPose } from './panels.ts';
import { after, placedBy, poseBetween, times, UNMOVED, type Pose } from './pose.ts';
import { raisedStrip, stripBack } from './stripWall.ts';
import type { Point3 } from '../geometry/point.ts';

/**
 * The piece of a target that can be made, as it stands, wet mm: its first seam towards the x axis, the table at z = 0.
 * @throws RangeError for forms that are draped: they are stretched, not only bent
 * @param rulings how many straight lines a bent wall is drawn by, once round
 */
export function standingBody(target: Target, rulings?: number): Body {
  const { body } = kindOf(target);
  if (!body) throw new RangeError(`a ${target.form.kind} is formed, not raised`);
  return body(target, rulings);
}

/** Clear room between the base and the parts that lie round it, and between bands (mm). */
const GAP = 12;

/** How a part lies flat: its foot towards the base, `reach` mm from the middle, towards the plan direction (unit). */
interface Lying {
  readonly direction: Point3;
  readonly reach: number;
  readonly faceUp: Face;
}

/** The pose of a flat sheet that lies on the table, its middle at (x, y) of the sheet. Inside up, its outer face is below. */
function lyingPose({ direction, reach, faceUp }: Lying, middle: readonly [number, number], low: number): Pose {
  const sideways: Point3 = [-direction[1], direction[0], 0];
  const z: Point3 = [0, 0, faceUp === 'inside' ? -1 : 1];
  const x = faceUp === 'inside' ? sideways : times(sideways, -1);
  const pose: Pose = { x, y: direction, z, at: [0, 0, 0] };
  const from = placedBy(pose, [middle[0], middle[1], 0]);
  return { ...pose, at: [reach * direction[0] - from[0], reach * direction[1] - from[1], low] };
}

/** A raised part under another pose. */
export function mapped(part: RaisedPart, pose: Pose): RaisedPart {
  const line = (points: readonly Point3[]) => points.map((point) => placedBy(pose, point));
  return {
    part: part.part,
    ribbons: part.ribbons.map(({ face, one, other }) => ({ face, one: line(one), other: line(other) })),
    neutral: part.neutral && { foot: line(part.neutral.foot), rim: line(part.neutral.rim) },
  };
}

/** On its way nothing goes through the table: a part that would is lifted until it touches it. */
function aboveTable(part: RaisedPart, f: number): RaisedPart {
  if (f >= 1) return part;
  const lowest = Math.min(...part.ribbons.flatMap(({ one, other }) => [...one, ...other].map(([, , z]) => z)));
  return lowest >= 0 ? part : mapped(part, { ...UNMOVED, at: [0, 0, -lowest] });
}

function planReach(points: readonly (readonly [number, number, ...number[]])[]): number {
  return Math.max(...points.map(([x, y]) => Math.hypot(x, y)));
}

function unitPlan([x, y]: readonly [number, number, ...number[]]): Point3 {
  const far = Math.hypot(x, y) || 1;
  return [x / far, y / far, 0];
}

function raisedWall(
  wall: BentWall,
  body: Body,
  { reach, f }: { readonly reach: number; readonly f: number },
): RaisedPart {
  const sheet = flatSheet(wall.lows, wall.highs);
  const middle = Math.floor((wall.lows.length - 1) / 2);
  const cell = sheet.cells[sheet.after[middle] ?? 0];
  const foot = sheet.foot[middle] ?? [0, 0];
  const rim = sheet.rim[middle] ?? [0, 1];
  if (!cell) return { part: wall.part, ribbons: [], neutral: null };
  const folded = foldWall(wall, sheet, f);
  // The sheet lies with its middle ruling pointing straight away from the base.
  const tilt = Math.atan2(rim[0] - foot[0], rim[1] - foot[1]);
  const upright: Pose = {
    x: [Math.cos(tilt), Math.sin(tilt), 0],
    y: [-Math.sin(tilt), Math.cos(tilt), 0],
    z: [0, 0, 1],
    at: [0, 0, 0],
  };
  const t = wall.thickness;
  const low = body.faceUp === 'inside' ? (1 - wall.neutralFraction) * t : wall.neutralFraction * t;
  const turned = placedBy(upright, [foot[0], foot[1], 0]);
  const nearest = Math.min(...sheet.foot.map(([x, y]) => placedBy(upright, [x, y, 0])[1])) - turned[1];
  const direction = unitPlan(middleOfSides(wall.lows[middle], wall.highs[middle]));
  const lying = lyingPose({ direction, reach: reach - nearest, faceUp: body.faceUp }, [turned[0], turned[1]], low);
  const start = after(lying, upright);
  return aboveTable(mapped(folded, poseBetween(start, standingPose(cell), { f, through: [...foot, 0] })), f);
}

/** Halfway between two places, seen from above. */
function middleOfSides(low: Point3 = [1, 0, 0], high: Point3 = [1, 0, 0]): readonly [number, number] {
  return [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2];
}

function raisedChain(
  chain: PanelChain,
  body: Body,
  { reach, f }: { readonly reach: number; readonly f: number },
): RaisedPart {
  const anchor = Math.floor(chain.panels.length / 2);
  const poses = foldChain(chainHinges(chain), anchor, f);
  const standing = panelPose(chain, anchor);
  const { folded, thickness, foot } = foldPanels(chain, poses, anchor);
  const nearest = Math.min(...folded.lowest.map(([, y]) => y)) - foot[1];
  const [left, right] = chain.panels[anchor]?.outer ?? [];
  const direction = unitPlan(middleOfSides(left, right));
  const lying = lyingPose(
    { direction, reach: reach - Math.min(0, nearest), faceUp: body.faceUp },
    foot,
    body.faceUp === 'inside' ? 0 : thickness,
  );
  return aboveTable(mapped(folded.part, poseBetween(lying, standing, { f, through: [...foot, 0] })), f);
}

/** The base: it lies where it will stand, turned over when the outside is up. */
function raisedBase(plate: BasePlate, body: Body, f: number): RaisedPart {
  const at = (points: BasePlate['under'], z: number) => points.map(([x, y]): Point3 => [x, y, z]);
  const closed = (points: readonly Point3[]) => [...points, points[0] as Point3];
  const under = closed(at(plate.under, 0));
  const top = closed(at(plate.top, plate.thickness));
  const middle = (line: readonly Point3[], z: number) => line.map((): Point3 => [0, 0, z]);
  const ribbons: Ribbon[] = [
    { face: 'outside', one: middle(under, 0), other: under },
    { face: 'edge', one: under, other: top },
    { face: 'inside', one: top, other: middle(top, plate.thickness) },
  ];
  const part: RaisedPart = { part: 'base', ribbons, neutral: null };
  if (body.faceUp === 'inside') return part;
  const over: Pose = { x: [1, 0, 0], y: [0, -1, 0], z: [0, 0, -1], at: [0, 0, plate.thickness] };
  return aboveTable(mapped(part, poseBetween(over, UNMOVED, { f, through: [0, 0, plate.thickness / 2] })), f);
}

/**
 * The piece at the share `f` of its way from flat parts on the table (0) to the standing piece (1), wet mm. Walls bend
 * and never stretch: on the neutral surface every length is kept at every `f`; panels turn about their folded edges.
 */
export function raise(body: Body, f: number): RaisedPart[] {
  const reach = GAP + (body.base ? Math.max(planReach(body.base.under), planReach(body.base.top)) : 0);
  let band = 0;
  let out = reach;
  let deepest = 0;
  const walls = body.walls.map((wall) => {
    if (wall.kind === 'panels') return raisedChain(wall, body, { reach, f });
    if (wall.kind === 'strip') {
      // Without a base the feet would lie over one another: they keep the round that they stand on.
      const round = Math.max(reach, GAP + (wall.rows[0]?.radius ?? 0));
      const way = { f, faceUp: body.faceUp, reach: round + stripBack(wall) };
      return aboveTable(raisedStrip(wall, way), f);
    }
    if (wall.band > band) {
      band = wall.band;
      out += deepest + GAP;
      deepest = 0;
    }
    deepest = Math.max(deepest, depthOf(wall));
    return raisedWall(wall, body, { reach: out, f });
  });
  return [...(body.base ? [raisedBase(body.base, body, f)] : []), ...walls];
}

/** How far a flat wall reaches away from the base (mm). */
function depthOf(wall: BentWall): number {
  const { foot, rim } = flatSheet(wall.lows, wall.highs);
  const middle = Math.floor((foot.length - 1) / 2);
  const [fx = 0, fy = 0] = foot[middle] ?? [];
  const [rx = 0, ry = 1] = rim[middle] ?? [];
  const far = Math.hypot(rx - fx, ry - fy);
  const along = (x: number, y: number) => ((x - fx) * (rx - fx) + (y - fy) * (ry - fy)) / far;
  const all = [...foot, ...rim].map(([x, y]) => along(x, y));
  return Math.max(...all) - Math.min(...all);
}
