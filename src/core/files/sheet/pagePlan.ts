import { distanceTo, nestShape, type NestShape } from '../../geometry/nest/nestShape.ts';
import { bounds, moved, type Bounds, type Outline } from '../../geometry/outline/outline.ts';
import { rectangle } from '../../geometry/outline/shapes.ts';
import type { Part } from '../../parts/part/part.ts';
import { FOOTER_HEIGHT, PAGE_OVERLAP, PAPER_MARGIN, type PaperSize } from '../../studio/printer/paper.ts';
import { ROUNDING } from '../../numbers.ts';

/** A part on a page: how far its own frame is moved to the page's, and which of its tiles is seen there. */
export interface PlannedPart {
  readonly part: Part;
  readonly dx: number;
  readonly dy: number;
  readonly grid: Grid;
  readonly column: number;
  readonly row: number;
}

/** A page that is planned: its paper as it lies (mm), and what is on it; the first part is the one that it was opened for. */
export interface PlannedPage {
  readonly width: number;
  readonly height: number;
  readonly parts: readonly PlannedPart[];
}

/** The windows of a part that is larger than a page (mm): each overlaps the next by {@link PAGE_OVERLAP}. */
export interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly windowWidth: number;
  readonly windowHeight: number;
  /** Tiles with nothing of the part in them are not printed: `column row` of those that are. */
  readonly printed: ReadonlySet<string>;
}

/** What a part takes of a page besides its outline: words beside it (mm, in its own frame), and lines at the page's foot. */
export interface PartRoom {
  readonly part: Part;
  readonly box: Bounds;
  /** Words beside it where only a window of it is seen; all of it is seen without one. */
  readonly besideIn: (window?: Bounds) => readonly Bounds[];
  readonly lines: number;
}

/** Lines at the foot of a page that has several parts. */
export const FOOT_LINES = 6;

/** Clear between two parts on one page (mm). */
const BETWEEN = 5;

/** Step of the places tried on a page (mm). */
const STEP = 4;

const tile = (column: number, row: number) => `${column} ${row}`;

/** Whether a tile of a part is printed. */
export const isPrinted = ({ printed }: Grid, column: number, row: number) => printed.has(tile(column, row));

/** The window of a page: what is left of its paper by margin and foot. */
export function pageWindow({ width, height }: PaperSize): Bounds {
  return {
    minX: PAPER_MARGIN,
    minY: PAPER_MARGIN + FOOTER_HEIGHT,
    maxX: width - PAPER_MARGIN,
    maxY: height - PAPER_MARGIN,
  };
}

/** How many windows of `window` mm, each overlapping the next, cover `length` mm. */
function count(length: number, window: number): number {
  return Math.max(1, Math.ceil((length - PAGE_OVERLAP) / (window - PAGE_OVERLAP) - ROUNDING));
}

/** The tile of a part in its own frame. */
export function tileOf(
  { box }: Pick<PartRoom, 'box'>,
  { windowWidth, windowHeight }: Grid,
  { column, row }: { readonly column: number; readonly row: number },
): Bounds {
  const minX = box.minX + column * (windowWidth - PAGE_OVERLAP);
  const minY = box.minY + row * (windowHeight - PAGE_OVERLAP);
  return { minX, minY, maxX: minX + windowWidth, maxY: minY + windowHeight };
}

/** Whether anything of a shape is in a box (mm, the shape's own frame): one of its points is, or a corner of the box is in the shape. */
function isSeen(outline: Outline, box: Bounds): boolean {
  const shape = nestShape(outline);
  const [mx, my] = shape.middle;
  for (let at = 0; at < shape.samples.length; at += 2) {
    const [x, y] = [(shape.samples[at] ?? 0) + mx, (shape.samples[at + 1] ?? 0) + my];
    if (x >= box.minX && x <= box.maxX && y >= box.minY && y <= box.maxY) return true;
  }
  const far = { value: 0, gx: 0, gy: 0 };
  return [
    [box.minX, box.minY],
    [box.maxX, box.minY],
    [box.maxX, box.maxY],
    [box.minX, box.maxY],
  ].some(([x = 0, y = 0]) => {
    distanceTo(shape, [x - mx, y - my], far);
    return far.value < 0;
  });
}

/** A part that one page shows. */
export const isWhole = ({ columns, rows }: Grid) => columns * rows === 1;

/** The tile of a part without what overlaps another: words stand there, so that no figure crosses a join. */
export function clearOf(
  room: Pick<PartRoom, 'box'>,
  grid: Grid,
  { column, row }: { readonly column: number; readonly row: number },
): Bounds {
  const { minX, minY, maxX, maxY } = tileOf(room, grid, { column, row });
  const join = (is: boolean) => (is ? PAGE_OVERLAP : 0);
  return {
    minX: minX + join(column > 0),
    minY: minY + join(row > 0),
    maxX: maxX - join(column < grid.columns - 1),
    maxY: maxY - join(row < grid.rows - 1),
  };
}

function gridOf(room: PartRoom, paper: PaperSize): Grid {
  const window = pageWindow(paper);
  const [windowWidth, windowHeight] = [window.maxX - window.minX, window.maxY - window.minY];
  const columns = count(room.box.maxX - room.box.minX, windowWidth);
  const rows = count(room.box.maxY - room.box.minY, windowHeight);
  const whole: Grid = { columns, rows, windowWidth, windowHeight, printed: new Set() };
  const printed = new Set<string>();
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const seen = tileOf(room, whole, { column, row });
      if (columns * rows === 1 || isSeen(room.part.outline, seen) || isSeen(room.part.underside, seen))
        printed.add(tile(column, row));
    }
  }
  return { ...whole, printed };
}

const lying = ({ width, height }: PaperSize): PaperSize => ({ width: height, height: width });

/** Upright or lying pages, whichever needs fewer; upright when both need as many. */
function bestGrid(room: PartRoom, paper: PaperSize): { grid: Grid; paper: PaperSize } {
  const [upright, side] = [paper, lying(paper)].map((way) => ({ grid: gridOf(room, way), paper: way })) as [
    { grid: Grid; paper: PaperSize },
    { grid: Grid; paper: PaperSize },
  ];
  return side.grid.printed.size < upright.grid.printed.size ? side : upright;
}

/** Something that lies on a page: its shape, and where the shape's middle is (mm, the page's frame). */
interface Lying {
  readonly shape: NestShape;
  readonly x: number;
  readonly y: number;
}

const lyingAt = (outline: Outline, dx: number, dy: number): Lying => {
  const shape = nestShape(outline);
  return { shape, x: shape.middle[0] + dx, y: shape.middle[1] + dy };
};

const boxOutline = ({ minX, minY, maxX, maxY }: Bounds): Outline =>
  moved(rectangle(maxX - minX, maxY - minY), minX, minY);

/** The shapes of a part that must stay clear of others: its outlines and the words beside it. */
const outlinesOf = ({ part, besideIn }: PartRoom, window?: Bounds): readonly Outline[] => [
  part.outline,
  part.underside,
  ...besideIn(window).map(boxOutline),
];

/** Whether two shapes are at least this far apart (mm), tested from the points of both, as in the nester. */
function isApart(one: Lying, other: Lying, gap: number): boolean {
  const [dx, dy] = [one.x - other.x, one.y - other.y];
  if (Math.abs(dx) > one.shape.half[0] + other.shape.half[0] + gap) return true;
  if (Math.abs(dy) > one.shape.half[1] + other.shape.half[1] + gap) return true;
  return (
    isClearOf(one.shape, other.shape, { dx, dy, gap }) && isClearOf(other.shape, one.shape, { dx: -dx, dy: -dy, gap })
  );
}

function isClearOf(
  { probes, round }: NestShape,
  other: NestShape,
  { dx, dy, gap }: { readonly dx: number; readonly dy: number; readonly gap: number },
): boolean {
  const far = { value: 0, gx: 0, gy: 0 };
  for (let at = 0; at < probes.length; at += 2) {
    distanceTo(other, [(probes[at] as number) + dx, (probes[at + 1] as number) + dy], far);
    if (far.value - round < gap) return false;
  }
  return true;
}

/** A page while parts are laid on it: its room clear of joins, and what lies there already. */
interface Open {
  readonly paper: PaperSize;
  readonly clear: Bounds;
  readonly there: Lying[];
  readonly parts: PlannedPart[];
  lines: number;
}

/** The pages of one part, opened for it. Joins are left clear of other parts. */
function opened(room: PartRoom, paper: PaperSize): Open[] {
  const { grid, paper: way } = bestGrid(room, paper);
  const window = pageWindow(way);
  const pages: Open[] = [];
  for (let row = grid.rows - 1; row >= 0; row -= 1) {
    for (let column = 0; column < grid.columns; column += 1) {
      if (!isPrinted(grid, column, row)) continue;
      const seen = tileOf(room, grid, { column, row });
      const [dx, dy] = [window.minX - seen.minX, window.minY - seen.minY];
      const clear = clearOf(room, grid, { column, row });
      pages.push({
        paper: way,
        clear: { minX: clear.minX + dx, minY: clear.minY + dy, maxX: clear.maxX + dx, maxY: clear.maxY + dy },
        there: outlinesOf(room, isWhole(grid) ? undefined : clearOf(room, grid, { column, row })).map((outline) =>
          lyingAt(outline, dx, dy),
        ),
        parts: [{ part: room.part, dx, dy, grid, column, row }],
        lines: room.lines,
      });
    }
  }
  return pages;
}

/** The lowest free place of a part on a page, leftmost of those; null where there is no room. */
function placeOn(page: Open, room: PartRoom): { dx: number; dy: number } | null {
  if (page.lines + room.lines > FOOT_LINES) return null;
  const all = [room.box, ...room.besideIn()];
  const whole: Bounds = {
    minX: Math.min(...all.map(({ minX }) => minX)),
    minY: Math.min(...all.map(({ minY }) => minY)),
    maxX: Math.max(...all.map(({ maxX }) => maxX)),
    maxY: Math.max(...all.map(({ maxY }) => maxY)),
  };
  const { clear } = page;
  const outlines = outlinesOf(room);
  for (let dy = clear.minY - whole.minY; dy + whole.maxY <= clear.maxY + ROUNDING; dy += STEP) {
    for (let dx = clear.minX - whole.minX; dx + whole.maxX <= clear.maxX + ROUNDING; dx += STEP) {
      if (
        outlines.every((outline) => {
          const own = lyingAt(outline, dx, dy);
          return page.there.every((other) => isApart(own, other, BETWEEN));
        })
      )
        return { dx, dy };
    }
  }
  return null;
}

/**
 * Lays the parts of a template on as few pages as are found: parts larger than a page on tiles of their own, without those that
 * nothing is on; then, the largest first, each other part where it has room on a page that is there, clear of the joins, or on a
 * page of its own. Never more pages than one part to a page takes.
 */
export function planPages(rooms: readonly PartRoom[], paper: PaperSize): PlannedPage[] {
  const ways = rooms.map((room) => ({ room, pages: opened(room, paper) }));
  const pages: Open[] = [];
  const area = ({ box }: PartRoom) => (box.maxX - box.minX) * (box.maxY - box.minY);
  const large = ways.filter(({ pages: [first] }) => first && !isWhole((first.parts[0] as PlannedPart).grid));
  const small = ways.filter((way) => !large.includes(way)).sort((one, other) => area(other.room) - area(one.room));
  for (const way of large) pages.push(...way.pages);
  for (const {
    room,
    pages: [own],
  } of small) {
    if (!own) continue;
    let found = false;
    for (const page of pages) {
      const at = placeOn(page, room);
      if (!at) continue;
      page.there.push(...outlinesOf(room).map((outline) => lyingAt(outline, at.dx, at.dy)));
      page.parts.push({ ...(own.parts[0] as PlannedPart), ...at });
      page.lines += room.lines;
      found = true;
      break;
    }
    if (!found) pages.push(own);
  }
  return pages.map(({ paper: { width, height }, parts }) => ({ width, height, parts }));
}

/** A box round an outline, grown by so many mm. */
export function grownBox(outlines: readonly Outline[], by: number): Bounds {
  const all = outlines.map(bounds);
  return {
    minX: Math.min(...all.map(({ minX }) => minX)) - by,
    minY: Math.min(...all.map(({ minY }) => minY)) - by,
    maxX: Math.max(...all.map(({ maxX }) => maxX)) + by,
    maxY: Math.max(...all.map(({ maxY }) => maxY)) + by,
  };
}
