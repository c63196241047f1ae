import { createStore, del, entries, set, type UseStore } from 'idb-keyval';
import type { Spot } from '../core/studio/making/making.ts';

/** A photograph that the server does not have yet. */
export interface HeldPhotograph extends Spot {
  readonly id: string;
  readonly making: string;
  readonly at: string;
  readonly picture: Blob;
}

/** Photographs as taken, in this browser's database until the server has them. */
let opened: UseStore | null = null;
const database = (): UseStore => (opened ??= createStore('fawn-photographs', 'held'));

export const heldPhotographs = {
  /** False when the database is forbidden or full: then it is only in this page's memory. */
  async hold(photograph: HeldPhotograph): Promise<boolean> {
    try {
      await set(photograph.id, photograph, database());
      return true;
    } catch {
      return false;
    }
  },
  async of(making: string): Promise<HeldPhotograph[]> {
    try {
      const all = (await entries<string, HeldPhotograph>(database())).map(([, photograph]) => photograph);
      return all.filter((one) => one.making === making).sort((one, other) => (one.at < other.at ? -1 : 1));
    } catch {
      return [];
    }
  },
  async drop(id: string): Promise<void> {
    try {
      await del(id, database());
    } catch {
      // It will be sent again; the server keeps it once.
    }
  },
};
