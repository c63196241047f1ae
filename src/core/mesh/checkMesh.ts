import { borderOf, doubleNormals, vertexCount, type Mesh } from './mesh.ts';

/** Most vertices and triangles that are taken: far above what a mould needs, and what a page can hold. */
export const MESH_LIMITS = { vertices: 200_000, triangles: 400_000, greatest: 5000, least: 5 } as const;

/** A triangle thinner than this part of its longest side squared has no area (ratio). */
const FLAT = 1e-10;

/** Why a mesh cannot be laid flat, in plain words; null when it can: one piece, one border, no hole, no edge of three triangles. */
export function meshTrouble(mesh: Mesh): string | null {
  const { positions, triangles } = mesh;
  const count = vertexCount(mesh);
  if (triangles.length === 0) return 'has no triangles';
  let [least, greatest] = [Infinity, -Infinity];
  for (const value of positions) {
    if (!Number.isFinite(value)) return 'has a vertex that is no number';
    least = Math.min(least, value);
    greatest = Math.max(greatest, value);
  }
  const extent = greatest - least;
  if (extent > MESH_LIMITS.greatest) return `is ${extent.toFixed(0)} mm large: it is read in millimetres, and nothing over ${MESH_LIMITS.greatest} mm is taken`; // prettier-ignore
  if (extent < MESH_LIMITS.least) return `is only ${extent.toFixed(2)} mm large: it is read in millimetres`;
  const edges = new Set<number>();
  for (let at = 0; at < triangles.length; at += 3) {
    for (let side = 0; side < 3; side += 1) {
      const [a, b] = [triangles[at + side] as number, triangles[at + ((side + 1) % 3)] as number];
      if (a >= count || b >= count) return 'names a vertex that is not there';
      if (a === b) return 'has a triangle with two corners in one place';
      const edge = a * 2 ** 26 + b;
      if (edges.has(edge)) return 'has an edge that three triangles share, or triangles turned against one another';
      edges.add(edge);
    }
  }
  const thin = doubleNormals(mesh).findIndex((normal, index) => {
    const [a, b, c] = [0, 1, 2].map((side) => triangles[3 * index + side] as number) as [number, number, number];
    const long = [[a, b], [b, c], [c, a]].reduce((most, [p = 0, q = 0]) => Math.max(most, Math.hypot(...[0, 1, 2].map((axis) => (positions[3 * p + axis] as number) - (positions[3 * q + axis] as number)))), 0); // prettier-ignore
    return !(Math.hypot(...normal) > FLAT * long * long);
  });
  if (thin >= 0) return `has a triangle without area (number ${thin + 1})`;
  const used = new Set(triangles);
  if (used.size !== count) return `has ${count - used.size} vertices that belong to no triangle`;
  const border = borderOf(mesh);
  if (!border) return 'is closed, has a hole, or touches itself: one open surface with one border is wanted';
  // One piece without handles: vertices - edges + triangles is 1.
  const undirected = (edges.size + border.length) / 2;
  if (count - undirected + triangles.length / 3 !== 1)
    return 'is in several pieces, or goes round on itself like a ring';
  return null;
}
