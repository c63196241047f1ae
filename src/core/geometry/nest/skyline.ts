import { once, ROUNDING } from '../../numbers.ts';
import { AXES } from '../outline/outline.ts';
import type { NestShape, Turns } from './nestShape.ts';
import type { Piece } from './layout.ts';

/** A shape's box at a turn, from its middle (mm). */
export interface TurnedBox {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** The box round a shape at a turn (radians), arcs included; cached for right angles. */
export function boxAt(shape: NestShape, turn: number): TurnedBox {
  if (turn === 0) return upright(shape);
  return turn === Math.PI / 2 ? onItsSide(shape) : turnedBox(shape, turn);
}

const upright = once((shape: NestShape) => turnedBox(shape, 0));
const onItsSide = once((shape: NestShape) => turnedBox(shape, Math.PI / 2));

function turnedBox({ edges }: NestShape, turn: number): TurnedBox {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const box = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity };
  const meet = (px: number, py: number) => {
    const [x, y] = [c * px - s * py, s * px + c * py];
    box.minX = Math.min(box.minX, x);
    box.maxX = Math.max(box.maxX, x);
    box.minY = Math.min(box.minY, y);
    box.maxY = Math.max(box.maxY, y);
  };
  for (const edge of edges) {
    meet(edge.x0, edge.y0);
    if (edge.r === 0) continue;
    for (const [ux, uy] of AXES) {
      // The axis in the shape's own frame.
      const [lx, ly] = [c * ux + s * uy, c * uy - s * ux];
      if (lx * edge.mx + ly * edge.my >= edge.cosine) meet(edge.cx + edge.r * lx, edge.cy + edge.r * ly);
    }
  }
  return box;
}

/** A part to be laid by its box: which one, at which turn. */
interface Boxed {
  readonly piece: Piece;
  readonly turn: number;
  readonly box: TurnedBox;
  readonly width: number;
  readonly height: number;
}

/** Turns that are tried for a box. */
const TURNS: Readonly<Record<Turns, readonly number[]>> = {
  any: [0, Math.PI / 2],
  half: [0],
  none: [0],
};

/** One level stretch of the skyline. */
interface Ledge {
  readonly x: number;
  readonly width: number;
  readonly y: number;
}

/** Where a box of a width lies lowest on the skyline, leftmost of those; null when it is wider than the slab. */
function lowest(ledges: readonly Ledge[], wide: number, room: number): { x: number; y: number } | null {
  let best: { x: number; y: number } | null = null;
  ledges.forEach(({ x }, index) => {
    if (x + wide > room + ROUNDING) return;
    let y = 0;
    for (let at = index; at < ledges.length && (ledges[at]?.x ?? 0) < x + wide - ROUNDING; at += 1)
      y = Math.max(y, ledges[at]?.y ?? 0);
    if (!best || y < best.y - ROUNDING) best = { x, y };
  });
  return best;
}

function raised(
  ledges: readonly Ledge[],
  { x, wide, y }: { readonly x: number; readonly wide: number; readonly y: number },
): Ledge[] {
  const end = x + wide;
  const kept = ledges.flatMap((ledge): Ledge[] => {
    const right = ledge.x + ledge.width;
    if (right <= x + ROUNDING || ledge.x >= end - ROUNDING) return [ledge];
    return [
      ...(ledge.x < x - ROUNDING ? [{ ...ledge, width: x - ledge.x }] : []),
      ...(right > end + ROUNDING ? [{ ...ledge, x: end, width: right - end }] : []),
    ];
  });
  return [...kept, { x, width: wide, y }].sort((one, other) => one.x - other.x);
}

/** Lays boxes one by one as low as possible, each at the turn that ends lowest. */
function laid(
  order: readonly (readonly Boxed[])[],
  width: number,
  gap: number,
): { pieces: Piece[]; used: number } | null {
  let ledges: Ledge[] = [{ x: 0, width: width + gap, y: 0 }];
  let used = 0;
  const pieces: Piece[] = [];
  for (const ways of order) {
    let best: { way: Boxed; x: number; y: number } | null = null;
    for (const way of ways) {
      const at = lowest(ledges, way.width + gap, width + gap);
      if (at && (!best || at.y + way.height < best.y + best.way.height - ROUNDING)) best = { way, ...at };
    }
    if (!best) return null;
    const { way, x, y } = best;
    pieces.push({ ...way.piece, turn: way.turn, x: x - way.box.minX, y: y - way.box.minY });
    ledges = raised(ledges, { x, wide: way.width + gap, y: y + way.height + gap });
    used = Math.max(used, y + way.height);
  }
  return { pieces, used };
}

/** A layout of bounding boxes on a skyline: the shortest of several orders and turns; null when a part is wider than the slab. */
export function skyline(parts: readonly Piece[], width: number, gap: number): { pieces: Piece[]; used: number } | null {
  const boxed = parts.map((piece) =>
    TURNS[piece.turns].map((turn): Boxed => {
      const box = boxAt(piece.shape, turn);
      return { piece, turn, box, width: box.maxX - box.minX, height: box.maxY - box.minY };
    }),
  );
  const upright = boxed.map((ways) => [...ways].sort((one, other) => other.height - one.height).slice(0, 1));
  const lying = boxed.map((ways) => [...ways].sort((one, other) => one.height - other.height).slice(0, 1));
  const keys: ((way: Boxed) => number)[] = [
    (way) => way.height,
    (way) => way.width,
    (way) => way.width * way.height,
    (way) => way.width + way.height,
    (way) => Math.max(way.width, way.height),
  ];
  let best: { pieces: Piece[]; used: number } | null = null;
  for (const set of [boxed, upright, lying]) {
    for (const key of keys) {
      const order = [...set].sort((one, other) => key(other[0] as Boxed) - key(one[0] as Boxed));
      const found = laid(order, width, gap);
      if (found && (!best || found.used < best.used - ROUNDING)) best = found;
    }
  }
  if (!best) return null;
  const place = new Map(best.pieces.map((piece) => [piece.id, piece]));
  return { used: best.used, pieces: parts.map((piece) => place.get(piece.id) ?? piece) };
}
