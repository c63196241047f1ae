import type { Design, DesignWrite } from '../../contract/api.ts';
import type { MeshForm } from '../../core/target/mouldForm.ts';
import type { Target } from '../../core/target/target.ts';
import { held } from '../held.ts';
import { listsOf } from '../workers/blankWork.ts';
import { dropChange, heldChanges, holdChange } from './heldChanges.ts';

const KIND = 'design';

/** A change to a design that the server has not acknowledged. */
export interface Draft extends DesignWrite {
  /** Fingerprints of what was sent from the same revision without an answer. */
  readonly sent?: readonly string[];
}

/** A draft as it is stored: the lists of an imported mould are left out. */
interface Stored extends Draft {
  /** Where they are: in the revision that the change was made from, or stored under this name. */
  readonly lists?: 'base' | string;
}

/** The lists stored separately for a design; they are written once. */
const apart = new Map<string, { readonly vertices: MeshForm['vertices']; readonly name: string }>();

/**
 * Holds a change to a design in this browser until the server has acknowledged it.
 *
 * @param base the design as the change was made from
 * @param sent fingerprints of what was sent from there without an answer
 */
export function holdDraft(base: Design, target: Target, sent: readonly string[] = []): void {
  const write: Draft = { target, baseRevision: base.revision, ...(sent.length > 0 && { sent }) };
  const { form } = target;
  if (form.kind !== 'mesh') return holdChange<Stored>(KIND, base.id, write);
  const { form: before } = base.target;
  const same = before.kind === 'mesh' && before.vertices === form.vertices && before.triangles === form.triangles;
  const lists = same ? 'base' : listsName(base.id, form);
  holdChange<Stored>(KIND, base.id, {
    ...write,
    target: { ...target, form: { ...form, vertices: [], triangles: [] } },
    lists,
  });
}

/** Stores the lists of a mould that the server does not have yet, when they are new, and returns their name. */
function listsName(id: string, form: MeshForm): string {
  const known = apart.get(id);
  if (known?.vertices === form.vertices) return known.name;
  if (known) held.forget(known.name);
  const name = `design-lists:${id}:${crypto.getRandomValues(new Uint32Array(1))[0]}`;
  apart.set(id, { vertices: form.vertices, name });
  void writeLists(id, name, form);
  return name;
}

async function writeLists(id: string, name: string, form: MeshForm): Promise<void> {
  const text =
    (await listsOf(form)?.text()) ??
    JSON.stringify({ vertices: form.vertices, triangles: form.triangles }).slice(1, -1);
  // Acknowledged, or replaced by another mould meanwhile.
  if (apart.get(id)?.name === name) held.write(name, `{${text}}`);
}

async function readLists(name: string): Promise<Pick<MeshForm, 'vertices' | 'triangles'> | null> {
  try {
    return JSON.parse((await held.read(name)) ?? 'null') as MeshForm | null;
  } catch {
    return null;
  }
}

/**
 * The change to a design that the server never acknowledged, if there is one.
 *
 * @param baseOf the target of a revision, as the server has it
 */
export async function heldDraft(id: string, baseOf: (revision: number) => Promise<Target>): Promise<Draft | null> {
  const [change] = await heldChanges<Stored>(KIND, id);
  if (!change) return null;
  const { lists: name, ...draft } = change.what;
  const { form } = draft.target;
  if (name === undefined || form.kind !== 'mesh') return draft;
  const lists = name === 'base' ? (await baseOf(draft.baseRevision)).form : await readLists(name);
  if (!lists || !('vertices' in lists)) return null;
  if (name !== 'base') apart.set(id, { vertices: lists.vertices, name });
  return {
    ...draft,
    target: { ...draft.target, form: { ...form, vertices: lists.vertices, triangles: lists.triangles } },
  };
}

/** Deletes what is held of a design. */
export function dropDraft(id: string): void {
  dropChange(KIND, id);
  const lists = apart.get(id);
  if (lists) held.forget(lists.name);
  apart.delete(id);
}
