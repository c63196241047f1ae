import { MESH_LIMITS } from './checkMesh.ts';
import type { Mesh } from './mesh.ts';

/** Most characters of a mesh file that are read. */
export const MESH_FILE_LIMIT = 60_000_000;

/** The mesh, or why it could not be read, with the line. */
export type MeshReading =
  { readonly kind: 'mesh'; readonly mesh: Mesh } | { readonly kind: 'refused'; readonly rule: string };

const refused = (rule: string): MeshReading => ({ kind: 'refused', rule });

/** Reads vertices and faces of an OBJ file (mm); faces of more than three corners become fans. All other lines are ignored. Never throws. */
export function readObj(text: string): MeshReading {
  if (text.length > MESH_FILE_LIMIT) return refused('is too large to be read');
  const positions: number[] = [];
  const triangles: number[] = [];
  let line = 0;
  for (let from = 0; from <= text.length;) {
    const end = text.indexOf('\n', from);
    const row = text.slice(from, end < 0 ? text.length : end).trim();
    from = end < 0 ? text.length + 1 : end + 1;
    line += 1;
    if (row.startsWith('v ')) {
      const [x = NaN, y = NaN, z = NaN] = row.slice(2).trim().split(/\s+/).map(Number);
      if (![x, y, z].every(Number.isFinite)) return refused(`line ${line}: a vertex has three numbers`);
      positions.push(x, y, z);
      if (positions.length / 3 > MESH_LIMITS.vertices) return refused(`has more than ${MESH_LIMITS.vertices} vertices`);
    } else if (row.startsWith('f ')) {
      const corners = row
        .slice(2)
        .trim()
        .split(/\s+/)
        .map((word) => {
          const index = Number(word.split('/')[0]);
          return index < 0 ? positions.length / 3 + index : index - 1;
        });
      if (corners.length < 3) return refused(`line ${line}: a face has three corners or more`);
      if (corners.some((at) => !Number.isInteger(at) || at < 0))
        return refused(`line ${line}: a face names a vertex that is not there`);
      for (let at = 2; at < corners.length; at += 1)
        triangles.push(corners[0] as number, corners[at - 1] as number, corners[at] as number);
      if (triangles.length / 3 > MESH_LIMITS.triangles)
        return refused(`has more than ${MESH_LIMITS.triangles} triangles`);
    }
  }
  if (positions.length === 0) return refused('has no vertices: is it an OBJ file?');
  if (triangles.some((at) => at >= positions.length / 3))
    return refused('has a face that names a vertex that is not there');
  return { kind: 'mesh', mesh: { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) } };
}
