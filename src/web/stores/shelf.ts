import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import type { Design } from '../../contract/api.ts';
import type { Target } from '../../core/piece/target.ts';
import { newTarget } from '../../core/piece/target.ts';
import { elevation } from '../../core/piece/elevation.ts';
import { api } from '../api.ts';
import { nextTask } from '../composables/nextTask.ts';
import { prepareMould } from '../workers/prepareMould.ts';
import { useConnection } from './connection.ts';

/** Drawings are worked out for so long at a time (ms). */
const DRAW_AT_ONCE = 10;

/** The designs on the shelf, in the order in which they came. */
export const useShelf = defineStore('shelf', () => {
  const connection = useConnection();
  const designs = shallowRef<readonly Design[]>([]);
  const state = ref<'loading' | 'ready' | 'failed'>('loading');
  const trouble = ref('');
  /** The design last taken off, while it can be put back by one press. */
  const takenOff = shallowRef<Design | null>(null);

  /** Runs `work`, telling the person when it fails. */
  async function attempt<T>(work: () => Promise<T>): Promise<T | null> {
    try {
      trouble.value = '';
      return await work();
    } catch (error) {
      trouble.value = connection.note(error);
      return null;
    }
  }

  async function load(): Promise<void> {
    let found: readonly Design[] = [];
    const done = await attempt(async () => {
      await api.list(async (page) => {
        found = [...found, ...(await drawn(page))];
        // The first page is worked with while the others come.
        if (state.value !== 'ready') designs.value = found;
        state.value = 'ready';
      });
      return true;
    });
    if (done) designs.value = found;
    else state.value = designs.value.length > 0 ? 'ready' : 'failed';
    if (!done) connection.whenBack(() => void load());
  }

  /** Designs with their drawings worked out, a few at a time, so that the page answers meanwhile; what has not changed stays. */
  async function drawn(found: readonly Design[]): Promise<Design[]> {
    const known = new Map(designs.value.map((design) => [design.id, design]));
    const same = found.map((design) => {
      const before = known.get(design.id);
      return before?.revision === design.revision ? before : design;
    });
    let from = performance.now();
    for (const { target } of same) {
      // One at a time, and only what has changed: each takes a worker.
      await prepareMould(target);
      elevation(target, 'fired');
      if (performance.now() - from < DRAW_AT_ONCE) continue;
      await nextTask();
      from = performance.now();
    }
    return same;
  }

  function create(target: Target = newTarget(freshName())): Promise<Design | null> {
    return attempt(async () => {
      const design = await api.create(target);
      designs.value = [...designs.value, design];
      return design;
    });
  }

  /** `New tumbler`, or `New tumbler 2` when there is one. */
  function freshName(): string {
    const names = new Set(designs.value.map((design) => design.name));
    let name = 'New tumbler';
    for (let number = 2; names.has(name); number += 1) name = `New tumbler ${number}`;
    return name;
  }

  async function rename(design: Design, name: string): Promise<void> {
    const write = { target: { ...design.target, name }, baseRevision: design.revision };
    const renamed = await attempt(() => api.write(design.id, write));
    if (renamed) designs.value = designs.value.map((one) => (one.id === design.id ? renamed : one));
    else await reloadAfterConflict();
  }

  /** A shelf that is out of date is read again, keeping the words of what went wrong. */
  async function reloadAfterConflict(): Promise<void> {
    const words = trouble.value;
    await load();
    trouble.value ||= words;
  }

  async function duplicate(design: Design): Promise<void> {
    const copy = await attempt(() => api.duplicate(design.id));
    if (copy) designs.value = [...designs.value, copy];
  }

  async function takeOff(design: Design): Promise<void> {
    const done = await attempt(async () => {
      await api.remove(design.id);
      return true;
    });
    if (!done) return;
    designs.value = designs.value.filter((one) => one.id !== design.id);
    takenOff.value = design;
  }

  async function putBack(): Promise<void> {
    const design = takenOff.value;
    if (!design) return;
    takenOff.value = null;
    if (await attempt(() => api.putBack(design.id))) await load();
  }

  return { designs, state, trouble, takenOff, load, create, rename, duplicate, takeOff, putBack };
});
