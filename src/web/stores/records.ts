import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import type { Kept, RecordBodies, RecordKind } from '../../contract/records.ts';
import { checkClay, checkScrap } from '../../core/clay/checkClay.ts';
import type { Fault } from '../../core/errors.ts';
import { checkKitItem } from '../../core/kit/checkKit.ts';
import { checkPlan } from '../../core/slabPlan/keptPlan.ts';
import { LIMITS } from '../../core/piece/target.ts';
import { api, Refused, Unreachable } from '../api.ts';
import { useConnection } from './connection.ts';
import { dropHeldRecord, heldRecords, holdRecord, newId } from './heldRecords.ts';

/** Pause after the last change before it is sent (ms). */
const KEEP_AFTER = 400;

/** One step that can be undone: a record as it was before, gone when it was made, or as it was taken away. */
interface Step<K extends RecordKind> {
  readonly id: string;
  readonly before: RecordBodies[K] | null;
  readonly after: RecordBodies[K] | null;
}

/** A book of records of one kind: all of them, changed in place, kept by themselves, with undo. */
function bookOf<K extends RecordKind>(kind: K, check: (body: RecordBodies[K]) => readonly Fault[]) {
  return defineStore(`records-${kind}`, () => {
    const connection = useConnection();
    const list = shallowRef<readonly Kept<K>[]>([]);
    const state = ref<'loading' | 'ready' | 'failed'>('loading');
    const trouble = ref('');
    /** Records that were changed elsewhere meanwhile, as the server has them. */
    const conflicts = shallowRef<Readonly<Record<string, Kept<K>>>>({});
    const past = shallowRef<readonly Step<K>[]>([]);
    const timers = new Map<string, ReturnType<typeof setTimeout>>();
    /** Changes of one field are one step of undo until the field is left. */
    let gesture: string | null = null;
    let line: Promise<unknown> = Promise.resolve();

    /** One after another, so that a write never overtakes the one before. */
    function attempt<T>(work: () => Promise<T>): Promise<T | null> {
      const done = line.then(async () => {
        try {
          const found = await work();
          trouble.value = '';
          return found;
        } catch (error) {
          trouble.value = connection.note(error);
          return null;
        }
      });
      line = done;
      return done;
    }

    const put = (kept: Kept<K>) => {
      list.value = list.value.map((one) => (one.id === kept.id ? kept : one));
    };
    const find = (id: string) => list.value.find((one) => one.id === id);

    async function load(): Promise<void> {
      const found = await attempt(() => api.records(kind));
      if (found) list.value = withHeld(found);
      state.value = found || list.value.length > 0 ? 'ready' : 'failed';
      if (!found) connection.whenBack(() => void load());
    }

    /** Records as the server has them, with the changes that this browser still holds: sent again, or shown beside theirs. */
    function withHeld(found: readonly Kept<K>[]): Kept<K>[] {
      let all = [...found];
      for (const { id, body, baseRevision } of heldRecords(kind)) {
        const theirs = all.find((one) => one.id === id);
        if (theirs && JSON.stringify(theirs.body) === JSON.stringify(body)) dropHeldRecord(kind, id);
        else if (theirs && theirs.revision !== baseRevision) {
          conflicts.value = { ...conflicts.value, [id]: theirs };
          all = all.map((one) => (one.id === id ? { ...one, body } : one));
        } else {
          const now = new Date().toISOString();
          const mine: Kept<K> = theirs
            ? { ...theirs, body }
            : { id, body, revision: 0, createdAt: now, updatedAt: now };
          all = theirs ? all.map((one) => (one.id === id ? mine : one)) : [...all, mine];
          queueMicrotask(() => send(id));
        }
      }
      return all;
    }

    /** A new record stands in the list at once; while the server is away it is held and sent when it is back. */
    async function create(body: RecordBodies[K]): Promise<Kept<K> | null> {
      const now = new Date().toISOString();
      const made: Kept<K> = { id: newId(), body, revision: 0, createdAt: now, updatedAt: now };
      list.value = [...list.value, made];
      holdRecord(kind, made);
      await send(made.id);
      if (refused.has(made.id)) {
        refused.delete(made.id);
        list.value = list.value.filter((one) => one.id !== made.id);
        return null;
      }
      past.value = [...past.value, { id: made.id, before: null, after: body }];
      return find(made.id) ?? null;
    }

    /** New records that the server would not take. */
    const refused = new Set<string>();

    /** Sends what a record is now; the answer gives its new revision. What cannot be sent is held and sent again. */
    async function send(id: string): Promise<void> {
      clearTimeout(timers.get(id));
      timers.delete(id);
      if (conflicts.value[id]) return;
      await attempt(async () => {
        const now = find(id);
        if (!now) return;
        try {
          const kept = now.revision === 0 ? await api.createRecord(kind, id, now.body) : await api.writeRecord(kind, id, { body: now.body, baseRevision: now.revision }); // prettier-ignore
          const latest = find(id);
          if (!latest) return;
          put({ ...kept, body: latest.body });
          if (JSON.stringify(latest.body) === JSON.stringify(kept.body)) dropHeldRecord(kind, id);
          else holdRecord(kind, { ...kept, body: latest.body });
        } catch (error) {
          if (error instanceof Unreachable) connection.whenBack(() => void send(id));
          const theirs = error instanceof Refused ? error.reply.record : undefined;
          if (theirs) conflicts.value = { ...conflicts.value, [id]: theirs as Kept<K> };
          if (error instanceof Refused && !theirs && now.revision === 0) {
            refused.add(id);
            dropHeldRecord(kind, id);
          }
          throw error;
        }
      });
    }

    /** Ends a conflict: mine goes on top of theirs, or theirs stays, and mine with it as a record of its own. */
    async function settle(id: string, way: 'mine' | 'both'): Promise<void> {
      const theirs = conflicts.value[id];
      const mine = find(id);
      if (!theirs || !mine) return;
      conflicts.value = Object.fromEntries(Object.entries(conflicts.value).filter(([key]) => key !== id));
      if (way === 'mine') {
        put({ ...theirs, body: mine.body });
        holdRecord(kind, { ...theirs, body: mine.body });
        await send(id);
        return;
      }
      put(theirs);
      dropHeldRecord(kind, id);
      // An entry of the ledger goes by the name of its clay.
      const name = kind === 'scrap' ? mine.body.name : `${mine.body.name}, mine`.slice(0, LIMITS.nameLength.greatest);
      await create({ ...mine.body, name });
      trouble.value = '';
    }

    /** Takes a change when it can be kept, and returns what is wrong with it otherwise. */
    function change(id: string, body: RecordBodies[K], group: string | null = null): readonly Fault[] {
      const faults = check(body);
      if (faults.length > 0) return faults;
      const now = find(id);
      if (!now || JSON.stringify(now.body) === JSON.stringify(body)) return [];
      const last = past.value.at(-1);
      const same = group !== null && gesture === `${id} ${group}` && last?.id === id;
      past.value = same ? [...past.value.slice(0, -1), { ...last, after: body }] : [...past.value, { id, before: now.body, after: body }]; // prettier-ignore
      gesture = group === null ? null : `${id} ${group}`;
      const next = { ...now, body };
      put(next);
      holdRecord(kind, next);
      clearTimeout(timers.get(id));
      timers.set(
        id,
        setTimeout(() => void send(id), KEEP_AFTER),
      );
      return [];
    }

    function endGesture(): void {
      gesture = null;
    }

    async function drop(id: string): Promise<boolean> {
      if (timers.has(id)) void send(id);
      const gone = await attempt(async () => {
        if (find(id)?.revision !== 0) await api.removeRecord(kind, id);
        dropHeldRecord(kind, id);
        return true;
      });
      if (gone) list.value = list.value.filter((one) => one.id !== id);
      return gone === true;
    }

    async function remove(id: string): Promise<void> {
      const now = find(id);
      if (now && (await drop(id))) past.value = [...past.value, { id, before: now.body, after: null }];
    }

    /** Undoes the last step: a change, a new record, or one that was taken away. */
    async function undo(): Promise<void> {
      const step = past.value.at(-1);
      if (!step) return;
      past.value = past.value.slice(0, -1);
      endGesture();
      const now = find(step.id);
      if (step.before === null) await drop(step.id);
      else if (step.after === null) {
        const back = await attempt(() => api.putBackRecord(kind, step.id));
        if (back) list.value = [...list.value, back];
      } else if (now) {
        const next = { ...now, body: step.before };
        put(next);
        holdRecord(kind, next);
        void send(step.id);
      }
    }

    /** Sends what is still waiting, when the page is left. */
    function keepAll(): void {
      for (const id of [...timers.keys()]) void send(id);
    }

    return { list, state, trouble, past, conflicts, settle, load, create, change, endGesture, remove, undo, keepAll };
  });
}

/** The clay book, the kit, the scrap ledger and slab plans. */
export const useClays = bookOf('clay', checkClay);
export const useKit = bookOf('kit', checkKitItem);
export const useScraps = bookOf('scrap', checkScrap);
export const usePlans = bookOf('plan', checkPlan);
