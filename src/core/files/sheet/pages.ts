import { movedPrimitive, type Primitive } from '../../studio/printer/drawing.ts';
import type { Bounds } from '../../geometry/outline/outline.ts';
import type { Part } from '../../parts/part/part.ts';
import type { LengthStyle } from '../../units/writeLength.ts';
import type { About } from './about.ts';
import { textWidth } from './roomForWords.ts';
import { footer } from './footer.ts';
import { PAGE_OVERLAP, PAPER_MARGIN, PAPERS, ROLL_LIMITS, type PaperName } from '../../studio/printer/paper.ts';
import {
  clearOf,
  grownBox,
  isPrinted,
  isWhole,
  pageWindow,
  planPages,
  tileOf,
  type Grid,
  type PartRoom,
  type PlannedPage,
  type PlannedPart,
} from './pagePlan.ts';
import { partDrawing } from './partDrawing.ts';
import type { Checked } from './words.ts';
import { printedSize, stretchOf, TRUE_SCALE, type CheckedPrinter } from '../../studio/printer/printerCheck.ts';

/** A window of a page: what is drawn in it is cut off at its edge. Mm, y up, from the page's lower left corner. */
export interface Layered {
  readonly clip: Bounds | null;
  readonly items: readonly Primitive[];
}

/** A part on a page: its place in its own grid of pages, from the lower left, and how far its frame was moved to the page's. */
export interface PagePart {
  readonly id: string;
  readonly column: number;
  readonly row: number;
  readonly dx: number;
  readonly dy: number;
}

/** One printed page (mm, as it comes out of the printer). */
export interface Page {
  readonly width: number;
  readonly height: number;
  readonly parts: readonly PagePart[];
  readonly layers: readonly Layered[];
  /** Factors by which the file draws it larger along its width and height, for a printer that is not true. */
  readonly stretch: readonly [number, number];
  /** Lines half as wide. */
  readonly thin?: boolean;
}

/** Options of the pages. */
export interface PageOptions {
  readonly name: string;
  readonly paper: PaperName;
  /** A roll of that width in place of sheets (mm): each length of it is as long as is needed. */
  readonly roll?: number;
  /** Lines half as wide. */
  readonly thin?: boolean;
  readonly style: LengthStyle;
  /** What is told beside the lines; left out, the name alone. */
  readonly about?: About;
  /** What was measured of the file, once it was read back. */
  readonly checked?: readonly Checked[];
  /** The printer that it is corrected for. */
  readonly printer?: CheckedPrinter;
}

/** Clearance round a part (mm). */
const AIR = 1;

/** What a part takes of a page: its lines, and the words that stand beside it. */
function roomOf(part: Part, { style, about }: PageOptions): PartRoom {
  const box = grownBox([part.outline, part.underside], AIR);
  const besideIn = (window?: Bounds) =>
    partDrawing(part, style, window).flatMap((item): Bounds[] => {
      if (item.kind !== 'text') return [];
      const wide = textWidth(item.text, item.size);
      const minX = item.at[0] - (item.anchor === 'start' ? 0 : item.anchor === 'middle' ? wide / 2 : wide);
      const words: Bounds = { minX, minY: item.at[1] - item.size / 3, maxX: minX + wide, maxY: item.at[1] + item.size };
      const inside =
        words.minX >= box.minX && words.maxX <= box.maxX && words.minY >= box.minY && words.maxY <= box.maxY;
      return inside ? [] : [words];
    });
  return { part, box, besideIn, lines: 1 + Math.max(1, about?.of(part).length ?? 1) };
}

/** A cross with its name. */
const cross = (x: number, y: number, name: string): Primitive[] => [
  { kind: 'line', layer: 'mark', from: [x - 4, y], to: [x + 4, y] },
  { kind: 'line', layer: 'mark', from: [x, y - 4], to: [x, y + 4] },
  { kind: 'text', layer: 'text', at: [x + 1.2, y + 1.2], size: 2.8, text: name, anchor: 'start' },
];

/** The line along which two pages meet, with a cross at both thirds that has one name on both, in the part's frame. */
function joinOf(
  room: PartRoom,
  grid: Grid,
  { column, row, towards }: { readonly column: number; readonly row: number; readonly towards: 'right' | 'up' },
): Primitive[] {
  const { minX, minY, maxX, maxY } = tileOf(room, grid, { column, row });
  const [right, top] = [Math.min(maxX, room.box.maxX), Math.min(maxY, room.box.maxY)];
  if (towards === 'right') {
    const x = maxX - PAGE_OVERLAP / 2;
    const name = `${String.fromCharCode(65 + column)}${row + 1}`;
    return [
      { kind: 'line', layer: 'mark', from: [x, minY], to: [x, top], dash: 'dash' },
      ...cross(x, minY + (top - minY) * 0.3, `${name}a`),
      ...cross(x, minY + (top - minY) * 0.7, `${name}b`),
    ];
  }
  const y = maxY - PAGE_OVERLAP / 2;
  const name = `${row + 1}${String.fromCharCode(65 + column)}`;
  return [
    { kind: 'line', layer: 'mark', from: [minX, y], to: [right, y], dash: 'dash' },
    ...cross(minX + (right - minX) * 0.3, y, `${name}a`),
    ...cross(minX + (right - minX) * 0.7, y, `${name}b`),
  ];
}

/** All joins of a part's printed pages. */
function joinsOf(room: PartRoom, grid: Grid): Primitive[] {
  const items: Primitive[] = [];
  for (let row = 0; row < grid.rows; row += 1) {
    for (let column = 0; column < grid.columns; column += 1) {
      if (!isPrinted(grid, column, row)) continue;
      if (isPrinted(grid, column + 1, row)) items.push(...joinOf(room, grid, { column, row, towards: 'right' }));
      if (isPrinted(grid, column, row + 1)) items.push(...joinOf(room, grid, { column, row, towards: 'up' }));
    }
  }
  return items;
}

/** Shortest length that is cut off a roll (mm): its rulers and words take so much. */
const SHORTEST = 240;

/** A length of a roll, cut off behind the last part that is on it. */
function cutOff(page: PlannedPage, rooms: ReadonlyMap<Part, PartRoom>): PlannedPage {
  const ends = page.parts.flatMap(({ part, grid, column, row, dx, dy }) => {
    const room = rooms.get(part) as PartRoom;
    const seen = isWhole(grid) ? room.box : tileOf(room, grid, { column, row });
    const all = [
      { maxX: Math.min(seen.maxX, room.box.maxX), maxY: Math.min(seen.maxY, room.box.maxY) },
      ...(isWhole(grid) ? room.besideIn() : []),
    ];
    return all.map(({ maxX, maxY }) => [maxX + dx, maxY + dy] as const);
  });
  const end = (axis: 0 | 1) => Math.max(SHORTEST, Math.ceil(Math.max(...ends.map((one) => one[axis])) + PAPER_MARGIN));
  const along = page.width > page.height ? 0 : 1;
  return along === 0
    ? { ...page, width: Math.min(page.width, end(0)) }
    : { ...page, height: Math.min(page.height, end(1)) };
}

/** A part as it is drawn on one of its pages, in the page's frame. */
function drawnOn(planned: PlannedPart, room: PartRoom, style: LengthStyle): Primitive[] {
  const { part, grid, column, row, dx, dy } = planned;
  const own = clearOf(room, grid, { column, row });
  const drawing = isWhole(grid) ? partDrawing(part, style) : [...partDrawing(part, style, own), ...joinsOf(room, grid)];
  return drawing.map((item) => movedPrimitive(item, dx, dy));
}

/**
 * The pages of a template at true size: parts laid on few pages ({@link planPages}), those larger than a page tiled with
 * {@link PAGE_OVERLAP} and joining marks, rulers and a page map at the foot of each. Drawing in mm, y up.
 */
export function pagesOf(parts: readonly Part[], options: PageOptions): Page[] {
  const rooms = new Map(parts.map((part) => [part, roomOf(part, options)]));
  const scale = options.printer?.scale ?? TRUE_SCALE;
  const { roll } = options;
  const paper = roll === undefined ? PAPERS[options.paper] : { width: roll, height: ROLL_LIMITS.length };
  const plan = planPages([...rooms.values()], printedSize(paper, scale));
  return plan.map((whole, index): Page => {
    const stretch = stretchOf(whole, scale);
    const { width, height, parts: planned } = roll === undefined ? whole : cutOff(whole, rooms);
    const clip = pageWindow({ width, height });
    const items = planned.flatMap((one) => drawnOn(one, rooms.get(one.part) as PartRoom, options.style));
    return {
      width,
      height,
      stretch,
      ...(options.thin && { thin: true }),
      parts: planned.map(({ part, column, row, dx, dy }) => ({ id: part.id, column, row, dx, dy })),
      layers: [
        { clip, items },
        { clip: null, items: footer({ parts: planned, width, number: index + 1, total: plan.length, ...options }) },
      ],
    };
  });
}
