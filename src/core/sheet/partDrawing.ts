import { bounds, type Bounds } from '../outline/outline.ts';
import { middleOf, type Mark, type Part } from '../part/part.ts';
import type { LengthStyle } from '../units/writeLength.ts';
import type { Primitive } from './drawing.ts';
import { ASIDE_ROOM, edgeWords, textWidth } from './edgeWords.ts';
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
      const [x, y] = [0, 1].map((axis) => (mark.at[axis] ?? 0) + LEAN_INSET * (mark.inward[axis] ?? 0)) as [number, number]; // prettier-ignore
      return { ...middle, layer: 'lean', at: [x, y - LEAN_SIZE / 3], size: LEAN_SIZE, text: mark.text };
    }
  }
}

/** A window round a whole part, with room for words beside it. */
const withAside = (box: Bounds): Bounds => ({ ...box, maxX: box.maxX + ASIDE_ROOM });

/**
 * The drawing of one flat part in its own frame (mm, y up): cut line, underside, marks, words at each edge, title and
 * size. Words are placed within `window` (the part seen on one page; the whole part when left out).
 */
export function partDrawing(
  part: Part,
  style: LengthStyle,
  window: Bounds = withAside(bounds(part.outline)),
): Primitive[] {
  const box = bounds(part.outline);
  const middle = middleOf(part);
  const seen = middle[0] > window.minX + 30 && middle[0] < window.maxX - 30 && middle[1] > window.minY && middle[1] < window.maxY; // prettier-ignore
  const centre = seen
    ? middle
    : ([
        (Math.max(box.minX, window.minX) + Math.min(box.maxX, window.maxX)) / 2,
        (Math.max(box.minY, window.minY) + Math.min(box.maxY, window.maxY)) / 2,
      ] as const);
  // Words wider than what is seen of the part run on beside it, not off the page.
  const words = (text: string, up: number, weight?: 'bold'): Primitive => {
    const half = textWidth(text, TITLE_SIZE) / 2;
    const x = Math.max(window.minX + half, Math.min(window.maxX - half, centre[0]));
    return { kind: 'text', layer: 'text', at: [x, centre[1] + up], size: TITLE_SIZE, text, anchor: 'middle', ...(weight && { weight }) }; // prettier-ignore
  };
  const leans = part.leans.some((lean) => lean.word !== 'straight down');
  const marks = part.marks.map(markDrawing);
  return [
    ...(leans ? [{ kind: 'path', layer: 'lean', outline: part.underside, dash: 'dash' } as const] : []),
    { kind: 'path', layer: 'cut', outline: part.outline },
    ...(part.holes ?? []).map((outline) => ({ kind: 'path', layer: 'cut', outline }) as const),
    ...marks,
    words(titleWords(part), 3, 'bold'),
    words(sizeWords(part, style), -5),
    ...edgeWords(part, window),
  ];
}
