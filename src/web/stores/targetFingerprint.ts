import { briefly } from '../../core/briefly.ts';
import type { MeshForm } from '../../core/target/mouldForm.ts';
import type { Target } from '../../core/target/target.ts';

type Triples = MeshForm['vertices'];

/** Lists of a mesh are large and never changed, so each is read once. */
const known = new WeakMap<Triples, string>();

/** A short text that stands for a list of a mesh. */
function listFingerprint(list: Triples): string {
  const fingerprint = known.get(list) ?? briefly(JSON.stringify(list));
  known.set(list, fingerprint);
  return fingerprint;
}

/** A target as text, without the lists of an imported mesh. */
function withoutLists({ form, ...rest }: Target): string {
  return JSON.stringify([rest, form.kind === 'mesh' ? { ...form, vertices: undefined, triangles: undefined } : form]);
}

/** A short text that is equal for targets with the same content, though one came from the server and one from here. */
export function targetFingerprint(target: Target): string {
  const { form } = target;
  const lists = form.kind === 'mesh' ? [listFingerprint(form.vertices), listFingerprint(form.triangles)] : [];
  return briefly([withoutLists(target), ...lists].join(' '));
}

/** Whether two targets are equal. The lists of an imported mesh are never changed, so they are compared by identity. */
export function sameTarget(one: Target, other: Target): boolean {
  const lists = ({ form }: Target) => (form.kind === 'mesh' ? form.vertices : null);
  return lists(one) === lists(other) && withoutLists(one) === withoutLists(other);
}
