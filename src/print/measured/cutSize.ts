import { bounds, edges, type Outline } from '../../core/geometry/outline/outline.ts';
import type { Point } from '../../core/geometry/point.ts';
import type { Part } from '../../core/parts/part/part.ts';
import type { Checked } from '../../core/files/sheet/words.ts';

/** A closed cut line as it was measured: its box and its length (mm). */
export interface CutSize {
  readonly width: number;
  readonly height: number;
  readonly length: number;
}

/** Size of a closed line by its points, the first not repeated. */
export function sizeOfLine(points: readonly Point[]): CutSize {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const length = points.reduce((sum, [x, y], index) => {
    const [a, b] = points[(index + 1) % points.length] ?? [x, y];
    return sum + Math.hypot(a - x, b - y);
  }, 0);
  return { width: Math.max(...xs) - Math.min(...xs), height: Math.max(...ys) - Math.min(...ys), length };
}

/** An arc between two points by its bulge, in steps: for readers of files that have bulges. */
export function arcPoints(
  [x0, y0]: Point,
  [x1, y1]: Point,
  { bulge, steps = 256 }: { readonly bulge: number; readonly steps?: number },
): Point[] {
  if (bulge === 0) return [[x0, y0]];
  const sweep = 4 * Math.atan(bulge);
  const chord = Math.hypot(x1 - x0, y1 - y0);
  const radius = chord / (2 * Math.sin(sweep / 2));
  const away = Math.atan2(y1 - y0, x1 - x0) + Math.PI / 2 - sweep / 2;
  const [cx, cy] = [x0 + radius * Math.cos(away), y0 + radius * Math.sin(away)];
  const from = Math.atan2(y0 - cy, x0 - cx);
  const size = Math.abs(radius);
  return Array.from({ length: steps }, (_, step): Point => {
    const angle = from + (sweep * step) / steps;
    return [cx + size * Math.cos(angle), cy + size * Math.sin(angle)];
  });
}

/** A file whose lines are further off than this is not handed over (mm); a plot file has steps of a fortieth. */
export const CHECKED_WITHIN = 0.1;

const offBy = (one: CutSize, other: CutSize) =>
  Math.max(
    Math.abs(one.width - other.width),
    Math.abs(one.height - other.height),
    Math.abs(one.length - other.length) / Math.PI,
  );

/** Exact size of an outline, arcs included; the file itself is measured in small steps. */
function sizeOfOutline(outline: Outline): CutSize {
  const { minX, maxX, minY, maxY } = bounds(outline);
  return {
    width: maxX - minX,
    height: maxY - minY,
    length: edges(outline).reduce((sum, edge) => sum + edge.length, 0),
  };
}

/** Sizes of a part's lines as they were developed: its outline first, then its holes. */
const developedSizes = ({ outline, holes = [] }: Part) => [outline, ...holes].map(sizeOfOutline);

/**
 * Holds the lines that were read back from a file against the development: each line of each part takes the nearest that is left.
 *
 * @returns null where a line of a part is not in the file
 */
export function checkedAgainst(parts: readonly Part[], read: readonly CutSize[]): Checked[] | null {
  const left = [...read];
  const checked: Checked[] = [];
  for (const part of parts) {
    let off = 0;
    let box: CutSize | null = null;
    for (const wanted of developedSizes(part)) {
      const nearest = left.reduce<number>(
        (best, one, index) => (best < 0 || offBy(one, wanted) < offBy(left[best] as CutSize, wanted) ? index : best),
        -1,
      );
      const [found] = nearest < 0 ? [] : left.splice(nearest, 1);
      if (!found) return null;
      off = Math.max(off, offBy(found, wanted));
      box ??= found;
    }
    if (box) checked.push({ id: part.id, width: box.width, height: box.height, off });
  }
  return checked;
}
