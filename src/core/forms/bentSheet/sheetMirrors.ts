import { radians } from '../../numbers.ts';
import { pointsOf } from './sheetForm.ts';
import type { SheetForm } from '../../target/sheetForm.ts';
import type { Point } from '../../geometry/point.ts';

/** A line of the flat sheet that it is symmetrical about, as it is cut and as it is bent. */
export interface Mirror {
  readonly image: (point: Point) => Point;
  /** Points on that line across the sheet, `step` mm apart. */
  readonly along: (step: number) => Point[];
}

/** Points of an outline and of its image are compared at this step, and may differ by as much (mm). */
const STEP = 1;
const SAME = 0.7;

/** Whether a closed line is its own image, or another's in a list. */
function imaged(lines: readonly (readonly Point[])[], image: (point: Point) => Point): boolean {
  const all = lines.flat();
  return all.every((point) => {
    const [x, y] = image(point);
    return all.some(([u, v]) => Math.abs(u - x) < SAME && Math.abs(v - y) < SAME && Math.hypot(u - x, v - y) < SAME);
  });
}

/**
 * Lines that a sheet is symmetrical about with its holes: along the axis of what it is bent over, and across it. The first
 * runs along.
 */
export function mirrorsOf({ outline, holes = [], bend }: SheetForm): Mirror[] {
  const [cos, sin] = [Math.cos(radians(bend.angle)), Math.sin(radians(bend.angle))];
  const border = pointsOf(outline, STEP);
  const lines = [border, ...holes.map((hole) => pointsOf(hole, STEP))];
  const inFrame = ([x, y]: Point): Point => [x * cos + y * sin, y * cos - x * sin];
  const back = ([u, v]: Point): Point => [u * cos - v * sin, u * sin + v * cos];
  const framed = border.map(inFrame);
  return ([1, 0] as const).flatMap((axis) => {
    const span = (at: 0 | 1) =>
      [Math.min(...framed.map((point) => point[at])), Math.max(...framed.map((point) => point[at]))] as const;
    const [low, high] = span(axis);
    const middle = (low + high) / 2;
    const image = (point: Point): Point => {
      const [u, v] = inFrame(point);
      return back(axis === 1 ? [u, 2 * middle - v] : [2 * middle - u, v]);
    };
    if (!imaged(lines, image)) return [];
    const [from, to] = span(axis === 1 ? 0 : 1);
    const along = (step: number) => {
      const count = Math.max(1, Math.floor((to - from) / step));
      return Array.from({ length: count + 1 }, (_, index): Point => {
        const at = from + ((to - from) * index) / count;
        return back(axis === 1 ? [at, middle] : [middle, at]);
      });
    };
    return [{ image, along }];
  });
}
