import { MESH_LIMITS } from './checkMesh.ts';
import { PlaceIndex } from './placeIndex.ts';
import { MESH_FILE_LIMIT, type MeshReading } from './readObj.ts';

const refused = (rule: string): MeshReading => ({ kind: 'refused', rule });

/** Numbers in a binary STL file are little-endian. */
const LITTLE_ENDIAN = true;

/** Bytes before the triangles of a binary file, and of each triangle. */
const HEAD = 84;
const EACH = 50;

/** Reads an STL file, binary or text (mm); equal corners become one vertex, triangles without area are left out. Never throws. */
export function readStl(bytes: Uint8Array): MeshReading {
  if (bytes.length > MESH_FILE_LIMIT) return refused('is too large to be read');
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const count = bytes.length >= HEAD ? view.getUint32(80, LITTLE_ENDIAN) : -1;
  if (count > 0 && bytes.length === HEAD + EACH * count) return binary(view, count);
  const text = new TextDecoder().decode(bytes);
  if (/^\s*solid\b/.test(text) && /\bfacet\b/.test(text)) return written(text);
  if (count > 0)
    return refused(
      `is cut short or is not an STL file: it promises ${count} triangles, which take ${HEAD + EACH * count} bytes, and has ${bytes.length}`,
    );
  return refused('is not an STL file');
}

function binary(view: DataView, count: number): MeshReading {
  if (count > MESH_LIMITS.triangles) return refused(`has more than ${MESH_LIMITS.triangles} triangles`);
  const corners = new Float64Array(9 * count);
  for (let index = 0; index < count; index += 1) {
    for (let at = 0; at < 9; at += 1)
      corners[9 * index + at] = view.getFloat32(HEAD + EACH * index + 12 + 4 * at, LITTLE_ENDIAN);
  }
  return welded(corners);
}

function written(text: string): MeshReading {
  const corners: number[] = [];
  const lines = text.split('\n');
  for (const [index, line] of lines.entries()) {
    const row = line.trim();
    if (!row.startsWith('vertex')) continue;
    const figures = row.split(/\s+/).slice(1).map(Number);
    if (figures.length !== 3 || !figures.every(Number.isFinite))
      return refused(`line ${index + 1}: a vertex has three numbers`);
    corners.push(...figures);
    if (corners.length / 9 > MESH_LIMITS.triangles) return refused(`has more than ${MESH_LIMITS.triangles} triangles`);
  }
  if (!/\bendsolid\b/.test(text)) return refused('is cut short: its end is missing');
  if (corners.length % 9 !== 0) return refused('is cut short: its last triangle lacks a corner');
  return welded(Float64Array.from(corners));
}

function welded(corners: Float64Array): MeshReading {
  if (corners.length === 0) return refused('has no triangles');
  if (!corners.every(Number.isFinite)) return refused('has a vertex that is not a number');
  const known = new PlaceIndex();
  const positions: number[] = [];
  const triangles: number[] = [];
  const vertexAt = (at: number) => {
    const [x, y, z] = [corners[at] as number, corners[at + 1] as number, corners[at + 2] as number];
    const vertex = known.numberNear(x, y, z);
    if (3 * vertex === positions.length) positions.push(x, y, z);
    return vertex;
  };
  for (let at = 0; at < corners.length; at += 9) {
    const [a, b, c] = [vertexAt(at), vertexAt(at + 3), vertexAt(at + 6)];
    if (a !== b && b !== c && c !== a) triangles.push(a, b, c);
  }
  if (positions.length / 3 > MESH_LIMITS.vertices) return refused(`has more than ${MESH_LIMITS.vertices} vertices`);
  return { kind: 'mesh', mesh: { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) } };
}
