import { createStore, del, get, keys, set, type UseStore } from 'idb-keyval';
import { nextTask } from './composables/nextTask.ts';
import { memory } from './memory.ts';

/**
 * What the server does not have yet, as texts by name, in this browser's database. It writes a moment after it is told to:
 * until then, and where the database is forbidden or full, a text is held by the page; a page that goes away hands over
 * what is still to be written by way of the small memory that writes at once.
 */

/** Names of this kind are handed over. */
const START = 'fawn-held:';

/** What the database has yet to be told: a text, or null where one is to be forgotten. */
const waiting = new Map<string, string | null>();
const busy = new Set<string>();
/** What a page that went away, and came back, has handed over. */
const handed = new Set<string>();

let opened: UseStore | null = null;
const database = (): UseStore => (opened ??= createStore('fawn-table', 'held'));

/** Tells the database what is newest under a name, until nothing newer has come in the meantime. */
async function tell(name: string): Promise<void> {
  if (busy.has(name)) return;
  busy.add(name);
  // Not in the event that changed it, which is to redraw at once.
  await nextTask();
  try {
    for (let text = waiting.get(name); text !== undefined; text = waiting.get(name)) {
      await (text === null ? del(name, database()) : set(name, text, database()));
      if (waiting.get(name) === text) waiting.delete(name);
    }
    if (handed.delete(name)) memory.forget(START + name);
  } catch {
    // The database is forbidden or full: the page holds it.
  }
  busy.delete(name);
}

/** Takes over what an earlier page could only hand to the small memory; an empty text is one to be forgotten. */
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

  /** Names that begin alike. */
  async names(start: string): Promise<string[]> {
    takeOver();
    const found = new Set<string>();
    try {
      for (const name of await keys<string>(database())) found.add(name);
    } catch {
      // Only what the page holds.
    }
    for (const [name, text] of waiting) {
      if (text === null) found.delete(name);
      else found.add(name);
    }
    return [...found].filter((name) => name.startsWith(start));
  },

  /** The page goes away: what the database has not been told yet is written at once where the next page looks. */
  leave(): void {
    for (const [name, text] of waiting) {
      memory.write(START + name, text ?? '');
      handed.add(name);
    }
  },
};
