import { LENGTH_TOLERANCE } from '../../../core/numbers.ts';
import svgpath from 'svgpath';
import { READ_TOLERANCE, type DrawnLine } from '../../../core/files/drawn/drawnLines.ts';
import { arcLine } from '../../../core/geometry/outline/arcLine.ts';
import type { Point } from '../../../core/geometry/point.ts';

/** Most sample points of one curve, and of a whole drawing. */
export const PATH_LIMITS = { curve: 200, all: 40_000 } as const;

/** Spacing of the sample points of a curve (mm). */
const STEP = 0.6;

/** Too many points in one drawing. */
export class TooManyPoints extends Error {}

/** Points along a Bezier curve of any degree, without its first. */
function bezier(controls: readonly Point[]): Point[] {
  const long = controls
    .slice(1)
    .reduce(
      (sum, [x, y], index) => sum + Math.hypot(x - (controls[index]?.[0] ?? 0), y - (controls[index]?.[1] ?? 0)),
      0,
    );
  const count = Math.min(PATH_LIMITS.curve, Math.max(8, Math.ceil(long / STEP)));
  return Array.from({ length: count }, (_, index) => {
    const f = (index + 1) / count;
    let row = [...controls];
    while (row.length > 1) {
      row = row.slice(1).map(([x, y], at): Point => {
        const [u, v] = row[at] as Point;
        return [u + f * (x - u), v + f * (y - v)];
      });
    }
    return row[0] as Point;
  });
}

/**
 * The lines of SVG path data, in mm with y up: straight pieces stay, curves become arcs.
 *
 * @param transforms of the path and the groups that it is in, the outermost first
 * @param unit mm in one unit of the drawing
 * @returns null where the data is not sound
 * @throws TooManyPoints
 */
export function pathLines(data: string, transforms: readonly string[], unit: number): DrawnLine[] | null {
  let path = svgpath(data);
  for (const transform of [...transforms].reverse()) path = path.transform(transform);
  path = path.abs().unshort().unarc().scale(unit, -unit);
  if ((path as unknown as { err: string }).err) return null;
  const lines: { pieces: Point[][]; closed: boolean }[] = [];
  let points = 0;
  let at: Point = [0, 0];
  let first: Point = [0, 0];
  const add = (piece: Point[]) => {
    points += piece.length;
    if (points > PATH_LIMITS.all) throw new TooManyPoints();
    let last = lines.at(-1);
    if (!last || last.closed) lines.push((last = { pieces: [], closed: false }));
    last.pieces.push([at, ...piece]);
    at = piece.at(-1) as Point;
  };
  // `iterate` gives absolute segments, as the path has been converted.
  path.iterate((segment) => {
    const [kind, ...figures] = segment as unknown as [string, ...number[]];
    const n = (index: number) => figures[index] ?? 0;
    if (kind === 'M') {
      at = first = [n(0), n(1)];
      lines.push({ pieces: [], closed: false });
    } else if (kind === 'L') add([[n(0), n(1)]]);
    else if (kind === 'H') add([[n(0), at[1]]]);
    else if (kind === 'V') add([[at[0], n(0)]]);
    else if (kind === 'Q') add(bezier([at, [n(0), n(1)], [n(2), n(3)]]));
    else if (kind === 'C') add(bezier([at, [n(0), n(1)], [n(2), n(3)], [n(4), n(5)]]));
    else if (kind === 'Z' || kind === 'z') {
      if (Math.hypot(at[0] - first[0], at[1] - first[1]) > LENGTH_TOLERANCE) add([first]);
      const last = lines.at(-1);
      if (last) last.closed = true;
      at = first;
    }
  });
  return lines
    .filter(({ pieces }) => pieces.length > 0)
    .map(({ pieces, closed }): DrawnLine => {
      const vertices = pieces.flatMap((piece) => arcLine(piece, READ_TOLERANCE));
      const [x, y] = pieces.at(-1)?.at(-1) ?? [0, 0];
      return { vertices: closed ? vertices : [...vertices, [x, y, 0]], closed };
    });
}
