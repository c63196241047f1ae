import { EdgeMap } from '../../geometry/mesh/mesh.ts';
import type { LaidMesh } from '../kind/blank.ts';

/** Splits triangles at new vertices on one, two or three of their edges. */
export function partTriangles(triangles: Uint32Array, middles: EdgeMap): number[] {
  const parted: number[] = [];
  for (let at = 0; at < triangles.length; at += 3) {
    const [one, two, three] = [triangles[at] as number, triangles[at + 1] as number, triangles[at + 2] as number];
    const [low, far, high] = [middles.get(one, two), middles.get(two, three), middles.get(three, one)];
    if (low === undefined && far === undefined && high === undefined) parted.push(one, two, three);
    else parted.push(...partsOf([one, two, three], [low, far, high]));
  }
  return parted;
}

/** The parts of a triangle with a new vertex on at least one edge. */
function partsOf(corners: readonly number[], middles: readonly (number | undefined)[]): number[] {
  const cut = middles.filter((vertex) => vertex !== undefined).length;
  // Rotated so that the first edge is cut, or with two cuts the first and the second.
  const first =
    cut === 2
      ? [0, 1, 2].findIndex((side) => middles[side] !== undefined && middles[(side + 1) % 3] !== undefined)
      : middles.findIndex((vertex) => vertex !== undefined);
  const [a, b, c] = [0, 1, 2].map((step) => corners[(first + step) % 3] as number) as [number, number, number];
  const [p, q, r] = [0, 1, 2].map((step) => middles[(first + step) % 3] as number) as [number, number, number];
  if (cut === 1) return [a, p, c, p, b, c];
  if (cut === 2) return [p, b, q, a, p, q, a, q, c];
  return [a, p, r, p, b, q, r, q, c, p, q, r];
}

/** Mean length of the sides of a layout's triangles (mm). */
export function spacingOf({ mesh, uv }: LaidMesh): number {
  const { triangles } = mesh;
  let sum = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b] = [2 * (triangles[at] as number), 2 * (triangles[at + 1] as number)];
    sum += Math.hypot((uv[a] as number) - (uv[b] as number), (uv[a + 1] as number) - (uv[b + 1] as number));
  }
  return (3 * sum) / triangles.length;
}

/** The same values as a list that can grow. */
export function listOf(values: Float64Array): number[] {
  const list: number[] = [];
  // A loop over the indices is several times as fast as an iterator.
  for (let at = 0; at < values.length; at += 1) list.push(values[at] as number);
  return list;
}

/** Splits into four every triangle with a corner within `reach` (mm) of a place of the layout, and its neighbours to match. */
export function finerAbout(laid: LaidMesh, places: readonly (readonly [number, number])[], reach: number): LaidMesh {
  const { triangles } = laid.mesh;
  const positions = listOf(laid.mesh.positions);
  const uv = listOf(laid.uv);
  const near = Array.from({ length: uv.length / 2 }, (_, vertex) =>
    places.some(([x, y]) => Math.hypot((uv[2 * vertex] as number) - x, (uv[2 * vertex + 1] as number) - y) < reach),
  );
  const middles = new EdgeMap(near.length);
  const halve = (a: number, b: number): void => {
    if (middles.get(a, b) !== undefined) return;
    middles.set(a, b, uv.length / 2);
    for (let axis = 0; axis < 3; axis += 1)
      positions.push(((positions[3 * a + axis] as number) + (positions[3 * b + axis] as number)) / 2);
    for (let axis = 0; axis < 2; axis += 1) uv.push(((uv[2 * a + axis] as number) + (uv[2 * b + axis] as number)) / 2);
  };
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [triangles[at] as number, triangles[at + 1] as number, triangles[at + 2] as number];
    if (!near[a] && !near[b] && !near[c]) continue;
    halve(a, b);
    halve(b, c);
    halve(c, a);
  }
  return {
    mesh: { positions: Float64Array.from(positions), triangles: Uint32Array.from(partTriangles(triangles, middles)) },
    uv: Float64Array.from(uv),
  };
}
