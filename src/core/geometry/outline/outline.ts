import { BULGE_TOLERANCE, once, POINT_TOLERANCE } from '../../numbers.ts';

/**
 * A corner of an outline and the arc to the next one: x and y in mm, and the bulge (tangent of a quarter of the arc's
 * angle, positive counter-clockwise, 0 for a straight line), as DXF has it.
 */
export type Vertex = readonly [x: number, y: number, bulge: number];

/** A closed outline, counter-clockwise; the last vertex joins the first. */
export type Outline = readonly Vertex[];

/** A box around a drawing (mm). */
export interface Bounds {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** One edge of an outline as an arc; a straight edge has `radius` Infinity. */
export interface Edge {
  readonly from: Vertex;
  readonly to: Vertex;
  readonly length: number;
  readonly radius: number;
  readonly centre: readonly [number, number] | null;
}

/** The vertex at `index`, counted round the outline. */
export function vertexAt(outline: Outline, index: number): Vertex {
  const vertex = outline[((index % outline.length) + outline.length) % outline.length];
  if (!vertex) throw new RangeError('an outline needs at least one vertex');
  return vertex;
}

/** The edge that starts at vertex `index`: its ends, length, radius and centre (mm). */
export function edgeAt(outline: Outline, index: number): Edge {
  const from = vertexAt(outline, index);
  const to = vertexAt(outline, index + 1);
  const chord = Math.sqrt((to[0] - from[0]) ** 2 + (to[1] - from[1]) ** 2);
  const bulge = from[2];
  if (Math.abs(bulge) < BULGE_TOLERANCE) return { from, to, length: chord, radius: Infinity, centre: null };
  const angle = 4 * Math.atan(bulge);
  const radius = Math.abs(chord / (2 * Math.sin(angle / 2)));
  const reach = (1 - bulge * bulge) / (4 * bulge);
  const centre = [
    (from[0] + to[0]) / 2 - reach * (to[1] - from[1]),
    (from[1] + to[1]) / 2 + reach * (to[0] - from[0]),
  ] as const;
  return { from, to, length: radius * Math.abs(angle), radius, centre };
}

/** Length of the edge that starts at vertex `index` (mm). */
export function edgeLength(outline: Outline, index: number): number {
  const [x0, y0, bulge] = vertexAt(outline, index);
  const [x1, y1] = vertexAt(outline, index + 1);
  const chord = Math.sqrt((x1 - x0) ** 2 + (y1 - y0) ** 2);
  if (Math.abs(bulge) < BULGE_TOLERANCE) return chord;
  const half = 2 * Math.atan(bulge);
  return (chord * half) / Math.sin(half);
}

/** All edges in order. */
export const edges = once((outline: Outline): readonly Edge[] => outline.map((_, index) => edgeAt(outline, index)));

/** The point at fraction `f` of the edge that starts at vertex `index`. */
export function alongEdge(outline: Outline, index: number, f: number): readonly [number, number] {
  const edge = edges(outline)[index] ?? edgeAt(outline, index);
  if (!edge.centre) {
    return [edge.from[0] + f * (edge.to[0] - edge.from[0]), edge.from[1] + f * (edge.to[1] - edge.from[1])];
  }
  const [cx, cy] = edge.centre;
  const start = Math.atan2(edge.from[1] - cy, edge.from[0] - cx);
  const angle = start + f * 4 * Math.atan(edge.from[2]);
  return [cx + edge.radius * Math.cos(angle), cy + edge.radius * Math.sin(angle)];
}

/** Signed area (mm2), positive when counter-clockwise; arcs are exact. */
export function area(outline: Outline): number {
  let sum = 0;
  for (let index = 0; index < outline.length; index += 1) {
    const from = outline[index] as Vertex;
    const to = vertexAt(outline, index + 1);
    const bulge = from[2];
    sum += (from[0] * to[1] - to[0] * from[1]) / 2;
    if (Math.abs(bulge) < BULGE_TOLERANCE) continue;
    const angle = 4 * Math.atan(bulge);
    const chord = (to[0] - from[0]) ** 2 + (to[1] - from[1]) ** 2;
    // The square of the radius is chord^2 / (2 sin(angle / 2))^2.
    sum += ((chord / (4 * Math.sin(angle / 2) ** 2)) * (angle - Math.sin(angle))) / 2;
  }
  return sum;
}

/** The directions in which an arc may reach farthest: along the axes. */
export const AXES = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
] as const;

/** The box around the outline, arcs included. */
export const bounds = once((outline: Outline): Bounds => {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let index = 0; index < outline.length; index += 1) {
    const [x0, y0, bulge] = outline[index] as Vertex;
    minX = Math.min(minX, x0);
    maxX = Math.max(maxX, x0);
    minY = Math.min(minY, y0);
    maxY = Math.max(maxY, y0);
    const { to, centre, radius } = edgeAt(outline, index);
    if (!centre) continue;
    for (const [dx, dy] of AXES) {
      const [x, y] = [centre[0] + dx * radius, centre[1] + dy * radius];
      const side = (to[0] - x0) * (y - y0) - (to[1] - y0) * (x - x0);
      if (side * bulge >= 0) continue;
      minX = Math.min(minX, x);
      maxX = Math.max(maxX, x);
      minY = Math.min(minY, y);
      maxY = Math.max(maxY, y);
    }
  }
  return { minX, minY, maxX, maxY };
});

/** The outline mirrored about the y axis, as when the slab is turned over; counter-clockwise again. */
export function mirrored(outline: Outline): Outline {
  const turned: Vertex[] = [];
  for (let index = 0; index < outline.length; index += 1) {
    const at = vertexAt(outline, -index);
    turned.push([-at[0], at[1], vertexAt(outline, -index - 1)[2]]);
  }
  return turned;
}

/** The outline moved by (dx, dy) mm. */
export function moved(outline: Outline, dx: number, dy: number): Outline {
  const shifted: Vertex[] = [];
  for (const [x, y, bulge] of outline) shifted.push([x + dx, y + dy, bulge]);
  return shifted;
}

/** The outline scaled about the origin; bulges do not change. */
export function scaled(outline: Outline, factor: number): Outline {
  return outline.map(([x, y, bulge]) => [x * factor, y * factor, bulge]);
}

/** Greatest length of an outline (mm). Stepping along a longer one, such as an arc of a huge bulge, would fill the memory. */
const LONGEST = 200_000;

/** What is wrong with an outline as a cut line (too few vertices, clockwise, repeated points, not finite, too long); empty when sound. */
export function validateOutline(outline: Outline): string[] {
  const wrong: string[] = [];
  if (outline.length < 2) return ['has fewer than two vertices'];
  if (outline.some((vertex) => vertex.some((value) => !Number.isFinite(value))))
    return ['has a value that is not a number'];
  // Not `>`, so that a length that is not a number is refused too.
  if (!(edges(outline).reduce((sum, { length }) => sum + length, 0) <= LONGEST))
    return [`is longer than ${LONGEST / 1000} m`];
  if (edges(outline).some((edge) => edge.length < POINT_TOLERANCE)) wrong.push('repeats a point');
  if (area(outline) <= 0) wrong.push('is not counter-clockwise');
  return wrong;
}
