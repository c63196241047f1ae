import type { Kind } from './loadJob.ts';
import type { Shelf } from './shelfRoom.ts';

/** One piece by its box, standing straight or turned by a quarter: its middle (mm). */
export interface Boxed {
  readonly kind: Kind;
  readonly turn: 0 | 90;
  readonly x: number;
  readonly y: number;
}

/** How pieces are taken: the order, and which side of each box lies along the row. */
export type BoxOrder = (kind: Kind) => number;
const SIDES = ['long', 'short', 'drawn'] as const;

const EASE = 1e-9;

/** Whether a box lies on a shelf. */
function lies(
  shelf: Shelf,
  {
    left,
    low,
    wide,
    deep,
  }: { readonly left: number; readonly low: number; readonly wide: number; readonly deep: number },
): boolean {
  if ('width' in shelf)
    return left >= -EASE && low >= -EASE && left + wide <= shelf.width + EASE && low + deep <= shelf.depth + EASE;
  const radius = shelf.diameter / 2 + EASE;
  return [left, left + wide].every((x) => [low, low + deep].every((y) => Math.hypot(x, y) <= radius));
}

/** Where a row of a shelf starts and ends at a height over a depth: all of a rectangle, a chord of a disc. */
function rowOf(shelf: Shelf, low: number, deep: number): readonly [number, number] | null {
  if ('width' in shelf) return low + deep <= shelf.depth + EASE ? [0, shelf.width] : null;
  const radius = shelf.diameter / 2;
  const far = Math.max(Math.abs(low), Math.abs(low + deep));
  if (far > radius) return null;
  const half = Math.sqrt(radius ** 2 - far ** 2);
  return [-half, half];
}

function sidesOf({ box }: Kind, side: (typeof SIDES)[number]) {
  const turn = side === 'drawn' ? 0 : box.width >= box.depth === (side === 'long') ? 0 : 90;
  return turn === 0
    ? ({ turn, wide: box.width, deep: box.depth } as const)
    : ({ turn, wide: box.depth, deep: box.width } as const);
}

function rowsBy(
  shelf: Shelf,
  {
    gap,
    kinds,
    side,
  }: { readonly gap: number; readonly kinds: readonly Kind[]; readonly side: (typeof SIDES)[number] },
): Boxed[] {
  const laid: Boxed[] = [];
  const left = kinds.map((kind) => ({ kind, ...sidesOf(kind, side) }));
  let low = 'width' in shelf ? 0 : -shelf.diameter / 2;
  const end = 'width' in shelf ? shelf.depth : shelf.diameter / 2;
  while (left.length > 0 && low < end) {
    // The first remaining box that fits here starts the row and sets its depth.
    let [x, deep, until] = [0, 0, 0];
    for (let at = 0; at < left.length;) {
      const one = left[at] as (typeof left)[number];
      const row = deep === 0 ? rowOf(shelf, low, one.deep) : null;
      const from = row ? row[0] : x;
      const to = row ? row[1] : until;
      if (
        (deep > 0 || row) &&
        one.deep <= (deep || one.deep) + EASE &&
        from + one.wide <= to + EASE &&
        lies(shelf, { left: from, low, wide: one.wide, deep: one.deep })
      ) {
        if (deep === 0) [deep, until] = [one.deep, to];
        laid.push({ kind: one.kind, turn: one.turn, x: from + one.wide / 2, y: low + one.deep / 2 });
        x = from + one.wide + gap;
        left.splice(at, 1);
      } else at += 1;
    }
    // A disc is narrow at its ends: start the next row a little further up.
    low += deep > 0 ? deep + gap : 'width' in shelf ? Infinity : shelf.diameter / 60;
  }
  return laid;
}

/**
 * Rows of bounding boxes, the way shelves are filled by eye: each row as deep as its first piece. The best of three ways of
 * turning them, by how many stand.
 */
export function boxRows(shelf: Shelf, gap: number, kinds: readonly Kind[]): Boxed[] {
  return SIDES.map((side) => rowsBy(shelf, { gap, kinds, side })).reduce((best, one) =>
    one.length > best.length ? one : best,
  );
}
