import { radians } from '../numbers.ts';
import { insideLine } from '../outline/insideLine.ts';
import { chordPoints } from '../outline/crossing.ts';
import { bounds, type Bounds, type Outline } from '../outline/outline.ts';
import { Stretch } from '../outline/stretch.ts';
import type { Lean } from '../part/lean.ts';
import type { Part } from '../part/part.ts';
import type { Anchor, Primitive } from './drawing.ts';
import { EDGE_WORDS, leanWords } from './words.ts';

const WORD_SIZE = 3.4;

/** Mean width of a letter, as a share of its height: words are never wider. */
const LETTER_WIDTH = 0.56;

/** Width of some words of a size (mm): an upper bound. */
export function textWidth(text: string, size: number): number {
  return text.length * LETTER_WIDTH * size;
}

/** Steps along an edge when looking for its stretch within a window. */
const EDGE_STEPS = 200;

/** Words beside a part stand this far from it, and this far below one another (mm). */
const ASIDE = { gap: 7, row: 14 } as const;

/** Room that words beside a part take to its right (mm). */
export const ASIDE_ROOM = 70;

type Point = readonly [number, number];

/** The points of an edge, a whole outline's when it is one, from its start. */
function edgePoints(part: Part, lean: Lean): Point[] {
  const stretch = new Stretch(part.outline, lean.from, lean.edge === 'round' ? lean.from : lean.to);
  return Array.from({ length: EDGE_STEPS + 1 }, (_, step) => stretch.pointAt((stretch.length * step) / EDGE_STEPS));
}

const isIn = ([x, y]: Point, { minX, minY, maxX, maxY }: Bounds) => x >= minX && x <= maxX && y >= minY && y <= maxY;

/** Size of the little section drawing (mm). */
const SECTION = { width: 13, height: 4.5, blade: 2.2 } as const;

/**
 * A slab cut through at a leaning edge, with the blade: the piece lies left of the cut, its top face above. Lower left
 * corner of its box at `at`, mm. Also used on the screen.
 */
export function leanSection(lean: number, at: readonly [number, number]): Primitive[] {
  const { width, height, blade } = SECTION;
  const slope = Math.tan(radians(Math.max(-60, Math.min(60, lean))));
  const middle = 0.6 * width;
  const x = (y: number) => at[0] + middle + slope * (height / 2 - y);
  const outline: Outline = [
    [at[0], at[1], 0],
    [x(0), at[1], 0],
    [x(height), at[1] + height, 0],
    [at[0], at[1] + height, 0],
  ];
  return [
    { kind: 'path', layer: 'lean', outline },
    { kind: 'line', layer: 'lean', from: [x(-blade), at[1] - blade], to: [x(height + blade), at[1] + height + blade] },
  ];
}

/** How far along its edge a word stands: those of the ends stay low, clear of the title in the middle. */
const SHARE: Readonly<Record<Lean['edge'], number>> = {
  rim: 0.5,
  foot: 0.5,
  left: 0.78,
  right: 0.22,
  side: 0.5,
  round: 0.5,
  'dart-left': 0.5,
  'dart-right': 0.5,
};

/** Where the words of an edge stand, from the point `at` on it (mm). */
function placeWords(part: Part, lean: Lean, at: Point): Point {
  const box = bounds(part.outline);
  const under = bounds(part.underside);
  switch (lean.edge) {
    case 'left':
    case 'dart-right':
      return [Math.max(at[0], under.minX) + 3, at[1]];
    case 'right':
    case 'dart-left':
      return [at[0] - 3, at[1]];
    case 'rim':
      return [at[0], at[1] - WORD_SIZE - 1];
    case 'side':
      return [at[0] + 0.2 * ((box.minX + box.maxX) / 2 - at[0]), at[1] + 0.2 * ((box.minY + box.maxY) / 2 - at[1])];
    case 'foot':
      return [at[0], Math.max(at[1], under.minY) + 2.5];
    case 'round':
      return [(box.minX + box.maxX) / 2, box.minY + 0.12 * (box.maxY - box.minY)];
  }
}

/** The words of one edge, and the box that they take with their section (mm). */
interface Words {
  readonly text: string;
  readonly width: number;
  readonly height: number;
}

function wordsOf(lean: Lean): Words {
  const text = `${EDGE_WORDS[lean.edge]}: ${leanWords(lean)}`;
  const section = lean.word === 'straight down' ? 0 : SECTION.height + 2 * SECTION.blade + 1;
  return { text, width: Math.max(SECTION.width, textWidth(text, WORD_SIZE)), height: WORD_SIZE + section };
}

function drawnAt(lean: Lean, text: string, at: Point, anchor: Anchor): Primitive[] {
  const words: Primitive = { kind: 'text', layer: 'lean', at, size: WORD_SIZE, text, anchor };
  if (lean.word === 'straight down') return [words];
  const left = anchor === 'start' ? at[0] : anchor === 'end' ? at[0] - SECTION.width : at[0] - SECTION.width / 2;
  return [words, ...leanSection(lean.lean, [left, at[1] + WORD_SIZE + SECTION.blade + 1])];
}

/** Whether a box lies within an outline: its corners and the middles of its sides do (mm). */
function liesIn(outline: Outline, { minX, minY, maxX, maxY }: Bounds): boolean {
  const line = chordPoints(outline);
  const [x, y] = [(minX + maxX) / 2, (minY + maxY) / 2];
  const looks: Point[] = [[minX, minY], [maxX, minY], [maxX, maxY], [minX, maxY], [x, minY], [x, maxY], [minX, y], [maxX, y]]; // prettier-ignore
  return looks.every((look) => insideLine(line, look));
}

/**
 * Words and a section at each edge with its lean, within the part where they have room in the window; else beside it, with a
 * line to the edge. No lean is left out as long as some of its edge is seen.
 *
 * @param window what is seen of the part; words beside it may stand up to its right edge (mm)
 */
export function edgeWords(part: Part, window: Bounds): Primitive[] {
  const box = bounds(part.outline);
  let row = 0;
  return part.leans.flatMap((lean): Primitive[] => {
    const seen = edgePoints(part, lean).filter((point) => isIn(point, window));
    const on = seen[Math.floor((seen.length - 1) * SHARE[lean.edge])];
    if (!on) return [];
    const { text, width, height } = wordsOf(lean);
    const anchor: Anchor = lean.edge === 'left' ? 'start' : lean.edge === 'right' ? 'end' : 'middle';
    const at = placeWords(part, lean, on);
    const left = anchor === 'start' ? at[0] : anchor === 'end' ? at[0] - width : at[0] - width / 2;
    const taken = { minX: left, minY: at[1], maxX: left + width, maxY: at[1] + (lean.edge === 'rim' ? WORD_SIZE : height) }; // prettier-ignore
    const whole = isIn([taken.minX, taken.minY], window) && isIn([taken.maxX, taken.maxY], window);
    if (whole && liesIn(part.outline, taken)) return drawnAt(lean, text, at, anchor);
    const x = Math.min(box.maxX + ASIDE.gap, window.maxX - width - 1);
    const y = Math.max(window.minY + 1, Math.min(box.maxY, window.maxY) - height - ASIDE.row * row);
    row += 1;
    const line: Primitive = { kind: 'line', layer: 'lean', from: on, to: [x - 1, y + WORD_SIZE / 2] };
    return [line, ...drawnAt(lean, text, [x, y], 'start')];
  });
}
