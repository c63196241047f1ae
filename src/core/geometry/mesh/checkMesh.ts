import { borderOf, doubleNormals, edgesOf, vertexCount, type Mesh } from './mesh.ts';

/** Most vertices, triangles, and triangles round one vertex: far above what a mould needs, and as much as a page can hold. */
export const MESH_LIMITS = { vertices: 200_000, triangles: 400_000, round: 2000, greatest: 5000, least: 5 } as const;

/** A triangle has no area when its area is below this share of its longest side squared. */
const FLAT = 1e-10;

/** What is wrong with a mesh before its edges are examined (limits, figures, indices); null when nothing is. */
export function grossTrouble({ positions, triangles }: Mesh): string | null {
  if (triangles.length === 0) return 'has no triangles';
  let [least, greatest] = [Infinity, -Infinity];
  for (const value of positions) {
    if (!Number.isFinite(value)) return 'has a vertex that is not a number';
    least = Math.min(least, value);
    greatest = Math.max(greatest, value);
  }
  const extent = greatest - least;
  if (extent > MESH_LIMITS.greatest)
    return `is ${extent.toFixed(0)} mm large: is its unit right? Nothing over ${MESH_LIMITS.greatest} mm is taken`;
  if (extent < MESH_LIMITS.least) return `is only ${extent.toFixed(2)} mm large: is its unit right?`;
  const round = new Uint32Array(positions.length / 3);
  for (const vertex of triangles) {
    if (vertex >= round.length) return 'names a vertex that is not there';
    round[vertex] = (round[vertex] as number) + 1;
  }
  const most = round.reduce((one, other) => Math.max(one, other), 0);
  return most > MESH_LIMITS.round
    ? `has a vertex that ${most} triangles share: at most ${MESH_LIMITS.round} are taken, make it more even`
    : null;
}

/** Why a mesh cannot be laid flat, in plain words; null when it can: one piece, one border, no hole, no edge of three triangles. */
export function meshTrouble(mesh: Mesh): string | null {
  const { positions, triangles } = mesh;
  const count = vertexCount(mesh);
  const gross = grossTrouble(mesh);
  if (gross) return gross;
  const edges = edgesOf(mesh);
  for (let vertex = 0; vertex < count; vertex += 1) {
    const [low, high] = [edges.from[vertex] as number, edges.from[vertex + 1] as number];
    for (let at = low; at < high; at += 1) {
      if (edges.ends[at] === vertex) return 'has a triangle with two corners in one place';
      for (let other = at + 1; other < high; other += 1) {
        if (edges.ends[at] === edges.ends[other])
          return 'has an edge that three triangles share, or triangles turned against one another';
      }
    }
  }
  const apart = (p: number, q: number) =>
    Math.hypot(
      (positions[3 * p] as number) - (positions[3 * q] as number),
      (positions[3 * p + 1] as number) - (positions[3 * q + 1] as number),
      (positions[3 * p + 2] as number) - (positions[3 * q + 2] as number),
    );
  const thin = doubleNormals(mesh).findIndex(([x, y, z], index) => {
    const [a, b, c] = [
      triangles[3 * index] as number,
      triangles[3 * index + 1] as number,
      triangles[3 * index + 2] as number,
    ];
    const long = Math.max(apart(a, b), apart(b, c), apart(c, a));
    return !(Math.hypot(x, y, z) > FLAT * long * long);
  });
  if (thin >= 0) return `has a triangle without area (number ${thin + 1})`;
  const used = new Set(triangles);
  if (used.size !== count) return `has ${count - used.size} vertices that belong to no triangle`;
  const border = borderOf(mesh);
  if (!border) return 'is closed, has a hole, or touches itself: one open surface with one border is wanted';
  // One piece without handles: vertices - edges + triangles is 1.
  const undirected = (triangles.length + border.length) / 2;
  if (count - undirected + triangles.length / 3 !== 1)
    return 'is in several pieces, or goes round on itself like a ring';
  return null;
}
