import type { Placement } from '../../geometry/nest/nestJob.ts';
import { distanceTo, nestShape, type Distance } from '../../geometry/nest/nestShape.ts';
import type { Outline } from '../../geometry/outline/outline.ts';

/** A rectangle of clay that no part takes, from the slab's corner (mm): x across the slab, y along it. */
export interface Offcut {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly length: number;
}

/** Fineness of the search (mm). */
const CELL = 5;

/** Off-cuts narrower than this are scraps (mm). */
export const LEAST_OFFCUT = 45;

/** No more than these are named on one slab. */
const MOST = 4;

/** The largest rectangle of free cells, by the heights of free columns row by row. */
function largest(free: readonly boolean[][], columns: number): { x: number; y: number; w: number; h: number } | null {
  let best: { x: number; y: number; w: number; h: number } | null = null;
  const heights = new Array<number>(columns).fill(0);
  free.forEach((row, y) => {
    for (let x = 0; x < columns; x += 1) heights[x] = row[x] ? (heights[x] ?? 0) + 1 : 0;
    for (let x = 0; x < columns; x += 1) {
      let low = Infinity;
      for (let left = x; left >= 0; left -= 1) {
        low = Math.min(low, heights[left] ?? 0);
        if (low === 0) break;
        const w = x - left + 1;
        if (Math.min(w, low) * CELL < LEAST_OFFCUT) continue;
        if (!best || w * low > best.w * best.h) best = { x: left, y: y - low + 1, w, h: low };
      }
    }
  });
  return best;
}

/**
 * Rectangles large enough to be kept that are left on a slab between its parts, the largest first.
 * @param room width and length of the clay inside the margin (mm)
 */
export function offcutsOf(
  placements: readonly Placement[],
  outlines: ReadonlyMap<string, Outline>,
  room: { readonly width: number; readonly length: number; readonly gap: number },
): Offcut[] {
  const columns = Math.floor(room.width / CELL);
  const rows = Math.floor(room.length / CELL);
  const found: Distance = { value: 0, gx: 0, gy: 0 };
  const laid = placements.map((placement) => {
    const angle = (placement.turn * Math.PI) / 180;
    return {
      ...placement,
      cos: Math.cos(angle),
      sin: Math.sin(angle),
      shape: nestShape(outlines.get(placement.id) ?? []),
    };
  });
  // A cell is free when its middle is so far from every part that all of it is.
  const clear = room.gap + CELL * Math.SQRT1_2;
  const free = Array.from({ length: rows }, (_, row) =>
    Array.from({ length: columns }, (__, column) => {
      const [x, y] = [(column + 0.5) * CELL, (row + 0.5) * CELL];
      return laid.every(({ x: px, y: py, cos, sin, shape }) => {
        const [ox, oy] = [
          cos * (x - px) + sin * (y - py) - shape.middle[0],
          cos * (y - py) - sin * (x - px) - shape.middle[1],
        ];
        if (Math.abs(ox) > shape.half[0] + clear || Math.abs(oy) > shape.half[1] + clear) return true;
        distanceTo(shape, [ox, oy], found);
        return found.value > clear;
      });
    }),
  );
  const offcuts: Offcut[] = [];
  while (offcuts.length < MOST) {
    const best = largest(free, columns);
    if (!best) break;
    offcuts.push({ x: best.x * CELL, y: best.y * CELL, width: best.w * CELL, length: best.h * CELL });
    for (let y = best.y; y < best.y + best.h; y += 1)
      for (let x = best.x; x < best.x + best.w; x += 1) (free[y] as boolean[])[x] = false;
  }
  return offcuts;
}

/** A bar to measure shrinkage by: long enough to read half a percent from, wide enough not to curl (mm). */
export const TEST_BAR = { length: 130, width: 30 } as const;
