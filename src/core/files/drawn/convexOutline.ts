import { ROUNDING, TAU } from '../../numbers.ts';
import { hull } from '../../geometry/outline/hull.ts';
import { CORNER, cornerTurns, isConvex, KINK_TOLERANCE } from '../../geometry/outline/arcOutline.ts';
import { bounds, moved, type Outline, type Vertex } from '../../geometry/outline/outline.ts';
import { pathPoints } from './pathPoints.ts';
import type { Point } from '../../geometry/point.ts';

/** An outline that a wall can stand on (mm, about the middle of its box), or why it gives none. */
export type PlanReading =
  { readonly kind: 'plan'; readonly points: Outline } | { readonly kind: 'refused'; readonly rule: string };

/** Most that an outline may bend inward (mm): hands and cameras are no more exact. */
const MOST_DENT = 0.4;

/** Points closer than this count as one (mm). */
const NEAR = 0.01;

/** A side longer than its neighbours by this factor, and longer than this (mm), is straight; other sides belong to a curve. */
const STRAIGHT = { times: 4, least: 1.5 } as const;

/** Pieces whose radii differ by less than this share are one arc; no arc turns by more than a quarter. */
const SAME_RADIUS = 0.002;
const MOST_TURN = Math.PI / 2;

/** A side of the hull: its length (mm), its outward normal, and the turn to the next one (radians). */
interface HullSide {
  readonly length: number;
  readonly normal: number;
  readonly turn: number;
  readonly straight: boolean;
}

/** A piece of the smooth line: an arc, a straight side, or a corner without length. */
interface Piece {
  readonly length: number;
  readonly from: number;
  readonly turn: number;
}

const wrapped = (angle: number) => angle - TAU * Math.floor(angle / TAU);

function sidesOf(corners: readonly Point[]): HullSide[] {
  const count = corners.length;
  const raw = corners.map(([x, y], index) => {
    const [u, v] = corners[(index + 1) % count] as Point;
    return { length: Math.hypot(u - x, v - y), normal: Math.atan2(v - y, u - x) - Math.PI / 2 };
  });
  const turns = raw.map(({ normal }, index) => wrapped((raw[(index + 1) % count]?.normal ?? 0) - normal));
  return raw.map(({ length, normal }, index) => {
    const ends = [turns[(index + count - 1) % count] as number, turns[index] as number] as const;
    const beside = [raw[(index + count - 1) % count], raw[(index + 1) % count]].map((side, at) =>
      (ends[at] as number) < CORNER ? (side?.length ?? 0) : 0,
    );
    const curved =
      ends.some((turn) => turn < CORNER) && length < Math.max(STRAIGHT.least, STRAIGHT.times * Math.max(...beside));
    return { length, normal, turn: ends[1], straight: !curved };
  });
}

/** Curvature of the line at the point between two sides (1/mm): of the sides that are curved alone; null at a corner. */
function curvatureAt(one: HullSide, next: HullSide): number | null {
  if (one.turn >= CORNER || (one.straight && next.straight)) return null;
  return (2 * one.turn) / ((one.straight ? 0 : one.length) + (next.straight ? 0 : next.length));
}

/** Shares of the turn at the end of a side: of this side, and of the next one (radians). */
function sharesOf(
  one: HullSide,
  next: HullSide,
  { own, nextOwn }: { readonly own: number; readonly nextOwn: number },
): readonly [before: number, after: number] {
  if (one.turn >= CORNER || (one.straight && next.straight)) return [0, 0];
  if (one.straight) return [0, one.turn];
  if (next.straight) return [one.turn, 0];
  const before = (one.turn * own) / (own + nextOwn);
  return [before, one.turn - before];
}

/** Sides of a curve become arcs that meet without a corner: the turn at a point is shared between its sides as each is curved. */
function smooth(sides: readonly HullSide[]): Piece[] {
  const count = sides.length;
  const at = (index: number) => (index + count) % count;
  const side = (index: number) => sides[at(index)] as HullSide;
  const curvatures = sides.map((one, index) => curvatureAt(one, side(index + 1)));
  const turns = sides.map(({ length }, index) => {
    const known = [curvatures[at(index - 1)], curvatures[index]].filter((one) => typeof one === 'number');
    return length * (known.reduce((sum, one) => sum + one, 0) / Math.max(1, known.length));
  });
  const shares = sides.map((one, index) =>
    sharesOf(one, side(index + 1), { own: turns[index] as number, nextOwn: turns[at(index + 1)] as number }),
  );
  return sides.map((one, index): Piece => {
    const [start, end] = [shares[at(index - 1)]?.[1] ?? 0, shares[index]?.[0] ?? 0];
    // Next to a corner a curve keeps its curvature: its last side is the chord of an arc.
    const corner = (turn: number) => !one.straight && turn >= CORNER;
    const before = corner(side(index - 1).turn) ? Math.min(end, side(index - 1).turn / 3) : start;
    const after = corner(one.turn) ? Math.min(start, one.turn / 3) : end;
    return { length: one.length, from: one.normal - before, turn: before + after };
  });
}

const radiusOf = ({ length, turn }: Piece) => length / (2 * Math.sin(turn / 2));

/** Joins arcs that follow one another with the same radius. */
function gathered(pieces: readonly Piece[]): Piece[] {
  const found: Piece[] = [];
  for (const piece of pieces) {
    const last = found.at(-1);
    const meets = last && Math.abs(wrapped(last.from + last.turn - piece.from + 1) - 1) < ROUNDING;
    if (last && meets && last.turn > 0 && piece.turn > 0 && last.turn + piece.turn <= MOST_TURN) {
      const radius = radiusOf(last);
      if (Math.abs(radiusOf(piece) / radius - 1) < SAME_RADIUS) {
        const turn = last.turn + piece.turn;
        found[found.length - 1] = { from: last.from, turn, length: 2 * radius * Math.sin(turn / 2) };
        continue;
      }
    }
    found.push(piece);
  }
  return found;
}

/** The pieces in order as an outline; the gap at the end is spread along it. */
function walked(pieces: readonly Piece[], [x0, y0]: Point): Outline {
  let [x, y] = [x0, y0];
  let far = 0;
  const whole = pieces.reduce((sum, { length }) => sum + length, 0);
  const line = pieces.map(({ length, from, turn }) => {
    const start = { x, y, far, bulge: Math.tan(turn / 4) };
    const heading = from + turn / 2 + Math.PI / 2;
    x += length * Math.cos(heading);
    y += length * Math.sin(heading);
    far += length;
    return start;
  });
  const [dx, dy] = [x - x0, y - y0];
  return line.map((one): Vertex => [one.x - (dx * one.far) / whole, one.y - (dy * one.far) / whole, one.bulge]);
}

/** How far points lie inside the hull of all of them (mm): the deepest. */
function deepest(points: readonly Point[], corners: readonly Point[]): { readonly deep: number; readonly at: Point } {
  let [deep, place]: [number, Point] = [0, [0, 0]];
  for (const [x, y] of points) {
    let least = Infinity;
    corners.forEach(([u, v], index) => {
      const [s, t] = corners[(index + 1) % corners.length] as Point;
      least = Math.min(least, ((s - u) * (y - v) - (t - v) * (x - u)) / Math.hypot(s - u, t - v));
    });
    if (least > deep) [deep, place] = [least, [x, y]];
  }
  return { deep, at: place };
}

/** Drops points closer to the one before than the accuracy of a drawing. */
function apart(points: readonly Point[]): Point[] {
  return points.filter(([x, y], index) => {
    const [u, v] = points[(index + points.length - 1) % points.length] as Point;
    return Math.hypot(u - x, v - y) > NEAR;
  });
}

/** A drawn or traced outline as one that a wall stands on: convex, its curves of arcs that meet without a corner. */
export function convexOutline(drawn: Outline): PlanReading {
  const { minX, minY, maxX, maxY } = bounds(drawn);
  const outline = moved(drawn, -(minX + maxX) / 2, -(minY + maxY) / 2);
  // Many small corners are a curve drawn by a program without arcs.
  const rough = cornerTurns(outline).some((turn) => Math.abs(turn) > KINK_TOLERANCE && turn < CORNER);
  if (!rough && isConvex(outline)) return { kind: 'plan', points: outline };
  const points = pathPoints(outline);
  const corners = apart(hull(points));
  if (corners.length < 3) return { kind: 'refused', rule: 'has an outline that encloses no area' };
  const { deep, at } = deepest(points, corners);
  if (deep > MOST_DENT) {
    const aside = `${Math.abs(at[0]).toFixed(0)} mm ${at[0] < 0 ? 'left' : 'right'} of`;
    const place = `${aside} and ${Math.abs(at[1]).toFixed(0)} mm ${at[1] < 0 ? 'below' : 'above'} its middle`;
    return {
      kind: 'refused',
      rule: `bends inward by ${deep.toFixed(1)} mm, ${place}: a wall stands only on an outline that bulges all round`,
    };
  }
  return { kind: 'plan', points: walked(gathered(smooth(sidesOf(corners))), corners[0] as Point) };
}
