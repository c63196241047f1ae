import { betweenCrossings, crossingsAt } from '../../geometry/outline/insideLine.ts';
import { pointsOf } from './sheetForm.ts';
import type { SheetForm } from '../../target/sheetForm.ts';
import type { Point } from '../../geometry/point.ts';

/** Points of a grid inside the sheet, off its holes, `step` mm apart. */
export function gridOf(form: SheetForm, step: number): Point[] {
  const line = pointsOf(form.outline, step);
  const holes = (form.holes ?? []).map((hole) => pointsOf(hole, step));
  const [xs, ys] = [line.map(([x]) => x), line.map(([, y]) => y)];
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const columns = Math.max(1, Math.floor((x1 - x0) / step));
  const rows = Math.max(1, Math.floor((y1 - y0) / step));
  const points: Point[] = [];
  for (let row = 0; row <= rows; row += 1) {
    const y = y0 + (row + 0.5) * step;
    const edge = crossingsAt(line, y);
    const gaps = holes.map((hole) => crossingsAt(hole, y));
    for (let column = 0; column <= columns; column += 1) {
      const x = x0 + (column + 0.5) * step;
      if (betweenCrossings(edge, x) && !gaps.some((gap) => betweenCrossings(gap, x))) points.push([x, y]);
    }
  }
  return points;
}
