import { createStore, del, get, keys, set, type UseStore } from 'idb-keyval';
import { nextTask } from './composables/nextTask.ts';
import { memory } from './memory.ts';

/**
 * Texts by name that the server does not have yet, in this browser's database. It writes a moment later:
 * until then, and where the database is forbidden or full, a text is held by the page; a page that goes away hands over
 * what is still to be written by way of the small memory that writes at once.
 */

/** Prefix of the names that are handed over. */
const START = 'fawn-held:';

/** Changes that the database does not have yet: a text, or null to delete one. */
const waiting = new Map<string, string | null>();
const busy = new Set<string>();
/** Texts that the page handed over before it was closed. */
const handed = new Set<string>();

let opened: UseStore | null = null;
const database = (): UseStore => (opened ??= createStore('fawn-table', 'held'));

/** Writes the newest text of a name, and again while newer ones have come meanwhile. */
async function tell(name: string): Promise<void> {
  if (busy.has(name)) return;
  busy.add(name);
  // Not in the event that changed it, so that the page redraws first.
  await nextTask();
  try {
    for (let text = waiting.get(name); text !== undefined; text = waiting.get(name)) {
      await (text === null ? del(name, database()) : set(name, text, database()));
      if (waiting.get(name) === text) waiting.delete(name);
    }
    if (handed.delete(name)) memory.forget(START + name);
  } catch {
    // The database is forbidden or full: the page keeps it in memory.
  }
  busy.delete(name);
}

/** Takes over what an earlier page left in local storage; an empty text means deleted. */
let takenOver = false;
function takeOver(): void {
  if (takenOver) return;
  takenOver = true;
  for (const left of memory.names(START)) {
    const name = left.slice(START.length);
    const text = memory.read(left);
    if (!waiting.has(name)) {
      if (text) held.write(name, text);
      else held.forget(name);
    }
    memory.forget(left);
  }
}

export const held = {
  async read(name: string): Promise<string | null> {
    takeOver();
    const newest = waiting.get(name);
    if (newest !== undefined) return newest;
    try {
      return (await get<string>(name, database())) ?? null;
    } catch {
      return null;
    }
  },

  write(name: string, text: string): void {
    waiting.set(name, text);
    void tell(name);
  },

  forget(name: string): void {
    waiting.set(name, null);
    void tell(name);
  },

  /** The names with this prefix. */
  async names(start: string): Promise<string[]> {
    takeOver();
    const found = new Set<string>();
    try {
      for (const name of await keys<string>(database())) found.add(name);
    } catch {
      // Only what this page has in memory.
    }
    for (const [name, text] of waiting) {
      if (text === null) found.delete(name);
      else found.add(name);
    }
    return [...found].filter((name) => name.startsWith(start));
  },

  /** As the page closes: leaves what the database does not have yet in local storage, for the next page. */
  leave(): void {
    for (const [name, text] of waiting) {
      memory.write(START + name, text ?? '');
      handed.add(name);
    }
  },
};
