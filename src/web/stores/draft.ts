import type { Design, DesignWrite } from '../../contract/api.ts';
import type { MeshForm } from '../../core/mould/mouldForm.ts';
import type { Target } from '../../core/piece/target.ts';
import { memory } from '../memory.ts';
import { listsOf } from '../workers/blankWork.ts';

const key = (id: string) => `fawn-draft:${id}`;
const meshKey = (id: string) => `fawn-draft-mesh:${id}`;

/** A draft as it is stored: the lists of an imported mould are left out. */
interface Stored extends DesignWrite {
  /** Where they are: in a store of their own, or in the revision that the change was made from. */
  readonly mesh?: 'apart' | 'base';
}

/** The lists that are stored apart for a design: they are written once. */
const apart = new Map<string, MeshForm['vertices']>();

/**
 * Holds a change to a design in this browser until the server has acknowledged it.
 *
 * @param base the design as the change was made from
 */
export function holdDraft(base: Design, target: Target): void {
  const write: DesignWrite = { target, baseRevision: base.revision };
  const { form } = target;
  if (form.kind !== 'mesh') return void memory.write(key(base.id), JSON.stringify(write));
  const { form: before } = base.target;
  const same = before.kind === 'mesh' && before.vertices === form.vertices && before.triangles === form.triangles;
  const bare: Stored = { ...write, target: { ...target, form: { ...form, vertices: [], triangles: [] } }, mesh: same ? 'base' : 'apart' }; // prettier-ignore
  memory.write(key(base.id), JSON.stringify(bare));
  if (!same && apart.get(base.id) !== form.vertices) void holdLists(base.id, form);
}

/** Stores the lists of a mould that the server does not have yet. */
async function holdLists(id: string, form: MeshForm): Promise<void> {
  apart.set(id, form.vertices);
  const text = (await listsOf(form)?.text()) ?? JSON.stringify({ vertices: form.vertices, triangles: form.triangles }).slice(1, -1); // prettier-ignore
  // Acknowledged, or another mould meanwhile.
  if (apart.get(id) === form.vertices && !memory.write(meshKey(id), `{${text}}`)) apart.delete(id);
}

/** What is stored under a name; null where nothing is, or nothing that can be read. */
function read<T>(name: string): T | null {
  try {
    return JSON.parse(memory.read(name) ?? 'null') as T | null;
  } catch {
    return null;
  }
}

/** A draft with the lists of its mould, or null when they are lost. */
function whole(id: string, { mesh, ...draft }: Stored, base: Target | null): DesignWrite | null {
  const { form } = draft.target;
  if (mesh === undefined || form.kind !== 'mesh') return draft;
  const lists = mesh === 'base' ? base?.form : read<MeshForm>(meshKey(id)); // prettier-ignore
  if (!lists || !('vertices' in lists)) return null;
  return { ...draft, target: { ...draft.target, form: { ...form, vertices: lists.vertices, triangles: lists.triangles } } }; // prettier-ignore
}

/**
 * The change to a design that the server never acknowledged, if there is one.
 *
 * @param baseOf the target of a revision, as the server has it
 */
export async function heldDraft(
  id: string,
  baseOf: (revision: number) => Promise<Target>,
): Promise<DesignWrite | null> {
  const stored = read<Stored>(key(id));
  if (!stored) return null;
  return whole(id, stored, stored.mesh === 'base' ? await baseOf(stored.baseRevision) : null);
}

export function dropDraft(id: string): void {
  memory.forget(key(id));
  if (apart.delete(id) || memory.read(meshKey(id))) memory.forget(meshKey(id));
}
