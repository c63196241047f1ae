import { alongEdge, edges, type Outline } from './outline.ts';
import type { Point } from '../point.ts';

/** A straight piece of an outline, and its place on it. */
interface Piece {
  readonly from: Point;
  readonly to: Point;
  readonly index: number;
  readonly minX: number;
  readonly maxX: number;
}

/** Arcs are tested as chords within this distance (mm): far below what a knife can follow. */
const SAGITTA = 0.002;

/** Most chords of one arc. */
const MOST_CHORDS = 128;

/** Points along an outline whose chords follow its arcs within `sagitta` mm, in no more than `chords` for an arc. */
export function chordPoints(outline: Outline, sagitta = SAGITTA, chords = MOST_CHORDS): Point[] {
  return edges(outline).flatMap(({ radius, length }, index) => {
    const turn = radius === Infinity ? 0 : length / radius;
    const most = radius === Infinity ? Infinity : 2 * Math.acos(Math.max(0, 1 - sagitta / radius));
    const count = Math.min(chords, Math.max(1, Math.ceil(turn / most)));
    return Array.from({ length: count }, (_, step) => alongEdge(outline, index, step / count));
  });
}

function piecesOf(points: readonly Point[]): Piece[] {
  return points.map((from, index) => {
    const to = points[(index + 1) % points.length] as Point;
    return { from, to, index, minX: Math.min(from[0], to[0]), maxX: Math.max(from[0], to[0]) };
  });
}

const side = (a: Point, b: Point, p: Point) => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);

function cross({ from: a, to: b }: Piece, { from: c, to: d }: Piece): boolean {
  if (Math.min(a[1], b[1]) > Math.max(c[1], d[1]) || Math.max(a[1], b[1]) < Math.min(c[1], d[1])) return false;
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/** Visits the pairs of pieces that overlap in x, from left to right, until `found` returns true. */
function somePair(pieces: readonly Piece[], found: (one: Piece, other: Piece) => boolean): boolean {
  const sorted = [...pieces].sort((one, other) => one.minX - other.minX);
  let open: Piece[] = [];
  for (const piece of sorted) {
    open = open.filter(({ maxX }) => maxX >= piece.minX);
    if (open.some((other) => found(piece, other))) return true;
    open.push(piece);
  }
  return false;
}

/** Whether an outline crosses itself. */
export function crossesItself(outline: Outline): boolean {
  const points = chordPoints(outline);
  const count = points.length;
  return somePair(piecesOf(points), (one, other) => {
    const apart = Math.abs(one.index - other.index);
    return apart > 1 && apart < count - 1 && cross(one, other);
  });
}

/** Whether two outlines cross. */
export function crossOneAnother(one: Outline, other: Outline): boolean {
  const own = piecesOf(chordPoints(one));
  const count = own.length;
  const others = piecesOf(chordPoints(other)).map((piece) => ({ ...piece, index: piece.index + count }));
  return somePair([...own, ...others], (a, b) => a.index < count !== b.index < count && cross(a, b));
}
