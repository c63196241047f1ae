import { dryPart } from '../../studio/drying/partDrying.ts';
import { ROOM } from '../../studio/drying/air.ts';
import { wetLength } from '../../units/shrinkage.ts';
import type { WorkStep } from '../../studio/making/workStep.ts';
import type { Outline } from '../../geometry/outline/outline.ts';
import type { Development } from '../../piece/develop.ts';
import { elevation } from '../../piece/elevation.ts';
import type { Target } from '../../target/target.ts';
import { writePhrase } from '../../units/phrase.ts';
import { writeLength, type LengthStyle } from '../../units/writeLength.ts';
import type { Primitive } from '../../studio/printer/drawing.ts';
import { textWidth } from './roomForWords.ts';
import { PAPER_MARGIN, type PaperSize } from '../../studio/printer/paper.ts';
import { EDGE_WORDS, leanWords } from './words.ts';

/** What a bench card is made of. */
export interface CardOf {
  readonly target: Target;
  readonly developed: Pick<Development, 'finished' | 'parts'>;
  readonly steps: readonly WorkStep[];
  readonly style: LengthStyle;
  /** Design and revision, clay and shrinkage; whose card it is, in a class. */
  readonly whole: string;
  readonly student?: string;
}

/** Sizes of letters (mm): figures are read from a step and a half away, the order of work at the table. */
const LARGE = 9;
const FIGURE = 7;
const PLAIN = 4;

/** How much a card says, from the fullest down: the drawing's room (mm), letters of the order of work (mm), and its figures. */
interface Fullness {
  readonly drawing: number;
  readonly act: number;
  readonly figure: number;
  readonly figures: boolean;
}
const FULLNESSES: readonly Fullness[] = [
  { drawing: 84, act: 4, figure: 3.2, figures: true },
  { drawing: 66, act: 4, figure: 3.2, figures: true },
  { drawing: 62, act: 3.4, figure: 2.8, figures: true },
  { drawing: 62, act: 3.4, figure: 2.8, figures: false },
];

/** Room of the drawing across, and of what is written on at the foot of the card (mm). */
const DRAWN_ACROSS = 74;
const TO_WRITE = 26;

type Words = readonly [words: string, size: number, weight?: 'bold'];

const scaled = (
  outline: Outline,
  { by, dx, dy }: { readonly by: number; readonly dx: number; readonly dy: number },
): Outline => outline.map(([x, y, bulge]) => [dx + by * x, dy + by * y, bulge]);

/** A text in lines that are no wider than so many mm. */
export function wrapped(text: string, size: number, width: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && textWidth(`${last} ${word}`, size) <= width) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

/** What is measured while it is made: name, wet and fired. */
function sizesOf({
  target,
  developed: { finished },
  style,
}: CardOf): (readonly [name: string, wet: string, fired: string])[] {
  const { rim, foot, height } = finished;
  const both = (fired: number) =>
    [writeLength(wetLength(fired, target.clay.shrinkage), style), writeLength(fired, style)] as const;
  return (
    [
      ['Rim', rim],
      ['Foot', foot],
      ['High', height],
    ] as const
  ).map(([name, fired]) => [name, ...both(fired)]);
}

/** Leans that are not straight down, part by part. */
function leansOf({ developed: { parts } }: CardOf): string[] {
  return parts.flatMap(({ name, leans }) => {
    const told = leans
      .filter(({ word }) => word !== 'straight down')
      .map((lean) => `${EDGE_WORDS[lean.edge]} ${leanWords(lean)}`);
    return told.length > 0 ? [`${name}: ${told.join(', ')}`] : [];
  });
}

/** Hours in words, no more exact than the forecast. */
const about = (hours: number | null) =>
  hours === null
    ? 'not in a week'
    : hours < 1.5
      ? `about ${Math.max(10, Math.round(hours * 6) * 10)} min`
      : hours < 48
        ? `about ${Math.round(hours)} h`
        : `about ${Math.round(hours / 24)} days`;

/** The forecast covers a week (h). */
const AHEAD = 168;

/** Each wait with its window in an ordinary room: a guess until the clay's own marks are known. */
function waitsOf({ steps }: CardOf): string[] {
  return steps.flatMap(({ title, waits }) => {
    if (!waits) return [];
    const { opens, closes, leatherHard, dry } = dryPart(waits.part, ROOM, { hours: AHEAD }).reached;
    if (waits.until === 'opens') return [`${title}: from ${about(opens)} to ${about(closes)}`];
    return [`${title}: ${about(waits.until === 'dry' ? dry : leatherHard)}`];
  });
}

/** The fullest card that leaves room to write on. */
export function benchCard(card: CardOf, size: PaperSize): Primitive[] {
  const drawn = FULLNESSES.map((full) => () => cardOf(card, size, full));
  for (const draw of drawn) {
    const { items, left } = draw();
    if (left >= TO_WRITE) return items;
  }
  return cardOf(card, size, FULLNESSES.at(-1) as Fullness).items;
}

/**
 * One page to stand at the table: the piece, the sizes to measure, weights, thickness, leans, the order of work in brief, waits,
 * and lines to write on. Upright, y up, mm.
 *
 * @returns what is drawn, and how much is left to write on (mm)
 */
function cardOf(card: CardOf, { width, height }: PaperSize, full: Fullness): { items: Primitive[]; left: number } {
  const { target, steps, style, whole, student } = card;
  const items: Primitive[] = [];
  const put = (
    x: number,
    y: number,
    { words: [text, size, weight], anchor = 'start' }: { readonly words: Words; readonly anchor?: 'start' | 'end' },
  ) => items.push({ kind: 'text', layer: 'text', at: [x, y], size, text, anchor, ...(weight && { weight }) });
  const line = (y: number, from = PAPER_MARGIN, to = width - PAPER_MARGIN) =>
    items.push({ kind: 'line', layer: 'mark', from: [from, y], to: [to, y] });
  const [left, right] = [PAPER_MARGIN, width - PAPER_MARGIN];
  let y = height - PAPER_MARGIN - LARGE;
  put(left, y, { words: [target.name, LARGE, 'bold'] });
  if (student !== undefined) put(right, y, { words: [student, FIGURE, 'bold'], anchor: 'end' });
  y -= 7;
  put(left, y, { words: [whole, PLAIN] });
  y -= 4;
  line(y);

  // The piece as it will be, with its sizes beside it.
  const side = elevation(target, 'fired');
  const by = Math.min(DRAWN_ACROSS / side.width, full.drawing / side.height);
  const [dx, dy] = [left + (DRAWN_ACROSS - side.width * by) / 2 - side.left * by, y - 4 - full.drawing];
  for (const outline of [side.outer, ...side.added])
    items.push({ kind: 'path', layer: 'cut', outline: scaled(outline, { by, dx, dy }) });
  const [names, wetEnd] = [left + DRAWN_ACROSS + 8, right - 42];
  let row = y - 7;
  put(wetEnd, row, { words: ['wet', PLAIN], anchor: 'end' });
  put(right, row, { words: ['fired', PLAIN], anchor: 'end' });
  for (const [name, wet, fired] of sizesOf(card)) {
    row -= FIGURE + 3;
    put(names, row, { words: [name, PLAIN + 1] });
    put(wetEnd, row, { words: [wet, FIGURE, 'bold'], anchor: 'end' });
    put(right, row, { words: [fired, FIGURE], anchor: 'end' });
    line(row - 2, names);
  }
  for (const [name, value] of [
    ['Slab', writeLength(target.slab.wall, style)],
    ...(target.slab.base === target.slab.wall ? [] : [['Base slab', writeLength(target.slab.base, style)] as const]),
  ] as const) {
    row -= FIGURE + 3;
    put(names, row, { words: [name, PLAIN + 1] });
    put(right, row, { words: [value, FIGURE, 'bold'], anchor: 'end' });
    line(row - 2, names);
  }
  // One answer to what is weighed out: the step's own.
  for (const { says } of steps.filter(({ act }) => act === 'weigh')) {
    row -= FIGURE + 2;
    put(names, row, { words: [says[0] ? writePhrase(says[0], style) : '', PLAIN + 1.5, 'bold'] });
  }
  for (const lean of leansOf(card).flatMap((words) => wrapped(words, PLAIN, right - names))) {
    row -= PLAIN + 2;
    put(names, row, { words: [lean, PLAIN] });
  }

  y = Math.min(y - full.drawing - 10, row - 8);
  line(y);
  // The order of work in two columns: each act, and its first figure.
  const column = (width - 2 * PAPER_MARGIN - 8) / 2;
  const blocks = steps.map(({ title, says }, index) => {
    const [first] = says;
    const acts = wrapped(`${index + 1}. ${title}`, full.act, column).map((text): Words => [text, full.act, 'bold']);
    const figure = first && full.figures ? writePhrase(first, style) : '';
    // In brief: a step without a figure is shown by its title alone.
    return /\d/.test(figure)
      ? [...acts, ...wrapped(figure, full.figure, column - 4).map((text): Words => [text, full.figure])]
      : acts;
  });
  const heightOf = (block: readonly Words[]) => block.reduce((sum, [, size]) => sum + size + 1.3, 1);
  const total = blocks.reduce((sum, block) => sum + heightOf(block), 0);
  const top = y - 2;
  let [x, at, used] = [left, top, 0];
  let lowest = top;
  for (const block of blocks) {
    if (x === left && used + heightOf(block) / 2 > total / 2) [x, at] = [left + column + 8, top];
    used += heightOf(block);
    for (const words of block) {
      at -= words[1] + 1.3;
      put(words[1] === full.figure ? x + 4 : x, at, { words });
    }
    at -= 1;
    lowest = Math.min(lowest, at);
  }
  y = lowest - 2;
  line(y);
  for (const words of waitsOf(card)) {
    y -= PLAIN + 2.2;
    put(left, y, { words: [`${words}, in an ordinary room: feel it.`, PLAIN] });
  }
  y -= 4;
  line(y);
  y -= 7;
  put(left, y, {
    words: ['Made on                     Clay                     Measured                     Weight', PLAIN],
  });
  const room = y - PAPER_MARGIN;
  for (y -= 10; y > PAPER_MARGIN + 8; y -= 10) line(y);
  put(left, PAPER_MARGIN + 1, {
    words: [
      'Clay dust holds silica: wipe up wet. Whether it may hold food is for the glaze’s maker and a testing laboratory to say.',
      3.2,
    ],
  });
  return { items, left: room };
}
