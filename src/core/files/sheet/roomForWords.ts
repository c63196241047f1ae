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

/** Straight pieces in a grid, to be found by a box. */
class PiecesBySquare {
  readonly #squares = new Map<string, Piece[]>();

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
        for (const name of this.#names(box)) {
          const own = this.#squares.get(name);
          if (!own) this.#squares.set(name, [piece]);
          else if (own.at(-1) !== piece) own.push(piece);
        }
      }
    }
  }

  enters(box: Bounds): boolean {
    return this.#names(box).some((name) => this.#squares.get(name)?.some((piece) => entersBox(piece, box)) ?? false);
  }

  #names({ minX, minY, maxX, maxY }: Bounds): string[] {
    const names: string[] = [];
    for (let column = Math.floor(minX / SQUARE); column <= Math.floor(maxX / SQUARE); column += 1) {
      for (let row = Math.floor(minY / SQUARE); row <= Math.floor(maxY / SQUARE); row += 1)
        names.push(`${column} ${row}`);
    }
    return names;
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
    const places: { readonly far: number; readonly at: Point }[] = [];
    for (let column = 0; column <= columns; column += coarse) {
      for (let row = 0; row <= rows; row += coarse) {
        const at: Point = [minX + STEP * column, minY + STEP * row];
        const far = Math.hypot(at[0] - wanted.minX, at[1] - wanted.minY);
        if (far <= most) places.push({ far, at });
      }
    }
    places.sort((one, other) => one.far - other.far);
    const found = places.find(({ at }) => holds(movedTo(wanted, at)));
    return found ? movedTo(wanted, found.at) : null;
  }
}
