import { portraitSize } from '../../../core/raise/portraitSize.ts';
import type { Design } from '../../../contract/api.ts';

/** A design and the width of its place on the shelf (px). */
export interface ShelfItem {
  readonly design: Design;
  readonly width: number;
}

/** Pieces side by side on one board, the tallest of them so high (px). */
export interface ShelfRow {
  readonly items: readonly ShelfItem[];
  readonly tallest: number;
}

/** Rows of the shelf and the one scale of all drawings (px per mm). */
export interface ShelfRows {
  readonly scale: number;
  readonly rows: readonly ShelfRow[];
}

/** Narrowest place, so that name and sizes have room (px). */
const LEAST_PLACE = 172;
const PLACE_AIR = 36;

/** A place is widened at most by this factor to fill the shelf. */
const MOST_SPREAD = 1.6;

/** The tallest drawing is at most this high, and no piece is drawn larger than this scale. */
const TALLEST = 210;
const GREATEST_SCALE = 1.5;

/** Stands the designs on shelves of a width (px), in order, all fired and at one scale. */
export function shelfRows(designs: readonly Design[], width: number): ShelfRows {
  const sizes = new Map(designs.map(({ id, target }) => [id, portraitSize(target)]));
  const most = (key: 'width' | 'height') => Math.max(1, ...[...sizes.values()].map((size) => size[key]));
  const scale = Math.min(GREATEST_SCALE, TALLEST / most('height'), Math.max(120, width - PLACE_AIR) / most('width'));
  const items = designs.map((design) => ({
    design,
    width: Math.min(width, Math.max(LEAST_PLACE, (sizes.get(design.id)?.width ?? 0) * scale + PLACE_AIR)),
  }));
  const rows = evenRows(items, width).map((row) => ({
    items: spread(row, width),
    tallest: scale * Math.max(...row.map(({ design }) => sizes.get(design.id)?.height ?? 0)),
  }));
  return { scale, rows };
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
