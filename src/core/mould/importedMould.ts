import { borderOf, doubleNormals, vertexCount, type Mesh } from '../mesh/mesh.ts';
import { meshTrouble } from '../mesh/checkMesh.ts';
import { readObj, type MeshReading } from '../mesh/readObj.ts';
import { readStl } from '../mesh/readStl.ts';
import { madeOf } from './draped.ts';
import { drapedMeshTrouble, foundSound } from './drapedFaults.ts';
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

/** A mesh with its figures at the decimals that are kept. */
function shortened({ positions, triangles }: Mesh): Mesh {
  return { positions: positions.map((value) => Number(value.toFixed(DECIMALS))), triangles };
}

/** A mould's mesh as it was read, or why it was not. */
export type MouldMeshReading = MeshReading;

/**
 * Reads a mould's mesh from the bytes of an OBJ or STL file, in mm: one open face with one border, as deep as it is, turned
 * so that it opens upward. Refuses what is malformed, closed, torn, undercut, or far from the size of a mould. Never throws.
 */
export function readMouldMesh(name: string, bytes: Uint8Array): MouldMeshReading {
  const reading = meshIn(name, bytes);
  if (reading.kind === 'refused') return reading;
  const rough = meshTrouble(reading.mesh);
  if (rough) return { kind: 'refused', rule: rough };
  const count = vertexCount(reading.mesh);
  if (count > MOULD_LIMITS.vertices.greatest) return { kind: 'refused', rule: `has ${count} vertices: at most ${MOULD_LIMITS.vertices.greatest} are taken, make it coarser` }; // prettier-ignore
  const mesh = shortened(righted(reading.mesh));
  const trouble = drapedMeshTrouble(mesh);
  return trouble ? { kind: 'refused', rule: trouble } : { kind: 'mesh', mesh };
}

/** The form of a mould that was read ({@link readMouldMesh}), which need not be looked at again. */
export function mouldOfMesh(mesh: Mesh): MeshForm {
  const { positions, triangles } = mesh;
  const three = (list: ArrayLike<number>) => {
    const made: (readonly [number, number, number])[] = [];
    for (let at = 0; at < list.length; at += 3) made.push([list[at] as number, list[at + 1] as number, list[at + 2] as number]); // prettier-ignore
    return made;
  };
  const form: MeshForm = { kind: 'mesh', vertices: three(positions), triangles: three(triangles), side: 'hump', margin: DEFAULT_BLANK_MARGIN }; // prettier-ignore
  madeOf(form, mesh);
  foundSound(form);
  return form;
}

/** Reads a mould from the bytes of an OBJ or STL file ({@link readMouldMesh}). */
export function readMould(name: string, bytes: Uint8Array): MouldReading {
  const reading = readMouldMesh(name, bytes);
  return reading.kind === 'refused' ? reading : { kind: 'mould', form: mouldOfMesh(reading.mesh) };
}
