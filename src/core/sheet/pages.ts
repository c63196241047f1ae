import { bounds, type Bounds } from '../outline/outline.ts';
import type { Part } from '../part/part.ts';
import type { LengthStyle } from '../units/writeLength.ts';
import type { About } from './about.ts';
import { movedPrimitive, type Primitive } from './drawing.ts';
import { footer } from './footer.ts';
import { FOOTER_HEIGHT, PAGE_OVERLAP, PAPERS, PAPER_MARGIN, type PaperName } from './paper.ts';
import { partDrawing } from './partDrawing.ts';

/** A window of a page: what is drawn in it is cut off at its edge. Mm, y up, from the page's lower left corner. */
export interface Layered {
  readonly clip: Bounds | null;
  readonly items: readonly Primitive[];
}

/** One printed page (mm). */
export interface Page {
  readonly width: number;
  readonly height: number;
  readonly partId: string;
  /** Place in the part's grid of pages, from the lower left. */
  readonly column: number;
  readonly row: number;
  /** How far the part's own frame was moved to the page's frame. */
  readonly dx: number;
  readonly dy: number;
  readonly layers: readonly Layered[];
}

/** What the pages are for. */
export interface PageOptions {
  readonly name: string;
  readonly paper: PaperName;
  readonly style: LengthStyle;
  /** What is told beside the lines; left out, the name alone. */
  readonly about?: About;
}

interface Grid {
  readonly width: number;
  readonly height: number;
  readonly columns: number;
  readonly rows: number;
  readonly windowWidth: number;
  readonly windowHeight: number;
}

/** How many windows of `window` mm, each overlapping the next, cover `length` mm. */
function count(length: number, window: number): number {
  return Math.max(1, Math.ceil((length - PAGE_OVERLAP) / (window - PAGE_OVERLAP) - 1e-9));
}

function gridOf(box: Bounds, width: number, height: number): Grid {
  const windowWidth = width - 2 * PAPER_MARGIN;
  const windowHeight = height - 2 * PAPER_MARGIN - FOOTER_HEIGHT;
  return {
    width,
    height,
    columns: count(box.maxX - box.minX, windowWidth),
    rows: count(box.maxY - box.minY, windowHeight),
    windowWidth,
    windowHeight,
  };
}

/** Upright or lying pages, whichever needs fewer; upright when both need as many. */
function bestGrid(box: Bounds, paper: PaperName): Grid {
  const { width, height } = PAPERS[paper];
  const upright = gridOf(box, width, height);
  const lying = gridOf(box, height, width);
  return lying.columns * lying.rows < upright.columns * upright.rows ? lying : upright;
}

/** The printed part's box: traced line, underside and the ends of marks, with a hair of air. */
function printBox(part: Part): Bounds {
  const up = bounds(part.outline);
  const under = bounds(part.underside);
  return {
    minX: Math.min(up.minX, under.minX) - 1,
    minY: Math.min(up.minY, under.minY) - 1,
    maxX: Math.max(up.maxX, under.maxX) + 1,
    maxY: Math.max(up.maxY, under.maxY) + 1,
  };
}

/** A cross with its name, and the line along which two pages meet, in the part's frame. */
function joiningMarks(box: Bounds, grid: Grid): Primitive[] {
  const items: Primitive[] = [];
  const cross = (x: number, y: number, name: string) => {
    items.push(
      { kind: 'line', layer: 'mark', from: [x - 4, y], to: [x + 4, y] },
      { kind: 'line', layer: 'mark', from: [x, y - 4], to: [x, y + 4] },
      { kind: 'text', layer: 'text', at: [x + 1.2, y + 1.2], size: 2.8, text: name, anchor: 'start' },
    );
  };
  const stepX = grid.windowWidth - PAGE_OVERLAP;
  const stepY = grid.windowHeight - PAGE_OVERLAP;
  for (let column = 1; column < grid.columns; column += 1) {
    const x = box.minX + column * stepX + PAGE_OVERLAP / 2;
    items.push({ kind: 'line', layer: 'mark', from: [x, box.minY], to: [x, box.maxY], dash: 'dash' });
    for (let row = 0; row < grid.rows; row += 1) {
      const low = box.minY + row * stepY;
      const high = Math.min(low + grid.windowHeight, box.maxY);
      const name = `${String.fromCharCode(64 + column)}${row + 1}`;
      cross(x, low + (high - low) * 0.3, `${name}a`);
      cross(x, low + (high - low) * 0.7, `${name}b`);
    }
  }
  for (let row = 1; row < grid.rows; row += 1) {
    const y = box.minY + row * stepY + PAGE_OVERLAP / 2;
    items.push({ kind: 'line', layer: 'mark', from: [box.minX, y], to: [box.maxX, y], dash: 'dash' });
    for (let column = 0; column < grid.columns; column += 1) {
      const left = box.minX + column * stepX;
      const right = Math.min(left + grid.windowWidth, box.maxX);
      const name = `${row}${String.fromCharCode(65 + column)}`;
      cross(left + (right - left) * 0.3, y, `${name}a`);
      cross(left + (right - left) * 0.7, y, `${name}b`);
    }
  }
  return items;
}

function pagesOfPart(part: Part, options: PageOptions): Page[] {
  const box = printBox(part);
  const grid = bestGrid(box, options.paper);
  const stepX = grid.windowWidth - PAGE_OVERLAP;
  const stepY = grid.windowHeight - PAGE_OVERLAP;
  const joins = joiningMarks(box, grid);
  const clip: Bounds = {
    minX: PAPER_MARGIN,
    minY: PAPER_MARGIN + FOOTER_HEIGHT,
    maxX: grid.width - PAPER_MARGIN,
    maxY: grid.height - PAPER_MARGIN,
  };
  const pages: Page[] = [];
  for (let row = grid.rows - 1; row >= 0; row -= 1) {
    for (let column = 0; column < grid.columns; column += 1) {
      const left = box.minX + column * stepX;
      const low = box.minY + row * stepY;
      const dx = clip.minX - left;
      const dy = clip.minY - low;
      // Words stand clear of the overlaps, so that no figure crosses a join.
      const own: Bounds = {
        minX: left + (column > 0 ? PAGE_OVERLAP : 0),
        minY: low + (row > 0 ? PAGE_OVERLAP : 0),
        maxX: left + grid.windowWidth - (column < grid.columns - 1 ? PAGE_OVERLAP : 0),
        maxY: low + grid.windowHeight - (row < grid.rows - 1 ? PAGE_OVERLAP : 0),
      };
      const drawing = [...partDrawing(part, options.style, own), ...joins];
      pages.push({
        width: grid.width,
        height: grid.height,
        partId: part.id,
        column,
        row,
        dx,
        dy,
        layers: [
          { clip, items: drawing.map((item) => movedPrimitive(item, dx, dy)) },
          { clip: null, items: footer({ part, grid, column, row, ...options }) },
        ],
      });
    }
  }
  return pages;
}

/**
 * The pages of a template at true size: each part on its own pages, tiled with {@link PAGE_OVERLAP} and joining marks,
 * rulers and a page map at the foot of each. Drawing in mm, y up.
 */
export function pagesOf(parts: readonly Part[], options: PageOptions): Page[] {
  return parts.flatMap((part) => pagesOfPart(part, options));
}
