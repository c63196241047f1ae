import { alongEdge, bounds, type Outline, type Vertex } from '../../geometry/outline/outline.ts';
import type { SheetForm } from '../../target/sheetForm.ts';
import type { Point } from '../../geometry/point.ts';

/** Which line of a sheet is being edited. */
export type LineName = { readonly kind: 'outline' } | { readonly kind: 'hole' | 'line'; readonly index: number };

/** A line of a sheet by its points; those of an open line have no arcs. */
export interface SheetLine {
  readonly vertices: Outline;
  readonly closed: boolean;
}

/** A steeper arc than this is not drawn by its middle (bulge): it would pass three quarters of a circle. */
const STEEPEST = 1.5;

/** A line whose distance from its chord is less than this is straight (mm). */
const STRAIGHT = 0.4;

/** Least number of points of a closed and of an open line. */
const FEWEST = { closed: 2, open: 2 } as const;

/** All lines of a sheet: its outline, its holes, then the lines that are drawn or scored. */
export function lineNames({ holes = [], lines = [] }: SheetForm): LineName[] {
  return [
    { kind: 'outline' },
    ...holes.map((_, index) => ({ kind: 'hole' as const, index })),
    ...lines.map((_, index) => ({ kind: 'line' as const, index })),
  ];
}

/** One line of a sheet; null where there is none of that name. */
export function sheetLine(form: SheetForm, name: LineName): SheetLine | null {
  if (name.kind === 'outline') return { vertices: form.outline, closed: true };
  if (name.kind === 'hole') {
    const vertices = form.holes?.[name.index];
    return vertices ? { vertices, closed: true } : null;
  }
  const points = form.lines?.[name.index];
  return points ? { vertices: points.map(([x, y]): Vertex => [x, y, 0]), closed: false } : null;
}

function replaced<T>(list: readonly T[], index: number, item: T | null): readonly T[] {
  return list.flatMap((one, at) => (at === index ? (item === null ? [] : [item]) : [one]));
}

/** The sheet with one of its lines changed, or taken off when `vertices` is null; the outline stays. */
export function withLine(form: SheetForm, name: LineName, vertices: Outline | null): SheetForm {
  if (name.kind === 'outline') return vertices ? { ...form, outline: vertices } : form;
  const { holes, lines, ...rest } = form;
  const nextHoles = name.kind === 'hole' ? replaced(holes ?? [], name.index, vertices) : (holes ?? []);
  const points = vertices?.map(([x, y]): Point => [x, y]) ?? null;
  const nextLines = name.kind === 'line' ? replaced(lines ?? [], name.index, points) : (lines ?? []);
  return {
    ...rest,
    ...(nextHoles.length > 0 && { holes: nextHoles }),
    ...(nextLines.length > 0 && { lines: nextLines }),
  };
}

/** The number of edges of a line: an open one has one fewer than points. */
export function edgeCount({ vertices, closed }: SheetLine): number {
  return closed ? vertices.length : vertices.length - 1;
}

/** A line with one of its points moved. */
export function movedPoint({ vertices }: SheetLine, index: number, [x, y]: Point): Outline {
  return vertices.map((vertex, at) => (at === index ? [x, y, vertex[2]] : vertex));
}

/** A line whose edge from point `index` is an arc through a place; straight where that lies near its chord. */
export function bentEdge({ vertices }: SheetLine, index: number, [px, py]: Point): Outline {
  const [x0, y0] = vertices[index] as Vertex;
  const [x1, y1] = vertices[(index + 1) % vertices.length] as Vertex;
  const chord = Math.hypot(x1 - x0, y1 - y0) || 1;
  // An arc that runs counter-clockwise leaves its chord to the right.
  const off = ((py - y0) * -(x1 - x0) + (px - x0) * (y1 - y0)) / chord;
  const bulge = Math.abs(off) < STRAIGHT ? 0 : Math.max(-STEEPEST, Math.min(STEEPEST, (2 * off) / chord));
  return vertices.map(([x, y, before], at) => [x, y, at === index ? bulge : before]);
}

/** A line with a new point in the middle of an edge, on its arc. */
export function splitEdge({ vertices }: SheetLine, index: number): Outline {
  const [x, y] = alongEdge(vertices, index, 0.5);
  const bulge = Math.tan(Math.atan((vertices[index] as Vertex)[2]) / 2);
  return vertices.flatMap((vertex, at): Vertex[] =>
    at === index
      ? [
          [vertex[0], vertex[1], bulge],
          [x, y, bulge],
        ]
      : [vertex],
  );
}

/** A line without one of its points; null where too few would be left. */
export function droppedPoint({ vertices, closed }: SheetLine, index: number): Outline | null {
  if (vertices.length <= FEWEST[closed ? 'closed' : 'open']) return null;
  return vertices.filter((_, at) => at !== index);
}

/** Size of a new hole or line, as a share of the sheet's smaller side. */
const NEW = { hole: 0.16, line: 0.4 } as const;

/** The sheet with a round hole or a straight line more, in the middle of its box or where there is room beside others. */
export function withNew(form: SheetForm, kind: 'hole' | 'line'): { readonly form: SheetForm; readonly name: LineName } {
  const { minX, minY, maxX, maxY } = bounds(form.outline);
  const small = Math.min(maxX - minX, maxY - minY);
  const count = (form.holes ?? []).length + (form.lines ?? []).length;
  const along = maxX - minX > maxY - minY;
  // Side by side along the longer side: the middle first, then either side of it.
  const step = 0.22 * small * Math.ceil(count / 2) * (count % 2 === 0 ? 1 : -1);
  const [x, y] = [(minX + maxX) / 2 + (along ? step : 0), (minY + maxY) / 2 + (along ? 0 : step)];
  if (kind === 'hole') {
    const radius = (NEW.hole * small) / 2;
    const holes = [
      ...(form.holes ?? []),
      [
        [x + radius, y, 1],
        [x - radius, y, 1],
      ] as const,
    ];
    return { form: { ...form, holes }, name: { kind, index: holes.length - 1 } };
  }
  const half = (NEW.line * small) / 2;
  const lines = [
    ...(form.lines ?? []),
    along
      ? ([
          [x, y - half],
          [x, y + half],
        ] as const)
      : ([
          [x - half, y],
          [x + half, y],
        ] as const),
  ];
  return { form: { ...form, lines }, name: { kind, index: lines.length - 1 } };
}
