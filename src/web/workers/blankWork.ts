import type { Blank } from '../../core/forms/kind/blank.ts';
import { meshFindings, takeFindings, type Mesh, type MeshFindings } from '../../core/geometry/mesh/mesh.ts';
import { meshOf, type DrapedTarget } from '../../core/forms/mould/draped.ts';
import { drapedMeshTrouble, foundSound } from '../../core/forms/mould/drapedFaults.ts';
import { mouldOfMesh, readMouldMesh, type MeshLook, type MeshTaking } from '../../core/forms/mould/importedMould.ts';
import type { DartProposal, MeshForm } from '../../core/target/mouldForm.ts';
import type { Target } from '../../core/target/target.ts';

/** A mould file, and how to import it. */
interface MeshFile {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly taking: MeshTaking;
}

/**
 * A request: a fine blank, the places of darts, the mould in a file, or the slow properties of a mesh that was read before.
 * A mesh is sent separately, as typed arrays.
 */
export type BlankQuestion =
  | ({ readonly kind: 'lay' | 'propose'; readonly early: boolean } & SentTarget<DrapedTarget>)
  | ({ readonly kind: 'look' } & MeshFile)
  | ({ readonly kind: 'read' } & MeshFile)
  | { readonly kind: 'prepare'; readonly mesh: Mesh };

/** A sound mesh with its slow properties, and its lists as the text for a design's file. */
export interface ReadyMesh {
  readonly mesh: Mesh;
  readonly findings: MeshFindings;
  readonly lists: Blob;
}

/** A reply: progress (0 to 1), a result (with a quick blank first, if asked for), or the reason why there is none. */
export type BlankReply =
  | { readonly kind: 'far'; readonly share: number }
  | { readonly kind: 'early' | 'laid'; readonly blank: Blank }
  | { readonly kind: 'proposed'; readonly proposal: DartProposal }
  | { readonly kind: 'look'; readonly look: MeshLook }
  | { readonly kind: 'ready'; readonly ready: ReadyMesh }
  | { readonly kind: 'refused'; readonly rule: string }
  | { readonly kind: 'failed'; readonly rule: string };

/** A target as it is sent: an imported mesh is separate, since its lists are slow to copy. */
export interface SentTarget<T extends Target> {
  readonly target: T;
  readonly mesh: Mesh | null;
}

/** A target for the worker: an imported mould as typed arrays, which are quick to copy. */
export function sent<T extends Target>(target: T): SentTarget<T> {
  const { form } = target;
  const plain = form.kind === 'mesh' ? { ...target, form: { ...form, vertices: [], triangles: [] } } : target;
  // A plain copy is sent, since what the store holds may be reactive.
  return { target: JSON.parse(JSON.stringify(plain)) as T, mesh: form.kind === 'mesh' ? meshOf(form) : null };
}

/** The request for a blank, or for darts. */
export function packed(kind: 'lay' | 'propose', target: DrapedTarget, early = false): BlankQuestion {
  return { kind, early, ...sent(target) };
}

/** Restores the target that was sent. */
export function unpacked<T extends Target>({ target, mesh }: SentTarget<T>): T {
  if (!mesh || target.form.kind !== 'mesh') return target;
  const { vertices, triangles } = mouldOfMesh(mesh);
  return { ...target, form: { ...target.form, vertices, triangles } };
}

/** The buffers in a reply, which are transferred and not copied: the worker ends with its reply. */
export function buffersOf(answer: object): ArrayBuffer[] {
  const found = new Set<ArrayBuffer>();
  const look = (value: unknown): void => {
    if (ArrayBuffer.isView(value)) found.add(value.buffer as ArrayBuffer);
    else if (typeof value === 'object' && value !== null && !Array.isArray(value)) Object.values(value).forEach(look);
  };
  look(answer);
  return [...found];
}

/** Reads the mould in a file, ready for the page, or the reason why it is refused. */
export function readReady(name: string, bytes: Uint8Array, taking: MeshTaking): BlankReply {
  const reading = readMouldMesh(name, bytes, taking);
  return reading.kind === 'refused' ? reading : { kind: 'ready', ready: readyOf(reading.mesh) };
}

/** Prepares a mesh that was read before, or gives the reason why it cannot be draped. */
export function prepared(mesh: Mesh): BlankReply {
  const rule = drapedMeshTrouble(mesh);
  return rule === null ? { kind: 'ready', ready: readyOf(mesh) } : { kind: 'refused', rule };
}

function readyOf(mesh: Mesh): ReadyMesh {
  const { vertices, triangles } = mouldOfMesh(mesh);
  const text = `"vertices":${JSON.stringify(vertices)},"triangles":${JSON.stringify(triangles)}`;
  return { mesh, findings: meshFindings(mesh), lists: new Blob([text]) };
}

/** The lists of meshes as text, by their vertices. */
const known = new WeakMap<MeshForm['vertices'], Blob>();

/** The lists of a form's mesh as text, when they are known. */
export function listsOf({ vertices }: MeshForm): Blob | null {
  return known.get(vertices) ?? null;
}

/** Stores what the worker found out about a form's mesh. */
export function takeReady(form: MeshForm, { findings, lists }: ReadyMesh): void {
  takeFindings(meshOf(form), findings);
  foundSound(form);
  known.set(form.vertices, lists);
}
