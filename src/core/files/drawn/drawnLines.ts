import { LENGTH_TOLERANCE } from '../../numbers.ts';
import { alongEdge, area, bounds, edges, type Outline, type Vertex } from '../../geometry/outline/outline.ts';
import type { Point } from '../../geometry/point.ts';

/** A line as it was drawn: corners with the bulge of the arc to the next; the last one's bulge counts only when it is closed. Mm, y up. */
export interface DrawnLine {
  readonly vertices: readonly Vertex[];
  readonly closed: boolean;
}

/** Lines that were read from a drawing (mm, y up), or why they were not. */
export type DrawingReading =
  | { readonly kind: 'lines'; readonly lines: readonly DrawnLine[] }
  | { readonly kind: 'refused'; readonly rule: string };

/** Closed outlines, counter-clockwise, and open lines as points (mm). */
export interface DrawnLines {
  readonly closed: readonly Outline[];
  readonly open: readonly (readonly Point[])[];
}

/** Lines whose ends are closer than this were meant to meet (mm): half of what a knife can follow. */
export const MEETING = 0.05;

/** Most that the arcs of a curve may deviate from its drawing (mm). */
export const READ_TOLERANCE = 0.02;

/** Distance between the points that an open arc is taken at (mm). */
const STEP = 1;

/** Greatest width and height of a drawing (mm). A larger one has another unit, and stepping along it would fill the memory. */
const LARGEST = 5000;

/** Checks lines that were read: their figures must be sound, and the drawing not too large. */
export function drawingOf(lines: readonly DrawnLine[]): DrawingReading {
  const refused = (rule: string): DrawingReading => ({ kind: 'refused', rule });
  if (lines.every(({ vertices }) => vertices.length === 0)) return refused('has no lines');
  if (!lines.every(({ vertices }) => vertices.every((vertex) => vertex.every(Number.isFinite))))
    return refused('has figures that are not numbers');
  // The last bulge of an open line leads nowhere.
  const boxes = lines
    .map(({ vertices, closed }) =>
      closed ? vertices : vertices.map(([x, y, bulge], at): Vertex => [x, y, at === vertices.length - 1 ? 0 : bulge]),
    )
    .map(bounds);
  const least = (side: 'minX' | 'minY') => boxes.reduce((found, box) => Math.min(found, box[side]), Infinity);
  const greatest = (side: 'maxX' | 'maxY') => boxes.reduce((found, box) => Math.max(found, box[side]), -Infinity);
  const size = Math.max(greatest('maxX') - least('minX'), greatest('maxY') - least('minY'));
  // Not `>`, so that a size that is not a number is refused too.
  if (!(size <= LARGEST)) return refused(`is more than ${LARGEST / 1000} m across: check the unit it was drawn in`);
  return { kind: 'lines', lines };
}

/** The same line drawn the other way. */
export function backward({ vertices, closed }: DrawnLine): DrawnLine {
  const count = vertices.length;
  const turned = vertices.map((_, index): Vertex => {
    const [x, y] = vertices[count - 1 - index] as Vertex;
    const bulge = closed
      ? (vertices[(2 * count - 2 - index) % count] as Vertex)[2]
      : (vertices[count - 2 - index]?.[2] ?? 0);
    return [x, y, -bulge];
  });
  return { vertices: turned, closed };
}

function near([x, y]: Vertex, [u, v]: Vertex): boolean {
  return Math.hypot(x - u, y - v) < MEETING;
}

/** Two open lines of which the first ends where the second begins. */
function chained(one: DrawnLine, other: DrawnLine): DrawnLine {
  return { vertices: [...one.vertices.slice(0, -1), ...other.vertices], closed: false };
}

/** Drops corners that repeat the one before. */
function cleaned(line: DrawnLine): DrawnLine {
  const { vertices, closed } = line;
  const kept = vertices.filter((vertex, index) => {
    const next = vertices[index + 1] ?? (closed ? vertices[0] : undefined);
    return !next || Math.hypot(vertex[0] - next[0], vertex[1] - next[1]) > LENGTH_TOLERANCE * 100;
  });
  return { vertices: kept, closed };
}

/** An open line whose ends meet is closed. */
function shut(line: DrawnLine): DrawnLine {
  const [first, last] = [line.vertices[0], line.vertices.at(-1)];
  if (line.closed || !first || !last || line.vertices.length < 3 || !near(first, last)) return line;
  return { vertices: line.vertices.slice(0, -1), closed: true };
}

/** Joins the ends that meet, so that an outline drawn in pieces is one closed line. */
function joined(lines: readonly DrawnLine[]): DrawnLine[] {
  const done = lines.filter(({ closed }) => closed);
  let left = lines.filter(({ closed, vertices }) => !closed && vertices.length > 1);
  while (left.length > 0) {
    let [line, ...rest] = left as [DrawnLine, ...DrawnLine[]];
    for (;;) {
      const [start, end] = [line.vertices[0] as Vertex, line.vertices.at(-1) as Vertex];
      if (line.vertices.length > 2 && near(start, end)) break;
      const index = rest.findIndex(({ vertices }) =>
        [vertices[0], vertices.at(-1)].some((tip) => tip && (near(tip, end) || near(tip, start))),
      );
      const next = rest[index];
      if (!next) break;
      const [first, last] = [next.vertices[0] as Vertex, next.vertices.at(-1) as Vertex];
      if (near(first, end)) line = chained(line, next);
      else if (near(last, end)) line = chained(line, backward(next));
      else if (near(last, start)) line = chained(next, line);
      else line = chained(backward(next), line);
      rest = rest.filter((_, at) => at !== index);
    }
    done.push(shut(line));
    left = rest;
  }
  return done;
}

function pointsAlong({ vertices }: DrawnLine): Point[] {
  const [lastX = 0, lastY = 0] = vertices.at(-1) ?? [];
  const points = edges(vertices)
    .slice(0, -1)
    .flatMap(({ length, radius }, index) => {
      const count = Number.isFinite(radius) ? Math.max(1, Math.ceil(length / STEP)) : 1;
      return Array.from({ length: count }, (_, at) => alongEdge(vertices, index, at / count));
    });
  return [...points, [lastX, lastY]];
}

/** Sorts drawn lines: what closes (by itself or in pieces) counter-clockwise, and what stays open. */
export function drawnLines(lines: readonly DrawnLine[]): DrawnLines {
  const all = joined(lines.map((line) => cleaned(shut(line)))).map(cleaned);
  const closed = all
    .filter((line) => line.closed && line.vertices.length > 1)
    .map((line) => (area(line.vertices) < 0 ? backward(line) : line).vertices)
    .filter((outline) => area(outline) > LENGTH_TOLERANCE);
  return { closed, open: all.filter((line) => !line.closed).map(pointsAlong) };
}
