import { alongEdge, edges, type Outline } from '../../geometry/outline/outline.ts';
import { arcLine } from '../../geometry/outline/arcLine.ts';
import type { Point } from '../../geometry/point.ts';

/** Points on an outline, each edge by its share of the girth. */
export function sampled(outline: Outline, count: number): Point[] {
  const lengths = edges(outline).map(({ length }) => length);
  const whole = lengths.reduce((sum, length) => sum + length, 0);
  return lengths.flatMap((length, index) => {
    const steps = Math.max(1, Math.round((count * length) / whole));
    return Array.from({ length: steps }, (_, step) => alongEdge(outline, index, step / steps));
  });
}

function line(length: number, turn: number, count: number): Point[] {
  // A wave on an arc: bent both ways.
  return Array.from({ length: count + 1 }, (_, index) => {
    const angle = (turn * index) / count;
    const radius = length / turn + 4 * Math.sin((6 * index) / count);
    return [radius * Math.sin(angle), length / turn - radius * Math.cos(angle)];
  });
}

/** How far the drawn line is from its points at worst (mm), and in how many pieces it is drawn. */
function fit(points: readonly Point[]): { worst: number; count: number } {
  const last = points.at(-1) as Point;
  const outline: Outline = [...arcLine(points), [last[0], last[1], 0]];
  const drawn = Array.from({ length: outline.length - 1 }, (_, index) => index).flatMap((index) =>
    Array.from({ length: 600 }, (__, step) => alongEdge(outline, index, step / 600)),
  );
  const worst = Math.max(
    ...points.slice(0, -1).map(([x, y]) => Math.min(...drawn.map(([u, v]) => Math.hypot(x - u, y - v)))),
  );
  return { worst, count: outline.length - 1 };
}

export const bent = Object.assign(line, { fit });
