import type { SheetForm } from '../../target/sheetForm.ts';
import { alongEdge, edges, scaled, type Outline } from '../../geometry/outline/outline.ts';
import type { Point } from '../../geometry/point.ts';

/** Points on an outline, about `step` mm apart. */
export function pointsOf(outline: Outline, step: number): Point[] {
  return edges(outline).flatMap(({ length }, index) => {
    const count = Math.max(1, Math.ceil(length / step));
    return Array.from({ length: count }, (_, at) => alongEdge(outline, index, at / count));
  });
}

/** The sheet with all its lines scaled, so that it is as long as wanted. */
export function scaledSheet(form: SheetForm, factor: number): SheetForm {
  return {
    ...form,
    outline: scaled(form.outline, factor),
    ...(form.holes && { holes: form.holes.map((hole) => scaled(hole, factor)) }),
    ...(form.feet?.at && {
      feet: { ...form.feet, at: form.feet.at.map(([x, y]) => [x * factor, y * factor] as const) },
    }),
    ...(form.lines && { lines: form.lines.map((line) => line.map(([x, y]) => [x * factor, y * factor] as const)) }),
  };
}
