import { held } from '../held.ts';
import { tabId } from './otherTabs.ts';

/** A change that the server has not acknowledged: its tab, its time, and its body. */
export interface HeldChange<T> {
  readonly id: string;
  readonly at: number;
  readonly what: T;
}

/** Each tab holds its own change of a record, so that none overwrites another's. */
const nameOf = (kind: string, id: string, tab = tabId()) => `${kind}:${id}:${tab}`;

/** Holds a change in this browser until the server has it. */
export function holdChange<T>(kind: string, id: string, what: T): void {
  const change: HeldChange<T> = { id, at: Date.now(), what };
  held.write(nameOf(kind, id), JSON.stringify(change));
}

/** Deletes a held change. */
export function dropChange(kind: string, id: string): void {
  held.forget(nameOf(kind, id));
}

async function changeAt<T>(name: string): Promise<HeldChange<T> | null> {
  try {
    return JSON.parse((await held.read(name)) ?? 'null') as HeldChange<T> | null;
  } catch {
    return null;
  }
}

/**
 * The held changes of a kind, or of one record, one for each: this tab's own, or the newest that another tab left, which
 * this tab takes over. Older ones follow later.
 */
export async function heldChanges<T>(kind: string, id = ''): Promise<HeldChange<T>[]> {
  const names = await held.names(id ? `${kind}:${id}:` : `${kind}:`);
  const found = await Promise.all(names.map(async (name) => ({ name, change: await changeAt<T>(name) })));
  const chosen = new Map<string, { readonly name: string; readonly change: HeldChange<T> }>();
  for (const { name, change } of found) {
    if (!change) {
      held.forget(name);
      continue;
    }
    const before = chosen.get(change.id);
    const own = nameOf(kind, change.id);
    if (!before || name === own || (before.name !== own && change.at > before.change.at))
      chosen.set(change.id, { name, change });
  }
  return [...chosen.values()].map(({ name, change }) => {
    const own = nameOf(kind, change.id);
    if (name !== own) {
      held.write(own, JSON.stringify(change));
      held.forget(name);
    }
    return change;
  });
}
