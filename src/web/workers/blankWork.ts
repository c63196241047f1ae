import type { Mesh } from '../../core/mesh/mesh.ts';
import type { Blank } from '../../core/mould/blank.ts';
import { meshOf, type DrapedTarget } from '../../core/mould/draped.ts';
import { mouldOfMesh, type MouldMeshReading } from '../../core/mould/importedMould.ts';
import type { DartProposal } from '../../core/mould/proposeDarts.ts';

/** What the worker is asked for: a fine blank, where darts go, or the mould in a file. A mesh goes apart, as plain figures. */
export type BlankQuestion =
  | { readonly kind: 'lay' | 'propose'; readonly target: DrapedTarget; readonly mesh: Mesh | null }
  | { readonly kind: 'read'; readonly name: string; readonly bytes: Uint8Array };

/** What it tells: how far it is (0 to 1), what it found, or why it found nothing. */
export type BlankReply =
  | { readonly kind: 'far'; readonly share: number }
  | { readonly kind: 'laid'; readonly blank: Blank }
  | { readonly kind: 'proposed'; readonly proposal: DartProposal }
  | { readonly kind: 'read'; readonly reading: MouldMeshReading }
  | { readonly kind: 'failed'; readonly rule: string };

/** A target as it is sent: without the lists of an imported mesh, which take long to copy. */
export function packed(kind: 'lay' | 'propose', target: DrapedTarget): BlankQuestion {
  const { form } = target;
  const plain = form.kind === 'mesh' ? { ...target, form: { ...form, vertices: [], triangles: [] } } : target;
  // What the store holds may be watched: a plain copy is sent.
  return { kind, target: JSON.parse(JSON.stringify(plain)) as DrapedTarget, mesh: form.kind === 'mesh' ? meshOf(form) : null }; // prettier-ignore
}

/** The target that was sent. */
export function unpacked(target: DrapedTarget, mesh: Mesh | null): DrapedTarget {
  if (!mesh || target.form.kind !== 'mesh') return target;
  const { vertices, triangles } = mouldOfMesh(mesh);
  return { ...target, form: { ...target.form, vertices, triangles } };
}
