import type { PlotPoint } from './hpgl.ts';

type Line = readonly PlotPoint[];

/** Distance of a point from a straight piece (mm). */
function fromPiece([x, y]: PlotPoint, [ax, ay]: PlotPoint, [bx, by]: PlotPoint): number {
  const [dx, dy] = [bx - ax, by - ay];
  const square = dx * dx + dy * dy;
  const share = square === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / square));
  return Math.hypot(x - ax - share * dx, y - ay - share * dy);
}

/** Largest distance of the points of one drawing from the lines of another (mm); infinite where there are none. */
function furthest(points: readonly Line[], lines: readonly Line[]): number {
  let most = 0;
  for (const point of points.flat()) {
    let least = Infinity;
    for (const line of lines) {
      for (let at = 0; at + 1 < line.length && least > most; at += 1)
        least = Math.min(least, fromPiece(point, line[at] as PlotPoint, line[at + 1] as PlotPoint));
    }
    most = Math.max(most, least);
  }
  return most;
}

/** Greatest distance between the lines cut and the lines wanted (mm), both ways: a missing line counts like an extra one. */
export function plotDifference(cut: readonly Line[], wanted: readonly Line[]): number {
  return Math.max(furthest(cut, wanted), furthest(wanted, cut));
}

/** Length of lines (mm). */
export function plotLength(lines: readonly Line[]): number {
  return lines.reduce(
    (sum, line) =>
      sum +
      line
        .slice(1)
        .reduce((own, [x, y], at) => own + Math.hypot(x - (line[at]?.[0] ?? x), y - (line[at]?.[1] ?? y)), 0),
    0,
  );
}
