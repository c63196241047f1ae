import { bounds, type Bounds } from '../../geometry/outline/outline.ts';
import { middleOfPart, type Mark, type Part } from '../../parts/part/part.ts';
import type { LengthStyle } from '../../units/writeLength.ts';
import { movedPrimitive, type Primitive } from '../../studio/printer/drawing.ts';
import { edgeWords } from './edgeWords.ts';
import { RoomForWords, textWidth, wordsBox } from './roomForWords.ts';
import { sizeWords, titleWords } from './words.ts';

const LETTER_SIZE = 6;
const WORDS_SIZE = 4;
const LEAN_SIZE = 3.2;
const TITLE_SIZE = 5;

/** How far inside its edge a lean is written (mm). */
const LEAN_INSET = 6;

function markDrawing(mark: Mark): Primitive {
  const middle = { kind: 'text', anchor: 'middle' } as const;
  switch (mark.kind) {
    case 'line':
      return { kind: 'line', layer: 'mark', from: mark.from, to: mark.to, dash: 'chain' };
    case 'path':
      return { kind: 'path', layer: 'mark', outline: mark.outline, dash: 'chain', ...(!mark.closed && { open: true }) };
    case 'letter':
      return { ...middle, layer: 'mark', at: mark.at, size: LETTER_SIZE, text: mark.text, weight: 'bold' };
    case 'words':
      return { ...middle, layer: 'mark', at: mark.at, size: WORDS_SIZE, text: mark.text };
    case 'lean': {
      const [x, y] = [0, 1].map((axis) => (mark.at[axis] ?? 0) + LEAN_INSET * (mark.inward[axis] ?? 0)) as [
        number,
        number,
      ];
      return { ...middle, layer: 'lean', at: [x, y - LEAN_SIZE / 3], size: LEAN_SIZE, text: mark.text };
    }
  }
}

/** Room beside a whole part, to its right and under it, for words that it is too small for (mm). */
const ASIDE = { right: 75, under: 34 } as const;

function withAside(part: Part, words: readonly string[]): Bounds {
  const { minX, minY, maxX, maxY } = bounds(part.outline);
  const widest = Math.max(...words.map((text) => textWidth(text, TITLE_SIZE)));
  return { minX, minY: minY - ASIDE.under, maxX: Math.max(maxX + ASIDE.right, minX + widest + 2), maxY };
}

/** Moves words to the free place nearest to their own. */
function placed(words: Primitive, room: RoomForWords, within: 'inside' | 'anywhere'): Primitive {
  if (words.kind !== 'text') return words;
  const wanted = wordsBox(words);
  const found = room.inside(wanted) ?? (within === 'anywhere' ? room.anywhere(beside(wanted, room)) : null) ?? wanted;
  room.take(found);
  return { ...words, at: [words.at[0] + found.minX - wanted.minX, words.at[1] + found.minY - wanted.minY] };
}

/** Moves lines of words that belong together as one; separately where there is no room for both. */
function together(all: readonly Primitive[], room: RoomForWords): Primitive[] {
  const boxes = all.flatMap((item) => (item.kind === 'text' ? [wordsBox(item)] : []));
  const wanted: Bounds = {
    minX: Math.min(...boxes.map(({ minX }) => minX)),
    minY: Math.min(...boxes.map(({ minY }) => minY)),
    maxX: Math.max(...boxes.map(({ maxX }) => maxX)),
    maxY: Math.max(...boxes.map(({ maxY }) => maxY)),
  };
  const found = room.inside(wanted) ?? room.anywhere(beside(wanted, room));
  if (!found) return all.map((item) => placed(item, room, 'anywhere'));
  room.take(found);
  return all.map((item) => movedPrimitive(item, found.minX - wanted.minX, found.minY - wanted.minY));
}

/** Where words that a part has no room for are looked for first: at the right, as high as they were. */
function beside(wanted: Bounds, { window }: RoomForWords): Bounds {
  const wide = wanted.maxX - wanted.minX;
  return { ...wanted, minX: window.maxX - wide, maxX: window.maxX };
}

/**
 * The drawing of one flat part in its own frame (mm, y up): cut line, underside, marks, words at each edge, title and
 * size. No words stand on a line or on other words, as long as there is room within `window` (the part seen on one page, with
 * what is beside it; the whole part when left out).
 */
export function partDrawing(part: Part, style: LengthStyle, window?: Bounds): Primitive[] {
  const [title, size] = [titleWords(part), sizeWords(part, style)];
  const marks = part.marks.map(markDrawing);
  const seen =
    window ?? withAside(part, [title, size, ...marks.flatMap((item) => (item.kind === 'text' ? item.text : []))]);
  const box = bounds(part.outline);
  const leans = part.leans.some((lean) => lean.word !== 'straight down');
  const isWords = (item: Primitive) => item.kind === 'text';
  const lines: Primitive[] = [
    ...(leans ? [{ kind: 'path', layer: 'lean', outline: part.underside, dash: 'dash' } as const] : []),
    { kind: 'path', layer: 'cut', outline: part.outline },
    ...(part.holes ?? []).map((outline) => ({ kind: 'path', layer: 'cut', outline }) as const),
    ...marks.filter((item) => !isWords(item)),
  ];
  const room = new RoomForWords(part.outline, lines, seen);
  const [x, y] = middleOfPart(part);
  // What is seen of the part has its own middle, where the part's is on another page.
  const isSeen = x > seen.minX + 30 && x < seen.maxX - 30 && y > seen.minY && y < seen.maxY;
  const centre = isSeen
    ? ([x, y] as const)
    : ([
        (Math.max(box.minX, seen.minX) + Math.min(box.maxX, seen.maxX)) / 2,
        (Math.max(box.minY, seen.minY) + Math.min(box.maxY, seen.maxY)) / 2,
      ] as const);
  const words = (text: string, up: number, weight?: 'bold'): Primitive => ({
    kind: 'text',
    layer: 'text',
    at: [centre[0], centre[1] + up],
    size: TITLE_SIZE,
    text,
    anchor: 'middle',
    ...(weight && { weight }),
  });
  const told = marks
    .filter(isWords)
    .filter((item) => isIn(item, seen))
    .map((item) => placed(item, room, 'anywhere'));
  const edges = edgeWords(part, room);
  const named = together([words(title, 3, 'bold'), words(size, -5)], room);
  return [...lines, ...told, ...edges.inside, ...named, ...edges.beside()];
}

/** Whether words stand in what is seen. */
function isIn(item: Primitive, { minX, minY, maxX, maxY }: Bounds): boolean {
  return item.kind === 'text' && item.at[0] >= minX && item.at[0] <= maxX && item.at[1] >= minY && item.at[1] <= maxY;
}
