import { pointsOf } from './sheetForm.ts';
import type { SheetForm } from '../../target/sheetForm.ts';
import type { Point } from '../../geometry/point.ts';

/** Least distance between a hole and the outline or another hole (mm), and how near two sides of the sheet come to one another. */
export function narrowest(form: SheetForm, t: number): { readonly bridge: number; readonly tip: number } {
  const step = Math.max(1, t / 3);
  const outline = pointsOf(form.outline, step);
  const holes = (form.holes ?? []).map((hole) => pointsOf(hole, step));
  const gap = (one: readonly Point[], other: readonly Point[]) =>
    one.reduce(
      (least, [x, y]) => other.reduce((most, [u, v]) => Math.min(most, Math.hypot(x - u, y - v)), least),
      Infinity,
    );
  const bridges = holes.flatMap((hole, index) => [
    gap(hole, outline),
    ...holes.slice(index + 1).map((other) => gap(hole, other)),
  ]);
  // Two places of the outline that are far apart along it, by more than a sound tip is long.
  const far = Math.ceil((6 * t) / step);
  let tip = Infinity;
  outline.forEach(([x, y], index) => {
    for (let at = index + far; at < outline.length && index + outline.length - at >= far; at += 1) {
      const [u, v] = outline[at] as Point;
      tip = Math.min(tip, Math.hypot(x - u, y - v));
    }
  });
  return { bridge: Math.min(Infinity, ...bridges), tip };
}
