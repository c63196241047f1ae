import type { Entries, Making, MakingHead, MakingStart } from '../../contract/makings.ts';
import { api } from '../api.ts';
import { held } from '../held.ts';
import { heldPhotographs } from '../heldPhotographs.ts';

/** The changes to a making's head while it is in work. */
export type HeadChange = Partial<Pick<Making, 'name' | 'dueAt' | 'air' | 'endedAt'>>;

/** Names under which this browser holds what the server does not have of a making. */
export const heldName = {
  begun: (id: string) => `making-begun:${id}`,
  head: (id: string) => `making-head:${id}`,
  entries: (id: string, tab: string) => `making-entries:${id}:${tab}`,
};
const HELD = /^making-(?:begun|head|entries):([^:]+)/;

/** A held text, parsed; null where there is none that can be read. */
export function readText<T>(text: string | null): T | null {
  try {
    return JSON.parse(text ?? 'null') as T | null;
  } catch {
    return null;
  }
}

/** A change of a making's head as the server takes it. */
export const headOf = ({
  name,
  clay,
  startedAt,
  dueAt,
  schools,
  air,
  endedAt,
}: Making): MakingHead & { readonly endedAt: string | null } => ({
  name,
  clay,
  startedAt,
  dueAt,
  schools,
  air,
  endedAt,
});

/** Sends what is held under a name, and deletes it unless it has grown meanwhile. */
async function sendText<T>(name: string, send: (what: T) => Promise<unknown>): Promise<void> {
  const text = await held.read(name);
  const what = readText<T>(text);
  if (what === null) return;
  await send(what);
  if ((await held.read(name)) === text) held.forget(name);
}

/** Sends everything that is held of one making, in order: the making, its entries, photographs, its head. */
async function sendOne(id: string): Promise<void> {
  await sendText<MakingStart>(heldName.begun(id), api.beginMaking);
  for (const name of await held.names(heldName.entries(id, ''))) {
    await sendText<Entries>(name, (entries) => api.keepEntries(id, entries));
  }
  for (const photograph of await heldPhotographs.of(id)) {
    await api.keepPhotograph(photograph);
    await heldPhotographs.drop(photograph.id);
  }
  await sendText<HeadChange>(heldName.head(id), async (change) =>
    api.changeMaking(id, { ...headOf(await api.making(id)), ...change }),
  );
}

/** Sends what this browser holds of all makings but the open one. What cannot be sent stays held, and `failed` gets the error. */
export async function sendHeldMakings(inHand: string | undefined, failed: (error: unknown) => void): Promise<void> {
  const names = await held.names('making-');
  const ids = new Set(names.flatMap((name) => HELD.exec(name)?.[1] ?? []));
  for (const id of ids) {
    if (id === inHand) continue;
    try {
      await sendOne(id);
    } catch (error) {
      failed(error);
    }
  }
}
