import { borderOf, doubleNormals, vertexCount, type Mesh } from '../mesh/mesh.ts';
import { meshTrouble } from '../mesh/checkMesh.ts';
import { readObj, type MeshReading } from '../mesh/readObj.ts';
import { readStl } from '../mesh/readStl.ts';
import { drapedMeshTrouble } from './drapedFaults.ts';
import { DEFAULT_BLANK_MARGIN, MOULD_LIMITS, type MeshForm } from './mouldForm.ts';

/** A mould that was read from a file, or why it was not. */
export type MouldReading =
  { readonly kind: 'mould'; readonly form: MeshForm } | { readonly kind: 'refused'; readonly rule: string };

/** Figures are kept to this many decimals of a mm. */
const DECIMALS = 4;

function meshIn(name: string, bytes: Uint8Array): MeshReading {
  if (/\.stl$/i.test(name)) return readStl(bytes);
  if (/\.obj$/i.test(name)) return readObj(new TextDecoder().decode(bytes));
  return { kind: 'refused', rule: 'is neither .obj nor .stl' };
}

/** Turned so that it opens upward, its triangles seen from above, its floor at z = 0, its rim about the origin. */
function righted(mesh: Mesh): Mesh {
  const border = borderOf(mesh) ?? [];
  const { positions } = mesh;
  const mean = (axis: number, of: readonly number[]) => of.reduce((sum, vertex) => sum + (positions[3 * vertex + axis] as number), 0) / of.length; // prettier-ignore
  const all = Array.from({ length: vertexCount(mesh) }, (_, vertex) => vertex);
  const over = mean(2, border) < mean(2, all) ? -1 : 1;
  const [x, y] = [mean(0, border), mean(1, border)];
  const floor = all.reduce((least, vertex) => Math.min(least, over * (positions[3 * vertex + 2] as number)), Infinity);
  const moved = positions.map((value, index) => {
    if (index % 3 === 0) return value - x;
    return index % 3 === 1 ? over * (value - y) : over * value - floor;
  });
  const turned: Mesh = { positions: moved, triangles: mesh.triangles };
  const up = doubleNormals(turned).reduce((sum, [, , z]) => sum + z, 0);
  if (up >= 0) return turned;
  return { positions: moved, triangles: mesh.triangles.map((_, index) => mesh.triangles[index - (index % 3) + ((3 - (index % 3)) % 3)] as number) }; // prettier-ignore
}

/**
 * Reads a mould from the bytes of an OBJ or STL file, in mm: one open face with one border, as deep as it is, turned so
 * that it opens upward. Refuses what is malformed, closed, torn, undercut, or far from the size of a mould. Never throws.
 */
export function readMould(name: string, bytes: Uint8Array): MouldReading {
  const reading = meshIn(name, bytes);
  if (reading.kind === 'refused') return reading;
  const rough = meshTrouble(reading.mesh);
  if (rough) return { kind: 'refused', rule: rough };
  const count = vertexCount(reading.mesh);
  if (count > MOULD_LIMITS.vertices.greatest) return { kind: 'refused', rule: `has ${count} vertices: at most ${MOULD_LIMITS.vertices.greatest} are taken, make it coarser` }; // prettier-ignore
  const mesh = righted(reading.mesh);
  const trouble = drapedMeshTrouble(mesh);
  if (trouble) return { kind: 'refused', rule: trouble };
  const three = (list: ArrayLike<number>, at: number, made: (value: number) => number) => [0, 1, 2].map((axis) => made(list[3 * at + axis] as number)) as unknown as [number, number, number]; // prettier-ignore
  const short = (value: number) => Number(value.toFixed(DECIMALS));
  return {
    kind: 'mould',
    form: {
      kind: 'mesh',
      vertices: Array.from({ length: count }, (_, vertex) => three(mesh.positions, vertex, short)),
      triangles: Array.from({ length: mesh.triangles.length / 3 }, (_, index) => three(mesh.triangles, index, Number)),
      side: 'hump',
      margin: DEFAULT_BLANK_MARGIN,
    },
  };
}
