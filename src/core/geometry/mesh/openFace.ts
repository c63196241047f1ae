import { TINY } from '../../numbers.ts';
import { doubleNormals, type Mesh } from './mesh.ts';

/** Which face of a closed body the clay meets: the outside from above, as on a hump, or the inside, as in a hollow. */
export type TakenFace = 'above' | 'within';

/** A face whose normal points up by less than this is a side (cosine). */
const SIDE = 0.02;

/** A face whose normal points up by more is level (cosine). */
const LEVEL = 0.985;

/** Level faces this close to the top or the foot of a body, as a share of its height, are its rim or its underside. */
const END = 0.04;

/** Edges by their ends, each with the triangles on it. */
function edgeMap({ triangles }: Mesh): Map<string, number[]> {
  const edges = new Map<string, number[]>();
  for (let at = 0; at < triangles.length; at += 1) {
    const [from, to] = [triangles[at] as number, triangles[at % 3 === 2 ? at - 2 : at + 1] as number];
    const name = from < to ? `${from} ${to}` : `${to} ${from}`;
    edges.set(name, [...(edges.get(name) ?? []), Math.floor(at / 3)]);
  }
  return edges;
}

/** Whether a mesh is closed: every edge has two triangles. */
export function isClosed(mesh: Mesh): boolean {
  return mesh.triangles.length > 0 && [...edgeMap(mesh).values()].every((both) => both.length === 2);
}

/** Six times the volume; below 0 when the triangles face inward. */
function volume({ positions, triangles }: Mesh): number {
  let sum = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [
      3 * (triangles[at] as number),
      3 * (triangles[at + 1] as number),
      3 * (triangles[at + 2] as number),
    ];
    const place = (corner: number) =>
      [positions[corner] as number, positions[corner + 1] as number, positions[corner + 2] as number] as const;
    const [[ax, ay, az], [bx, by, bz], [cx, cy, cz]] = [place(a), place(b), place(c)];
    sum += ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
  }
  return sum;
}

/**
 * The face of a closed body that the clay meets, as an open mesh; null when there is none. Of the faces that point up, those
 * connected to the highest point (`above`) or to the lowest point of a hollow (`within`), without the level rim or ledge.
 */
export function openFace(body: Mesh, face: TakenFace): Mesh | null {
  const { positions, triangles } = body;
  const outward = volume(body) < 0 ? -1 : 1;
  const heights = Float64Array.from({ length: triangles.length / 3 }, (_, index) =>
    [0, 1, 2].reduce(
      (sum, side) => sum + (positions[3 * (triangles[3 * index + side] as number) + 2] as number) / 3,
      0,
    ),
  );
  const [low, high] = positions.reduce(
    ([least, most], value, at) => (at % 3 === 2 ? [Math.min(least, value), Math.max(most, value)] : [least, most]),
    [Infinity, -Infinity],
  );
  const looksUp = doubleNormals(body).map(([x, y, z]) => (outward * z) / Math.max(TINY, Math.hypot(x, y, z)));
  const isEnd = (index: number) => {
    const height = heights[index] as number;
    if ((looksUp[index] as number) < LEVEL) return false;
    return face === 'above' ? height < low + END * (high - low) : height > high - END * (high - low);
  };
  const wanted = looksUp.map((up, index) => up > SIDE && !isEnd(index));
  // Nothing hangs over a hollow: its lowest point is the lowest face that points up, apart from a ledge that it stands on.
  const seed = wanted.reduce((best, is, index) => {
    if (!is) return best;
    if (best < 0) return index;
    const higher = (heights[index] as number) > (heights[best] as number);
    return higher === (face === 'above') ? index : best;
  }, -1);
  if (seed < 0) return null;
  const edges = edgeMap(body);
  const taken = new Set([seed]);
  const queue = [seed];
  for (let next = queue.pop(); next !== undefined; next = queue.pop()) {
    for (let side = 0; side < 3; side += 1) {
      const [from, to] = [triangles[3 * next + side] as number, triangles[3 * next + ((side + 1) % 3)] as number];
      for (const index of edges.get(from < to ? `${from} ${to}` : `${to} ${from}`) ?? []) {
        if (taken.has(index) || !wanted[index]) continue;
        taken.add(index);
        queue.push(index);
      }
    }
  }
  const corners = [...taken].flatMap((index) => [0, 1, 2].map((side) => triangles[3 * index + side] as number));
  const used = [...new Set(corners)].sort((one, other) => one - other);
  const names = new Map(used.map((vertex, index) => [vertex, index]));
  return {
    positions: Float64Array.from(
      used.flatMap((vertex) => [0, 1, 2].map((axis) => positions[3 * vertex + axis] as number)),
    ),
    triangles: Uint32Array.from(corners.map((vertex) => names.get(vertex) as number)),
  };
}
