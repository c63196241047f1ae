import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import type { Kept, RecordBodies, RecordKind } from '../../contract/records.ts';
import { checkClay, checkScrap } from '../../core/clay/checkClay.ts';
import type { Fault } from '../../core/errors.ts';
import { checkKitItem } from '../../core/kit/checkKit.ts';
import { checkPlan } from '../../core/slabPlan/keptPlan.ts';
import { api } from '../api.ts';
import { useConnection } from './connection.ts';

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
      if (found) list.value = found;
      state.value = found || list.value.length > 0 ? 'ready' : 'failed';
      if (!found) connection.whenBack(() => void load());
    }

    async function create(body: RecordBodies[K]): Promise<Kept<K> | null> {
      const made = await attempt(() => api.createRecord(kind, body));
      if (!made) return null;
      list.value = [...list.value, made];
      past.value = [...past.value, { id: made.id, before: null, after: body }];
      return made;
    }

    /** Sends what a record is now; the answer gives its new revision. */
    function send(id: string): void {
      clearTimeout(timers.get(id));
      timers.delete(id);
      void attempt(async () => {
        const now = find(id);
        if (!now) return;
        const kept = await api.writeRecord(kind, id, { body: now.body, baseRevision: now.revision });
        const latest = find(id);
        if (latest) put({ ...kept, body: latest.body });
      });
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
      put({ ...now, body });
      clearTimeout(timers.get(id));
      timers.set(
        id,
        setTimeout(() => send(id), KEEP_AFTER),
      );
      return [];
    }

    function endGesture(): void {
      gesture = null;
    }

    async function drop(id: string): Promise<boolean> {
      if (timers.has(id)) send(id);
      const gone = await attempt(async () => {
        await api.removeRecord(kind, id);
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
        put({ ...now, body: step.before });
        send(step.id);
      }
    }

    /** Sends what is still waiting, when the page is left. */
    function keepAll(): void {
      for (const id of [...timers.keys()]) send(id);
    }

    return { list, state, trouble, past, load, create, change, endGesture, remove, undo, keepAll };
  });
}

/** The clay book, the kit, the scrap ledger and slab plans. */
export const useClays = bookOf('clay', checkClay);
export const useKit = bookOf('kit', checkKitItem);
export const useScraps = bookOf('scrap', checkScrap);
export const usePlans = bookOf('plan', checkPlan);
