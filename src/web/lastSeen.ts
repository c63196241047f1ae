import { clear, createStore, get, setMany, type UseStore } from 'idb-keyval';
import type { Design } from '../contract/api.ts';
import type { Kept, RecordKind } from '../contract/records.ts';

/**
 * Designs and records as the server last had them, in this browser's database, read while the server is away. Changes made
 * meanwhile are kept separately (`held.ts`).
 */

let opened: UseStore | null = null;
const database = (): UseStore => (opened ??= createStore('fawn-last-seen', 'replies'));

/** Runs `work`. Without a database, or with a full one, it returns nothing. */
async function attempt<T>(work: () => Promise<T>): Promise<T | undefined> {
  try {
    return await work();
  } catch {
    return undefined;
  }
}

const nameOf = (id: string) => `design:${id}`;

export const lastSeen = {
  keepDesigns: (designs: readonly Design[]) =>
    attempt(() =>
      setMany(
        designs.map((design) => [nameOf(design.id), design]),
        database(),
      ),
    ),
  /** Ids of the designs on the shelf, in order. */
  keepShelf: (ids: readonly string[]) => attempt(() => setMany([['shelf', ids]], database())),
  design: (id: string) => attempt(() => get<Design>(nameOf(id), database())),
  async shelf(): Promise<Design[]> {
    const ids = (await attempt(() => get<string[]>('shelf', database()))) ?? [];
    const found = await Promise.all(ids.map((id) => lastSeen.design(id)));
    return found.filter((design) => design !== undefined);
  },
  keepRecords: <K extends RecordKind>(kind: K, records: readonly Kept<K>[]) =>
    attempt(() => setMany([[`records:${kind}`, records]], database())),
  records: <K extends RecordKind>(kind: K) => attempt(() => get<Kept<K>[]>(`records:${kind}`, database())),
  /** Deleted on sign-out, so that nobody reads it without signing in. */
  forget: () => attempt(() => clear(database())),
};
