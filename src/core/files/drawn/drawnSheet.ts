import { bounds, edges, moved, type Outline } from '../../geometry/outline/outline.ts';
import { drawnLines, type DrawnLine } from './drawnLines.ts';
import { pointsOf } from '../../forms/bentSheet/sheetForm.ts';
import { SHEET_LIMITS, type SheetForm } from '../../target/sheetForm.ts';
import { insideLine } from '../../geometry/outline/insideLine.ts';

/** The drawn parts of a sheet. */
type DrawnSheet = { readonly outline: Outline } & Partial<Pick<SheetForm, 'holes' | 'lines'>>;

/** A sheet from a drawing (mm, about the origin), or why there is none. */
export type SheetReading =
  { readonly kind: 'sheet'; readonly sheet: DrawnSheet } | { readonly kind: 'refused'; readonly rule: string };

const refused = (rule: string): SheetReading => ({ kind: 'refused', rule });

/** Most points that are looked at along a line. */
const MOST_STEPS = 20_000;

/** Distance between the points that are looked at along a line (mm). */
function stepOf(line: Outline): number {
  return Math.max(1, edges(line).reduce((sum, { length }) => sum + length, 0) / MOST_STEPS);
}

/**
 * A sheet from the lines of a drawing: the largest closed line is its outline, closed lines within it are holes, open ones
 * within it are drawn or scored. What lies outside is not part of the sheet and is refused.
 */
export function drawnSheet(lines: readonly DrawnLine[]): SheetReading {
  const { points, holes: most, lines: mostLines } = SHEET_LIMITS;
  const { closed, open } = drawnLines(lines);
  const size = (line: Outline) => {
    const { minX, minY, maxX, maxY } = bounds(line);
    return (maxX - minX) * (maxY - minY);
  };
  const [outline, ...holes] = [...closed].sort((one, other) => size(other) - size(one));
  if (!outline) return refused('has no closed line: the outline of a sheet ends where it began');
  if ([outline, ...holes].some(({ length }) => length > points.greatest))
    return refused(`has a line of more than ${points.greatest} points`);
  if (holes.length > most.greatest) return refused(`has more than ${most.greatest} holes`);
  if (open.length > mostLines.greatest) return refused(`has more than ${mostLines.greatest} open lines`);
  if (open.some(({ length }) => length > points.greatest))
    return refused(`has a line of more than ${points.greatest} points`);
  const edge = pointsOf(outline, stepOf(outline));
  if (holes.some((hole) => !pointsOf(hole, 2 * stepOf(hole)).every((point) => insideLine(edge, point))))
    return refused('has closed lines beside one another: draw one sheet, its holes within it');
  if (open.some((line) => !insideLine(edge, line[line.length >> 1] ?? [0, 0])))
    return refused('has open lines outside the sheet');
  const { minX, minY, maxX, maxY } = bounds(outline);
  const [dx, dy] = [-(minX + maxX) / 2, -(minY + maxY) / 2];
  return {
    kind: 'sheet',
    sheet: {
      outline: moved(outline, dx, dy),
      ...(holes.length > 0 && { holes: holes.map((hole) => moved(hole, dx, dy)) }),
      ...(open.length > 0 && { lines: open.map((line) => line.map(([x, y]) => [x + dx, y + dy] as const)) }),
    },
  };
}
