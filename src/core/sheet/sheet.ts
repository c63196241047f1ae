import { bounds, type Bounds } from '../outline/outline.ts';
import type { Part } from '../part/part.ts';
import { PART_GAP } from '../slab/slabNeeded.ts';
import type { LengthStyle } from '../units/writeLength.ts';
import { movedPrimitive, type Primitive } from './drawing.ts';
import { textWidth } from './edgeWords.ts';
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

/** How far the words of a drawing reach to the right (mm). */
function reachOf(drawing: readonly Primitive[]): number {
  return drawing.reduce((far, item) => {
    if (item.kind !== 'text') return far;
    const share = item.anchor === 'start' ? 1 : item.anchor === 'middle' ? 0.5 : 0;
    return Math.max(far, item.at[0] + share * textWidth(item.text, item.size));
  }, 0);
}

/** Lays the parts out above one another, the first on top, {@link PART_GAP} apart. */
export function sheetOf(name: string, parts: readonly Part[], style: LengthStyle): Sheet {
  let y = SHEET_MARGIN;
  let width = 0;
  const placed = [...parts].reverse().map((part) => {
    const box = boxOf(part);
    const dx = SHEET_MARGIN - box.minX;
    const dy = y - box.minY;
    y += box.maxY - box.minY + PART_GAP;
    const drawing = partDrawing(part, style).map((item) => movedPrimitive(item, dx, dy));
    width = Math.max(width, box.maxX - box.minX, reachOf(drawing) - SHEET_MARGIN);
    return { part, dx, dy, drawing };
  });
  return { name, width: width + 2 * SHEET_MARGIN, height: y - PART_GAP + SHEET_MARGIN, parts: placed.reverse() };
}
