import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import type { Design } from '../../contract/api.ts';
import type { SheetForm } from '../../core/target/sheetForm.ts';
import { thicknesses } from '../../core/studio/kit/kit.ts';
import { bounds } from '../../core/geometry/outline/outline.ts';
import { planShrunk } from '../../core/parts/plan/plan.ts';
import type { DrawnPlan } from '../../core/target/plan.ts';
import { MM_PER_INCH } from '../../core/numbers.ts';
import { freshTarget } from '../../core/forms/freshTarget.ts';
import { KINDS } from '../../core/forms/kinds.ts';
import { TARGET_DEFAULTS, type FormKind, type Target } from '../../core/target/target.ts';
import { elevation } from '../../core/piece/elevation.ts';
import { api } from '../api.ts';
import { lastSeen } from '../lastSeen.ts';
import { without } from '../without.ts';
import { nextTask } from '../composables/nextTask.ts';
import { prepareMould } from '../workers/prepareMould.ts';
import { useConnection } from './connection.ts';
import { useKit } from './records.ts';
import { useSettings } from './settings.ts';

/** Length of one round of computing drawings (ms). */
const DRAW_AT_ONCE = 10;

/** The designs on the shelf, in order of creation. */
export const useShelf = defineStore('shelf', () => {
  const connection = useConnection();
  const settings = useSettings();
  const kit = useKit();
  const designs = shallowRef<readonly Design[]>([]);
  const state = ref<'loading' | 'ready' | 'failed'>('loading');
  const trouble = ref('');
  /** The designs last removed, while they can be restored with one press. */
  const takenOff = shallowRef<readonly Design[]>([]);

  /** Number of changes to the shelf made here. */
  let changes = 0;
  function change(next: (now: readonly Design[]) => readonly Design[]): void {
    changes += 1;
    designs.value = next(designs.value);
  }
  const put = (written: Design) => change((now) => now.map((one) => (one.id === written.id ? written : one)));
  const add = (made: Design) => change((now) => [...now, made]);

  /** Runs `work`, and shows the user when it fails. */
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
    const before = changes;
    let found: readonly Design[] = [];
    const done = await attempt(async () => {
      await api.list(async (page) => {
        found = [...found, ...(await drawn(page))];
        // The first page can be used while the others load.
        if (state.value !== 'ready' && changes === before) designs.value = found;
        state.value = 'ready';
      });
      return true;
    });
    // Changes made here meanwhile are not in the reply.
    if (done && changes !== before) return load();
    if (done) {
      designs.value = found;
      void lastSeen.keepDesigns(found).then(() => lastSeen.keepShelf(found.map(({ id }) => id)));
      return;
    }
    if (connection.down && designs.value.length === 0) designs.value = await drawn(await lastSeen.shelf());
    state.value = designs.value.length > 0 ? 'ready' : 'failed';
    connection.whenBack(() => void load());
  }

  /** Adds drawings to the designs, a few at a time, so that the page stays responsive; unchanged designs keep theirs. */
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

  function create(target: Target): Promise<Design | null> {
    return attempt(async () => {
      const design = await api.create(target);
      add(design);
      return design;
    });
  }

  /** A new piece of a form, with the clay and slab that were used last, or the potter's own. */
  function begin(kind: FormKind): Promise<Design | null> {
    const last = designs.value.reduce<Design | null>(
      (newest, one) => (newest && newest.updatedAt >= one.updatedAt ? newest : one),
      null,
    );
    return create(freshTarget(kind, { name: freshName(kind), like: last?.target ?? null, wall: usualWall() }));
  }

  /** A new bent sheet of an outline that was traced, over a bend as wide as it is long. */
  function beginSheet(traced: Pick<SheetForm, 'outline' | 'holes'>): Promise<Design | null> {
    const last = designs.value[0]?.target ?? null;
    const fresh = freshTarget('sheet', { name: freshName('sheet'), like: last, wall: usualWall() });
    if (fresh.form.kind !== 'sheet') return Promise.resolve(null);
    const { minX, minY, maxX, maxY } = bounds(traced.outline);
    const { angle } = fresh.form.bend;
    const bend = { diameter: Math.ceil(Math.max(maxX - minX, maxY - minY) / 10) * 10, angle };
    return create({
      ...fresh,
      form: without({ ...fresh.form, bend, holes: undefined, lines: undefined, ...traced } as SheetForm),
    });
  }

  /** A new loft: the rim as it was traced, the foot the same outline, smaller. */
  function beginPlan(rim: DrawnPlan): Promise<Design | null> {
    const fresh = freshTarget('loft', {
      name: freshName('loft'),
      like: designs.value[0]?.target ?? null,
      wall: usualWall(),
    });
    if (fresh.form.kind !== 'loft') return Promise.resolve(null);
    return create({ ...fresh, form: { ...fresh.form, rim, foot: planShrunk(rim) } });
  }

  /** The stick of the kit that is nearest to the usual slab; a quarter of an inch where inches are used. */
  function usualWall(): number {
    const usual = settings.unit === 'inch' ? MM_PER_INCH / 4 : TARGET_DEFAULTS.slab.wall;
    const own = thicknesses(kit.list.map(({ body }) => body)).map(({ thickness }) => thickness);
    return own.reduce((best, one) => (Math.abs(one - usual) < Math.abs(best - usual) ? one : best), own[0] ?? usual);
  }

  /** `New tumbler`, or `New tumbler 2` when there is one. */
  function freshName(kind: FormKind): string {
    const names = new Set(designs.value.map((design) => design.name));
    const first = `New ${KINDS[kind].words.piece}`;
    let name = first;
    for (let number = 2; names.has(name); number += 1) name = `${first} ${number}`;
    return name;
  }

  /** Puts designs into a named set, or takes them out of theirs. */
  async function putInSet(chosen: readonly Design[], set: string | null): Promise<void> {
    for (const { id, target, revision } of chosen) {
      const next = without({ ...target, set: set ?? undefined } as Target);
      const written = await attempt(() => api.write(id, { target: next, baseRevision: revision }));
      if (!written) return reloadAfterConflict();
      put(written);
    }
  }

  async function rename(design: Design, name: string): Promise<void> {
    const write = { target: { ...design.target, name }, baseRevision: design.revision };
    const renamed = await attempt(() => api.write(design.id, write));
    if (renamed) put(renamed);
    else await reloadAfterConflict();
  }

  /** Reloads a shelf that is out of date, keeping the error message. */
  async function reloadAfterConflict(): Promise<void> {
    const words = trouble.value;
    await load();
    trouble.value ||= words;
  }

  async function duplicate(design: Design): Promise<void> {
    const copy = await attempt(() => api.duplicate(design.id));
    if (copy) add(copy);
  }

  async function takeOff(chosen: readonly Design[]): Promise<void> {
    const gone: Design[] = [];
    await attempt(async () => {
      for (const design of chosen) {
        await api.remove(design.id);
        gone.push(design);
      }
    });
    const ids = new Set(gone.map(({ id }) => id));
    change((now) => now.filter(({ id }) => !ids.has(id)));
    if (gone.length > 0) takenOff.value = gone;
  }

  async function putBack(): Promise<void> {
    const back = takenOff.value;
    takenOff.value = [];
    const done = await attempt(async () => {
      for (const design of back) await api.putBack(design.id);
      return true;
    });
    if (done) await load();
  }

  const verbs = { load, create, begin, beginSheet, beginPlan, rename, putInSet, duplicate, takeOff, putBack };
  return { designs, state, trouble, takenOff, ...verbs };
});
