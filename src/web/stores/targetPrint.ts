import type { MeshForm } from '../../core/target/mouldForm.ts';
import type { Target } from '../../core/target/target.ts';

type Triples = MeshForm['vertices'];

/** Start and factor of the FNV-1a hash (32 bits). */
const FNV = { start: 0x811c9dc5, factor: 0x01000193 } as const;

/** The lists of a mesh are large and never changed: each is gone through once. */
const known = new WeakMap<Triples, string>();

/** A short text that stands for a list of a mesh: its length and a hash of its numbers. */
function listPrint(list: Triples): string {
  const before = known.get(list);
  if (before !== undefined) return before;
  let hash: number = FNV.start;
  for (const word of new Uint32Array(Float64Array.from(list.flat()).buffer)) hash = Math.imul(hash ^ word, FNV.factor);
  const print = `${list.length} ${hash >>> 0}`;
  known.set(list, print);
  return print;
}

/** A target as text, without the lists of an imported mesh. */
function withoutLists({ form, ...rest }: Target): string {
  return JSON.stringify([rest, form.kind === 'mesh' ? { ...form, vertices: undefined, triangles: undefined } : form]);
}

/** A text that is equal for targets with the same content, though one came from the server and one from here. */
export function targetPrint(target: Target): string {
  const { form } = target;
  const lists = form.kind === 'mesh' ? [listPrint(form.vertices), listPrint(form.triangles)] : [];
  return [withoutLists(target), ...lists].join(' ');
}

/** Whether two targets are equal. The lists of an imported mesh are never changed, so they are compared by identity. */
export function sameTarget(one: Target, other: Target): boolean {
  const lists = ({ form }: Target) => (form.kind === 'mesh' ? form.vertices : null);
  return lists(one) === lists(other) && withoutLists(one) === withoutLists(other);
}
