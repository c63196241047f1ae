import type { MouldSide } from '../../target/mouldSide.ts';
import { bulge, offsetMesh, type Mesh } from '../../geometry/mesh/mesh.ts';

/**
 * The neutral surface of a slab on a mould (geometry: drape, hump and slump blanks): the mould offset outward by `k t` on a
 * hump, inward by `(1 - k) t` in a hollow. A thickness of 0 leaves the mesh as it is.
 *
 * @param thickness wet, mm
 * @param k where the slab keeps its length, from its inner (0) to its outer (1) face
 */
export function neutralSurface(
  mesh: Mesh,
  { thickness, side, k }: { readonly thickness: number; readonly side: MouldSide; readonly k: number },
): Mesh {
  const out = bulge(mesh);
  return offsetMesh(mesh, out * (side === 'hump' ? k * thickness : -(1 - k) * thickness));
}
