import { chordPoints } from '../../geometry/outline/crossing.ts';
import { insideLine } from '../../geometry/outline/insideLine.ts';
import { bounds, type Bounds, type Outline } from '../../geometry/outline/outline.ts';
import type { Primitive } from '../../studio/printer/drawing.ts';
import type { Point } from '../../geometry/point.ts';

/** A straight piece of a line that no word may stand on. */
type Piece = readonly [from: Point, to: Point];

/** Clearance of words from lines and from one another (mm). */
const CLEAR = 0.8;

/** Step of the grid of places that are tried (mm), and how many. */
const STEP = 2.5;
const MOST = 20_000;

/** Greatest distance of chords from arcs (mm). */
const SAGITTA = 0.1;

/** Whether a straight piece enters a box (Liang and Barsky 1984). */
export function entersBox([[x, y], [u, v]]: Piece, { minX, minY, maxX, maxY }: Bounds): boolean {
  let [from, to] = [0, 1];
  const sides = [
    [x - u, x - minX],
    [u - x, maxX - x],
    [y - v, y - minY],
    [v - y, maxY - y],
  ] as const;
  for (const [way, room] of sides) {
    if (way === 0) {
      if (room < 0) return false;
    } else if (way < 0) from = Math.max(from, room / way);
    else to = Math.min(to, room / way);
  }
  return from <= to;
}

/** The straight pieces of the lines of a drawing. */
export function piecesOf(items: readonly Primitive[]): Piece[] {
  return items.flatMap((item): Piece[] => {
    if (item.kind === 'text') return [];
    if (item.kind === 'line') return [[item.from, item.to]];
    const points = chordPoints(item.outline, SAGITTA);
    return points
      .slice(item.open ? 1 : 0)
      .map((point, at): Piece =>
        item.open ? [points[at] as Point, point] : [point, points[(at + 1) % points.length] as Point],
      );
  });
}

/** Pieces are kept by the squares that they touch (mm). */
const SQUARE = 12;

/** More rows of squares than any sheet has: a square's number is its column times this, plus its row. */
const SQUARE_ROWS = 1 << 20;

/** Straight pieces in a grid, to be found by a box. */
class PiecesBySquare {
  readonly #squares = new Map<number, Piece[]>();

  add(pieces: readonly Piece[]): void {
    for (const piece of pieces) {
      const [[x, y], [u, v]] = piece;
      const steps = Math.max(1, Math.ceil(Math.hypot(u - x, v - y) / SQUARE));
      for (let step = 0; step < steps; step += 1) {
        const [from, to] = [step / steps, (step + 1) / steps];
        const part = {
          minX: x + from * (u - x),
          maxX: x + to * (u - x),
          minY: y + from * (v - y),
          maxY: y + to * (v - y),
        };
        const box = {
          minX: Math.min(part.minX, part.maxX),
          maxX: Math.max(part.minX, part.maxX),
          minY: Math.min(part.minY, part.maxY),
          maxY: Math.max(part.minY, part.maxY),
        };
        this.#some(box, (square) => {
          const own = this.#squares.get(square);
          if (!own) this.#squares.set(square, [piece]);
          else if (own.at(-1) !== piece) own.push(piece);
          return false;
        });
      }
    }
  }

  enters(box: Bounds): boolean {
    return this.#some(box, (square) => this.#squares.get(square)?.some((piece) => entersBox(piece, box)) ?? false);
  }

  /** Whether something holds for any square that a box touches. */
  #some({ minX, minY, maxX, maxY }: Bounds, holds: (square: number) => boolean): boolean {
    const [left, right] = [Math.floor(minX / SQUARE), Math.floor(maxX / SQUARE)];
    const [low, high] = [Math.floor(minY / SQUARE), Math.floor(maxY / SQUARE)];
    for (let column = left; column <= right; column += 1)
      for (let row = low; row <= high; row += 1) if (holds(column * SQUARE_ROWS + row)) return true;
    return false;
  }
}

const meet = (one: Bounds, other: Bounds) =>
  one.minX < other.maxX && other.minX < one.maxX && one.minY < other.maxY && other.minY < one.maxY;
const grown = ({ minX, minY, maxX, maxY }: Bounds, by: number): Bounds => ({
  minX: minX - by,
  minY: minY - by,
  maxX: maxX + by,
  maxY: maxY + by,
});

/** Letters of a text reach this far below and above the line that it stands on, as shares of their size. */
const BELOW = 0.25;
const ABOVE = 0.8;

/** Mean width of a letter, as a share of its height: words are never wider. */
const LETTER_WIDTH = 0.56;

/** Width of some words of a size (mm): an upper bound. */
export function textWidth(text: string, size: number): number {
  return text.length * LETTER_WIDTH * size;
}

type Words = Primitive & { readonly kind: 'text' };

/** What words take (mm). */
export function wordsBox({ at: [x, y], text, size, anchor }: Pick<Words, 'at' | 'text' | 'size' | 'anchor'>): Bounds {
  const wide = textWidth(text, size);
  const minX = x - (anchor === 'start' ? 0 : anchor === 'middle' ? wide / 2 : wide);
  return { minX, minY: y - BELOW * size, maxX: minX + wide, maxY: y + ABOVE * size };
}

/** A box that is moved so that its lower left corner is at a place. */
function movedTo({ minX, minY, maxX, maxY }: Bounds, [x, y]: Point): Bounds {
  return { minX: x, minY: y, maxX: x + maxX - minX, maxY: y + maxY - minY };
}

/** Places in columns and rows from the first place on (mm); `columns` and `rows` are the indices of the last ones. */
interface Grid {
  readonly from: Point;
  readonly step: number;
  readonly columns: number;
  readonly rows: number;
}

/** A place, and its distance from where it is wanted (mm). */
interface FarPlace {
  readonly at: Point;
  readonly far: number;
}

/** The places of a grid at least `near` and less than `far` mm from a point. */
function ring({ from, step, columns, rows }: Grid, [x, y]: Point, [near, far]: readonly [number, number]): FarPlace[] {
  const places: FarPlace[] = [];
  const add = (px: number, low: number, high: number) => {
    for (let row = Math.max(0, low); row <= Math.min(rows, high); row += 1) {
      const at: Point = [px, from[1] + step * row];
      const distance = Math.hypot(at[0] - x, at[1] - y);
      if (distance >= near && distance < far) places.push({ far: distance, at });
    }
  };
  const first = Math.max(0, Math.floor((x - far - from[0]) / step));
  const last = Math.min(columns, Math.ceil((x + far - from[0]) / step));
  for (let column = first; column <= last; column += 1) {
    const px = from[0] + step * column;
    const outer = Math.sqrt(Math.max(0, far ** 2 - (px - x) ** 2)) / step;
    const inner = Math.sqrt(Math.max(0, near ** 2 - (px - x) ** 2)) / step;
    const middle = (y - from[1]) / step;
    // Below and above the point; one more row on each side for rounding.
    const [low, high] = [Math.ceil(middle - inner) + 1, Math.floor(middle + inner) - 1];
    if (high < low) add(px, Math.floor(middle - outer) - 1, Math.ceil(middle + outer) + 1);
    else {
      add(px, Math.floor(middle - outer) - 1, low);
      add(px, Math.max(low + 1, high), Math.ceil(middle + outer) + 1);
    }
  }
  return places.sort((one, other) => one.far - other.far);
}

/** All places of a grid, the nearest to a point first; equally near ones by column, then row. */
function* outward(grid: Grid, point: Point): Generator<FarPlace> {
  const { from, step, columns, rows } = grid;
  const reach = Math.max(
    ...[from[0], from[0] + step * columns].flatMap((x) =>
      [from[1], from[1] + step * rows].map((y) => Math.hypot(x - point[0], y - point[1])),
    ),
  );
  const width = 4 * step;
  for (let near = 0; near <= reach; near += width) yield* ring(grid, point, [near, near + width]);
}

/** Where words of a drawing have room: clear of all its lines, and of the words that were placed before. */
export class RoomForWords {
  readonly #edge: readonly Point[];
  readonly #own: Bounds;
  readonly #pieces = new PiecesBySquare();
  readonly #taken: Bounds[] = [];

  /** @param window what is seen of the part, with the room beside it (mm) */
  constructor(
    outline: Outline,
    lines: readonly Primitive[],
    readonly window: Bounds,
  ) {
    this.#edge = chordPoints(outline, SAGITTA);
    const { minX, minY, maxX, maxY } = bounds(outline);
    this.#own = {
      minX: Math.max(minX, window.minX),
      minY: Math.max(minY, window.minY),
      maxX: Math.min(maxX, window.maxX),
      maxY: Math.min(maxY, window.maxY),
    };
    this.#pieces.add(piecesOf(lines));
  }

  take(box: Bounds): void {
    this.#taken.push(box);
  }

  /** Lines that were drawn since, such as one that leads to words beside the part. */
  draw(items: readonly Primitive[]): void {
    this.#pieces.add(piecesOf(items));
  }

  /** Where a box is clear within the part, no further than `most` from where it is wanted (mm); null where there is no room. */
  inside(wanted: Bounds, most = Infinity): Bounds | null {
    // A box without lines is wholly inside or wholly outside: its middle decides.
    const holds = (box: Bounds) =>
      this.#isClear(box) && insideLine(this.#edge, [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]);
    return this.#nearest(wanted, this.#own, { most, holds });
  }

  /** Where a box is clear in all that is seen, within the part or beside it, and what else is asked of it holds. */
  anywhere(wanted: Bounds, also: (box: Bounds) => boolean = () => true): Bounds | null {
    return this.#nearest(wanted, this.window, { most: Infinity, holds: (box) => this.#isClear(box) && also(box) });
  }

  /** Whether a straight line runs through words that were placed. */
  isCrossed(from: Point, to: Point): boolean {
    return this.#taken.some((box) => entersBox([from, to], grown(box, CLEAR / 2)));
  }

  #isClear(box: Bounds): boolean {
    const wide = grown(box, CLEAR);
    return !this.#taken.some((one) => meet(one, wide)) && !this.#pieces.enters(wide);
  }

  #nearest(
    wanted: Bounds,
    { minX, minY, maxX, maxY }: Bounds,
    { most, holds }: { readonly most: number; readonly holds: (box: Bounds) => boolean },
  ): Bounds | null {
    const [width, height] = [wanted.maxX - wanted.minX, wanted.maxY - wanted.minY];
    const [columns, rows] = [Math.floor((maxX - minX - width) / STEP), Math.floor((maxY - minY - height) / STEP)];
    const isIn = (box: Bounds) => box.minX >= minX && box.minY >= minY && box.maxX <= maxX && box.maxY <= maxY;
    if (isIn(wanted) && holds(wanted)) return wanted;
    if (columns < 0 || rows < 0) return null;
    const coarse = Math.max(1, Math.ceil(Math.sqrt(((columns + 1) * (rows + 1)) / MOST)));
    const grid: Grid = {
      from: [minX, minY],
      step: STEP * coarse,
      columns: Math.floor(columns / coarse),
      rows: Math.floor(rows / coarse),
    };
    for (const { at, far } of outward(grid, [wanted.minX, wanted.minY])) {
      if (far > most) return null;
      const box = movedTo(wanted, at);
      if (holds(box)) return box;
    }
    return null;
  }
}
