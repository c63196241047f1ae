import { insideLine } from '../outline/insideLine.ts';
import { pointsOf, type Point, type SheetForm } from './sheetForm.ts';

/** Points of a grid inside the sheet, off its holes, `step` mm apart. */
export function gridOf(form: SheetForm, step: number): Point[] {
  const line = pointsOf(form.outline, step);
  const holes = (form.holes ?? []).map((hole) => pointsOf(hole, step));
  const [xs, ys] = [line.map(([x]) => x), line.map(([, y]) => y)];
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const columns = Math.max(1, Math.floor((x1 - x0) / step));
  const rows = Math.max(1, Math.floor((y1 - y0) / step));
  return Array.from({ length: (columns + 1) * (rows + 1) }, (_, index): Point => [
    x0 + ((index % (columns + 1)) + 0.5) * step,
    y0 + (Math.floor(index / (columns + 1)) + 0.5) * step,
  ]) // prettier-ignore
    .filter((point) => insideLine(line, point) && !holes.some((hole) => insideLine(hole, point)));
}
