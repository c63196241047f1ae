import { radians } from '../../numbers.ts';
import { bounds, type Bounds, type Outline } from '../../geometry/outline/outline.ts';
import { Stretch } from '../../geometry/outline/stretch.ts';
import type { Lean } from '../../parts/part/lean.ts';
import type { Part } from '../../parts/part/part.ts';
import type { Anchor, Primitive } from '../../studio/printer/drawing.ts';
import { textWidth, type RoomForWords } from './roomForWords.ts';
import { EDGE_WORDS, leanWords } from './words.ts';
import type { Point } from '../../geometry/point.ts';

const WORD_SIZE = 3.4;

/** Steps along an edge when looking for its stretch within a window. */
const EDGE_STEPS = 200;

/** Greatest distance of an edge's words from it within the part (mm); beyond it they go beside the part, with a line. */
const FURTHEST = 40;

/** Distance of words beside a part (mm). */
const ASIDE_GAP = 7;

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

/** Position of words along their edge: those of the ends are low, clear of the title in the middle. */
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

function drawnAt(
  lean: Lean,
  text: string,
  { at, anchor }: { readonly at: Point; readonly anchor: Anchor },
): Primitive[] {
  const words: Primitive = { kind: 'text', layer: 'lean', at, size: WORD_SIZE, text, anchor };
  if (lean.word === 'straight down') return [words];
  const left = anchor === 'start' ? at[0] : anchor === 'end' ? at[0] - SECTION.width : at[0] - SECTION.width / 2;
  return [words, ...leanSection(lean.lean, [left, at[1] + WORD_SIZE + SECTION.blade + 1])];
}

/** The box of a lean's words and section, blade included, from their place (mm). */
function takenBy({ width, height }: Words, left: number, low: number): Bounds {
  return { minX: left, minY: low - 0.25 * WORD_SIZE, maxX: left + width, maxY: low + height };
}

/** Words of a lean still to be placed: the visible edge, the best place, and the box there. */
interface Waiting {
  readonly lean: Lean;
  readonly words: Words;
  readonly seen: readonly Point[];
  readonly on: Point;
  readonly wanted: Bounds;
}

function waitingWords(part: Part, { window }: RoomForWords): Waiting[] {
  return part.leans.flatMap((lean): Waiting[] => {
    const seen = edgePoints(part, lean).filter((point) => isIn(point, window));
    const on = seen[Math.floor((seen.length - 1) * SHARE[lean.edge])];
    if (!on) return [];
    const words = wordsOf(lean);
    const at = placeWords(part, lean, on);
    const left =
      lean.edge === 'left' || lean.edge === 'dart-right'
        ? at[0]
        : lean.edge === 'right' || lean.edge === 'dart-left'
          ? at[0] - words.width
          : at[0] - words.width / 2;
    // Those of the rim hang from it.
    const low = lean.edge === 'rim' ? at[1] - words.height + WORD_SIZE : at[1];
    return [{ lean, words, seen, on, wanted: takenBy(words, left, low) }];
  });
}

function drawnIn({ lean, words }: Waiting, room: RoomForWords, box: Bounds): Primitive[] {
  room.take(box);
  return drawnAt(lean, words.text, { at: [box.minX, box.minY + 0.25 * WORD_SIZE], anchor: 'start' });
}

/**
 * Words and a section at each edge with its lean: within the part where they have room in the window, clear of every line; the
 * others are drawn by `beside`, once all else is placed: beside the part or further in it, with a line to the edge. No lean is left
 * out as long as some of its edge is seen; edges that are called alike and lean alike may share their words.
 */
export function edgeWords(part: Part, room: RoomForWords): { inside: Primitive[]; beside: () => Primitive[] } {
  const left: Waiting[] = [];
  const told = new Set<string>();
  const inside = waitingWords(part, room).flatMap((one) => {
    const box = room.inside(one.wanted, FURTHEST);
    if (!box) left.push(one);
    if (!box) return [];
    told.add(one.words.text);
    return drawnIn(one, room, box);
  });
  // The panels of a strip lean alike: where not all have room, the lean is written at one that does.
  const beside = () => {
    const waiting = left.filter(({ words: { text } }) => !told.has(text));
    const texts = [...new Set(waiting.map(({ words: { text } }) => text))];
    return texts.flatMap((text): Primitive[] => {
      const alike = waiting.filter(({ words }) => words.text === text);
      const [one] = alike as [Waiting];
      const from = alike.flatMap(({ on }) => [on]).concat(alike.flatMap(({ seen, on }) => starts(seen, on)));
      const led = besideOf(room, one.words, from) ?? { box: one.wanted, from: one.on };
      const line: Primitive = { kind: 'line', layer: 'lean', from: led.from, to: leadsTo(led.from, led.box) };
      room.draw([line]);
      return [line, ...drawnIn(one, room, led.box)];
    });
  };
  return { inside, beside };
}

/** Where a line from a point meets a box, slightly before it. */
function leadsTo([x, y]: Point, { minX, minY, maxX, maxY }: Bounds): Point {
  const put = (value: number, least: number, greatest: number) => Math.min(greatest, Math.max(least, value));
  return [put(x, minX - 1, maxX + 1), put(y, minY - 1, maxY + 1)];
}

/** Places of an edge from which a line may lead to its words, the wanted one first. */
function starts(seen: readonly Point[], on: Point): readonly Point[] {
  return [on, ...[0.5, 0.25, 0.75, 0.1, 0.9].map((share) => seen[Math.floor((seen.length - 1) * share)] as Point)];
}

/** The room that is nearest to an edge, beside the part or in it; the line there runs through no words. */
function besideOf(room: RoomForWords, words: Words, from: readonly Point[]): { box: Bounds; from: Point } | null {
  const wantedFrom = ([x, y]: Point) => takenBy(words, x + ASIDE_GAP, y - words.height / 2);
  for (const on of from) {
    const box = room.anywhere(wantedFrom(on), (one) => !room.isCrossed(on, leadsTo(on, one)));
    if (box) return { box, from: on };
  }
  const [on] = from;
  const box = on ? room.anywhere(wantedFrom(on)) : null;
  return box && on ? { box, from: on } : null;
}
