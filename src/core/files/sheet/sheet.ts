import { bounds, type Bounds } from '../../geometry/outline/outline.ts';
import { isRolled, type Part } from '../../parts/part/part.ts';
import { PART_GAP } from '../../bench/slab/slabNeeded.ts';
import type { LengthStyle } from '../../units/writeLength.ts';
import type { About } from './about.ts';
import { movedPrimitive, type Primitive } from '../../studio/printer/drawing.ts';
import { textWidth } from './roomForWords.ts';
import { rollArrow } from './rollArrow.ts';
import { partDrawing } from './partDrawing.ts';

/** One part placed on the sheet: how far its own frame was moved, and its drawing. */
export interface PlacedPart {
  readonly part: Part;
  readonly dx: number;
  readonly dy: number;
  readonly drawing: readonly Primitive[];
}

/** All parts of a piece side by side on one sheet without page breaks (mm, y up, lower left corner at 0, 0). */
export interface Sheet {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly parts: readonly PlacedPart[];
}

/** Free margin round the sheet (mm). */
export const SHEET_MARGIN = 10;

function boxOf(part: Part): Bounds {
  const up = bounds(part.outline);
  const under = bounds(part.underside);
  return {
    minX: Math.min(up.minX, under.minX),
    minY: Math.min(up.minY, under.minY),
    maxX: Math.max(up.maxX, under.maxX),
    maxY: Math.max(up.maxY, under.maxY),
  };
}

/** Height of the words over the whole sheet, and of those under a part (mm). */
const HEAD_SIZE = 5;
const ABOUT_SIZE = 3.4;
const ABOUT_ROW = 5;

function wordsHeight(part: Part, about: About): number {
  const arrow = isRolled(part) ? ABOUT_ROW : 0;
  return about.of(part).length * ABOUT_ROW + arrow + 2;
}

/** What is told of a part, under it, with the arrow of its roll. */
function wordsUnder(part: Part, about: About): Primitive[] {
  const { minX, minY } = boxOf(part);
  const lines = about.of(part).map((text, index): Primitive => ({
    kind: 'text',
    layer: 'text',
    at: [minX, minY - ABOUT_ROW * (index + 1)],
    size: ABOUT_SIZE,
    text,
    anchor: 'start',
  }));
  if (!isRolled(part)) return lines;
  return [...lines, ...rollArrow(minX, minY - ABOUT_ROW * (lines.length + 1) + 1)];
}

/** How far the words of a drawing reach to the right (mm). */
function reachOf(drawing: readonly Primitive[]): number {
  return drawing.reduce((far, item) => {
    if (item.kind !== 'text') return far;
    const share = item.anchor === 'start' ? 1 : item.anchor === 'middle' ? 0.5 : 0;
    return Math.max(far, item.at[0] + share * textWidth(item.text, item.size));
  }, 0);
}

/** Lays the parts out above one another, the first on top, {@link PART_GAP} apart. */
export function sheetOf(
  name: string,
  parts: readonly Part[],
  { style, about = null }: { readonly style: LengthStyle; readonly about?: About | null },
): Sheet {
  let y = SHEET_MARGIN;
  let width = 0;
  const placed = [...parts].reverse().map((part) => {
    const box = boxOf(part);
    const dx = SHEET_MARGIN - box.minX;
    const dy = y - box.minY + (about ? wordsHeight(part, about) : 0);
    y = dy + box.maxY + PART_GAP;
    const told = about ? wordsUnder(part, about) : [];
    const drawing = [...partDrawing(part, style), ...told].map((item) => movedPrimitive(item, dx, dy));
    width = Math.max(width, box.maxX - box.minX, reachOf(drawing) - SHEET_MARGIN);
    return { part, dx, dy, drawing };
  });
  if (about) {
    const head: Primitive = {
      kind: 'text',
      layer: 'text',
      at: [SHEET_MARGIN, y],
      size: HEAD_SIZE,
      text: about.whole,
      anchor: 'start',
      weight: 'bold',
    };
    const [top] = placed.slice(-1);
    if (top) placed[placed.length - 1] = { ...top, drawing: [...top.drawing, head] };
    width = Math.max(width, textWidth(about.whole, HEAD_SIZE));
    y += HEAD_SIZE + PART_GAP;
  }
  return { name, width: width + 2 * SHEET_MARGIN, height: y - PART_GAP + SHEET_MARGIN, parts: placed.reverse() };
}
