import { borderOf, doubleNormals, vertexCount, type Mesh } from '../../geometry/mesh/mesh.ts';
import { cleanMesh } from '../../geometry/mesh/cleanMesh.ts';
import { grossTrouble, meshTrouble } from '../../geometry/mesh/checkMesh.ts';
import { readObj, type MeshReading } from '../../geometry/mesh/readObj.ts';
import { isClosed, openFace, type TakenFace } from '../../geometry/mesh/openFace.ts';
import { readStl } from '../../geometry/mesh/readStl.ts';
import { madeOf } from './draped.ts';
import { drapedMeshTrouble, foundSound } from './drapedFaults.ts';
import { DEFAULT_BLANK_MARGIN, MOULD_LIMITS, type MeshForm } from '../../target/mouldForm.ts';
import { ROUNDING } from '../../numbers.ts';

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

/** The mesh turned to open upward, its triangles facing up, its floor at z = 0, its rim about the origin. */
function righted(mesh: Mesh): Mesh {
  const border = borderOf(mesh) ?? [];
  const { positions } = mesh;
  const mean = (axis: number, of: readonly number[]) =>
    of.reduce((sum, vertex) => sum + (positions[3 * vertex + axis] as number), 0) / of.length;
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
  return {
    positions: moved,
    triangles: mesh.triangles.map(
      (_, index) => mesh.triangles[index - (index % 3) + ((3 - (index % 3)) % 3)] as number,
    ),
  };
}

/** A mesh rounded to the decimals that are kept. */
function shortened({ positions, triangles }: Mesh): Mesh {
  return { positions: positions.map((value) => Number(value.toFixed(DECIMALS))), triangles };
}

/** A mould's mesh as it was read, or why it was not. */
export type MouldMeshReading = MeshReading;

/** Units that a file may be in, and their mm. */
export const MESH_UNITS = { mm: 1, cm: 10, inch: 25.4, m: 1000 } as const;

/** A unit of a mesh file. */
export type MeshUnit = keyof typeof MESH_UNITS;

/** What a file does not say: its unit, a scale (1 is its own size), which of its axes points up, and of a closed body the face that the clay meets. */
export interface MeshTaking {
  readonly unit: MeshUnit;
  readonly scale: number;
  readonly up: 'z' | 'y';
  readonly face: TakenFace;
}

/** A file in mm at its own size, z up, taken from above. */
export const PLAIN_TAKING: MeshTaking = { unit: 'mm', scale: 1, up: 'z', face: 'above' };

/** A silhouette seen along the y axis: heights, and how far it reaches to both sides (mm). */
export type Silhouette = readonly (readonly [height: number, left: number, right: number])[];

/** A preview of a file: its size along x, y and up (mm, as taken), whether it is closed, and the face that is taken, from the side. */
export interface MeshLook {
  readonly size: readonly [number, number, number];
  readonly closed: boolean;
  readonly whole: Silhouette;
  readonly taken: Silhouette;
  /** Why it cannot be a mould as taken; null when it can. */
  readonly trouble: string | null;
}

/** Rows of a silhouette. */
const ROWS = 28;

/** Reach of a mesh's triangles to both sides at heights. */
function silhouetteOf({ positions, triangles }: Mesh, low: number, high: number): Silhouette {
  const reach = Array.from({ length: ROWS + 1 }, () => [Infinity, -Infinity] as [number, number]);
  const step = (high - low) / ROWS || 1;
  const mark = (x: number, at: number) => {
    const row = reach[at];
    if (row) [row[0], row[1]] = [Math.min(row[0], x), Math.max(row[1], x)];
  };
  for (let at = 0; at < triangles.length; at += 1) {
    const [p, q] = [3 * (triangles[at] as number), 3 * (triangles[at % 3 === 2 ? at - 2 : at + 1] as number)];
    const [x0, z0, x1, z1] = [
      positions[p] as number,
      positions[p + 2] as number,
      positions[q] as number,
      positions[q + 2] as number,
    ];
    // Where a side crosses a row, and its ends at top and bottom.
    const [from, to] = [Math.min(z0, z1), Math.max(z0, z1)];
    for (
      let row = Math.ceil((from - low) / step - ROUNDING);
      row <= Math.floor((to - low) / step + ROUNDING);
      row += 1
    ) {
      mark(z1 === z0 ? x0 : x0 + ((x1 - x0) * (low + row * step - z0)) / (z1 - z0), row);
    }
  }
  return reach.flatMap(([left, right], row) => (left <= right ? [[low + row * step, left, right] as const] : []));
}

/** The mesh in mm with its z axis up. */
function scaledUp({ positions, triangles }: Mesh, { unit, scale, up }: MeshTaking): Mesh {
  const by = MESH_UNITS[unit] * scale;
  if (up === 'z') return { positions: positions.map((value) => value * by), triangles };
  // Rotated about the x axis: y points up, z towards the viewer.
  const turned = positions.map(
    (_, at) =>
      by *
      (at % 3 === 0
        ? (positions[at] as number)
        : at % 3 === 1
          ? -(positions[at + 1] as number)
          : (positions[at - 1] as number)),
  );
  return { positions: turned, triangles };
}

/** The content of a file. */
export type MeshLooking =
  { readonly kind: 'look'; readonly look: MeshLook } | { readonly kind: 'refused'; readonly rule: string };

/** A file's mesh as it is taken, and whether it was closed. */
function takenOf(reading: Extract<MeshReading, { kind: 'mesh' }>, taking: MeshTaking) {
  const scaled = scaledUp(reading.mesh, taking);
  const gross = grossTrouble(scaled);
  if (gross) return { kind: 'refused', rule: gross } as const;
  const whole = cleanMesh(scaled);
  const closed = isClosed(whole);
  const mesh = closed ? openFace(whole, taking.face) : whole;
  return { kind: 'taken', whole, closed, mesh } as const;
}

/** Plausible sizes of a mould (mm): the first unit that gives one is proposed. */
const LIKELY = { least: 30, greatest: 1500 } as const;

/** The unit in which a file is likely to be: mm, unless it would be far too small or large. */
export function likelyUnit(longest: number): MeshUnit {
  const units = Object.keys(MESH_UNITS) as MeshUnit[];
  return (
    units.find((unit) => longest * MESH_UNITS[unit] >= LIKELY.least && longest * MESH_UNITS[unit] <= LIKELY.greatest) ??
    'mm'
  );
}

/** Looks at a file without taking it: how large it is in the unit that is meant, and what of it would be taken. Never throws. */
export function lookAtMesh(name: string, bytes: Uint8Array, taking: MeshTaking): MeshLooking {
  const reading = meshIn(name, bytes);
  if (reading.kind === 'refused') return reading;
  const scaled = scaledUp(reading.mesh, taking);
  const span = (axis: number) =>
    scaled.positions.reduce(
      ([least, most], value, at) =>
        (at % 3 === axis ? [Math.min(least, value), Math.max(most, value)] : [least, most]) as [number, number],
      [Infinity, -Infinity] as [number, number],
    );
  const [[x0, x1], [y0, y1], [z0, z1]] = [span(0), span(1), span(2)];
  const size = [x1 - x0, y1 - y0, z1 - z0] as const;
  const found = takenOf(reading, taking);
  if (found.kind === 'refused')
    return { kind: 'look', look: { size, closed: false, whole: [], taken: [], trouble: found.rule } };
  const { whole, closed, mesh } = found;
  const sound = soundOf(mesh);
  const trouble = sound.kind === 'refused' ? sound.rule : null;
  return {
    kind: 'look',
    look: { size, closed, whole: silhouetteOf(whole, z0, z1), taken: mesh ? silhouetteOf(mesh, z0, z1) : [], trouble },
  };
}

/** A face taken as a mould and turned as needed, or why it cannot be one. */
function soundOf(taken: Mesh | null): MouldMeshReading {
  if (!taken) return { kind: 'refused', rule: 'has no face that a slab could lie on: is the right axis up?' };
  const rough = meshTrouble(taken);
  if (rough) return { kind: 'refused', rule: rough };
  const count = vertexCount(taken);
  if (count > MOULD_LIMITS.vertices.greatest)
    return {
      kind: 'refused',
      rule: `has ${count} vertices: at most ${MOULD_LIMITS.vertices.greatest} are taken, make it coarser`,
    };
  const mesh = shortened(righted(taken));
  const trouble = drapedMeshTrouble(mesh);
  return trouble ? { kind: 'refused', rule: trouble } : { kind: 'mesh', mesh };
}

/**
 * Reads a mould's mesh from the bytes of an OBJ or STL file: one open face with one border, as deep as it is, turned so that it
 * opens upward; of a closed body the face that is chosen. Refuses what is malformed, torn, undercut, or far from the size of a
 * mould. Dirt that files have is left out. Never throws.
 */
export function readMouldMesh(name: string, bytes: Uint8Array, taking: MeshTaking = PLAIN_TAKING): MouldMeshReading {
  const reading = meshIn(name, bytes);
  if (reading.kind === 'refused') return reading;
  const found = takenOf(reading, taking);
  return found.kind === 'refused' ? found : soundOf(found.mesh);
}

/** The form of a mould that was read ({@link readMouldMesh}), which need not be looked at again. */
export function mouldOfMesh(mesh: Mesh): MeshForm {
  const { positions, triangles } = mesh;
  const three = (list: ArrayLike<number>) => {
    const made: (readonly [number, number, number])[] = [];
    for (let at = 0; at < list.length; at += 3)
      made.push([list[at] as number, list[at + 1] as number, list[at + 2] as number]);
    return made;
  };
  const form: MeshForm = {
    kind: 'mesh',
    vertices: three(positions),
    triangles: three(triangles),
    side: 'hump',
    margin: DEFAULT_BLANK_MARGIN,
  };
  madeOf(form, mesh);
  foundSound(form);
  return form;
}

/** Reads a mould from the bytes of an OBJ or STL file ({@link readMouldMesh}). */
export function readMould(name: string, bytes: Uint8Array, taking = PLAIN_TAKING): MouldReading {
  const reading = readMouldMesh(name, bytes, taking);
  return reading.kind === 'refused' ? reading : { kind: 'mould', form: mouldOfMesh(reading.mesh) };
}
