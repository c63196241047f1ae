import { elevation } from '../../../core/piece/elevation.ts';
import type { Design } from '../../../contract/api.ts';

/** A design and the width of its place on the shelf (px). */
export interface ShelfItem {
  readonly design: Design;
  readonly width: number;
}

/** Rows of the shelf and the one scale of all drawings (px per mm). */
export interface ShelfRows {
  readonly scale: number;
  readonly rows: readonly (readonly ShelfItem[])[];
  /** Height of the tallest drawing (px). */
  readonly tallest: number;
}

/** Narrowest place, so that name and sizes have room (px). */
const LEAST_PLACE = 172;
const PLACE_AIR = 44;

/** A place is widened at most by this factor to fill the shelf. */
const MOST_SPREAD = 1.6;

/** The tallest drawing is at most this high, and no piece is drawn larger than this scale. */
const TALLEST = 210;
const GREATEST_SCALE = 1.5;

/** Height of the rim's ellipse as part of its width, so that a cup looks open. */
export const RIM_TILT = 0.11;

/** Stands the designs on shelves of a width (px), in order, all fired and at one scale. */
export function shelfRows(designs: readonly Design[], width: number): ShelfRows {
  const sizes = designs.map(({ target }) => elevation(target, 'fired'));
  const highest = Math.max(1, ...sizes.map((size) => size.height + (size.width * RIM_TILT) / 2));
  const widest = Math.max(1, ...sizes.map((size) => size.width));
  const scale = Math.min(GREATEST_SCALE, TALLEST / highest, Math.max(120, width - PLACE_AIR) / widest);
  const items = designs.map((design, index) => ({
    design,
    width: Math.min(width, Math.max(LEAST_PLACE, (sizes[index]?.width ?? 0) * scale + PLACE_AIR)),
  }));
  return { scale, rows: evenRows(items, width).map((row) => spread(row, width)), tallest: highest * scale };
}

/** A row's places widened to the shelf, as far as it does not tear them apart. */
function spread(row: readonly ShelfItem[], width: number): ShelfItem[] {
  const total = row.reduce((sum, item) => sum + item.width, 0);
  const wider = Math.min(MOST_SPREAD, width / total);
  return row.map((item) => ({ ...item, width: Math.floor(item.width * wider) }));
}

function fill(items: readonly ShelfItem[], width: number): ShelfItem[][] {
  const rows: ShelfItem[][] = [];
  let taken = Infinity;
  for (const item of items) {
    if (taken + item.width > width) {
      rows.push([]);
      taken = 0;
    }
    taken += item.width;
    rows.at(-1)?.push(item);
  }
  return rows;
}

/** Rows of about one length: no more of them than are needed, and none with a lone last piece. */
function evenRows(items: readonly ShelfItem[], width: number): ShelfItem[][] {
  const full = fill(items, width);
  const total = items.reduce((sum, item) => sum + item.width, 0);
  for (let limit = total / full.length; limit < width; limit += 20) {
    const rows = fill(items, limit);
    if (rows.length === full.length) return rows;
  }
  return full;
}

/** Tone of the clay: designs of one clay look alike. */
export function clayTone({ target }: Design): 'light' | 'middle' | 'dark' {
  const { shrinkage } = target.clay;
  if (shrinkage > 0.11) return 'light';
  return shrinkage > 0.1 ? 'middle' : 'dark';
}
