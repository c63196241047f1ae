import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { Design } from '../../contract/api.ts';
import type { Fault } from '../../core/errors.ts';
import { checkTarget } from '../../core/piece/checkTarget.ts';
import { develop } from '../../core/piece/develop.ts';
import { newTarget, type Target } from '../../core/piece/target.ts';
import { api, Refused, Unreachable } from '../api.ts';
import { afterPaint } from '../composables/afterPaint.ts';
import { useFineBlank } from '../composables/useFineBlank.ts';
import { useBench } from './bench.ts';
import { useConnection } from './connection.ts';
import { dropDraft, heldDraft, holdDraft } from './draft.ts';

/** Pause after the last change before it is sent (ms). */
const KEEP_AFTER = 500;

/** ... and while a figure is typed or dragged: its beginnings are no revisions. */
const KEEP_WHILE_TYPED = 5000;

/** Whether two targets say the same. The lists of an imported mesh are never changed: they are the same or others. */
function sameTarget(one: Target, other: Target): boolean {
  const lists = ({ form }: Target) => (form.kind === 'mesh' ? form.vertices : null);
  return lists(one) === lists(other) && withoutLists(one) === withoutLists(other);
}

/** A target as text, the lists of an imported mesh left out. */
function withoutLists({ form, ...rest }: Target): string {
  return JSON.stringify([rest, form.kind === 'mesh' ? { ...form, vertices: undefined, triangles: undefined } : form]);
}

/** Whether two targets say the same, though they came on different ways. */
function equalTargets(one: Target, other: Target): boolean {
  const lists = ({ form }: Target) => (form.kind === 'mesh' ? JSON.stringify([form.vertices, form.triangles]) : '');
  return withoutLists(one) === withoutLists(other) && lists(one) === lists(other);
}

/** Where the newest change is. */
export type Keeping = 'kept' | 'changed' | 'keeping' | 'held' | 'conflict' | 'refused';

/** One design while it is worked on: the working target, undo, autosave, conflict. */
export const usePiece = defineStore('piece', () => {
  const connection = useConnection();
  const design = shallowRef<Design | null>(null);
  const target = shallowRef<Target>(newTarget(''));
  const past = shallowRef<readonly Target[]>([]);
  const future = shallowRef<readonly Target[]>([]);
  const keeping = ref<Keeping>('kept');
  const trouble = ref('');
  const state = ref<'loading' | 'ready' | 'missing' | 'failed'>('loading');
  /** The design as someone else left it, while both sides wait for a decision. */
  const theirs = shallowRef<Design | null>(null);
  const bench = useBench();
  const laying = useFineBlank(target);
  const developed = computed(() => develop(target.value, bench.bench, laying.blank.value ?? laying.last.value));
  /** What the fields and figures beside the table show: a key or a drag is answered on the table first. */
  const beside = afterPaint(() => ({ target: target.value, developed: developed.value }));

  let gesture: string | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let sending: Promise<void> | null = null;

  function show(found: Design): void {
    if (found.id !== design.value?.id) laying.clear();
    design.value = found;
    target.value = found.target;
    past.value = [];
    future.value = [];
    theirs.value = null;
    keeping.value = 'kept';
    trouble.value = '';
    gesture = null;
  }

  async function open(id: string): Promise<void> {
    state.value = 'loading';
    try {
      const found = await api.read(id);
      show(found);
      state.value = 'ready';
      const draft = await heldDraft(id, async (revision) => (revision === found.revision ? found.target : api.revision(id, revision))); // prettier-ignore
      if (!draft || design.value?.id !== id) return;
      if (checkTarget(draft.target).length > 0) return dropDraft(id);
      // It had arrived, only its acknowledgement was never seen.
      if (equalTargets(draft.target, found.target)) return dropDraft(id);
      past.value = [found.target];
      target.value = draft.target;
      if (draft.baseRevision === found.revision) void keep();
      else meetConflict(found);
    } catch (error) {
      trouble.value = connection.note(error);
      state.value = error instanceof Refused && error.reply.error !== 'internal' ? 'missing' : 'failed';
      if (error instanceof Unreachable) connection.whenBack(() => void open(id));
    }
  }

  function setTarget(next: Target): void {
    target.value = next;
    const current = design.value;
    if (!current) return;
    holdDraft(current, next);
    if (keeping.value === 'conflict') return;
    keeping.value = 'changed';
    keepAfter(gesture === null ? KEEP_AFTER : KEEP_WHILE_TYPED);
  }

  /**
   * Takes a change when the piece can still be made; otherwise leaves the target and returns the faults.
   * Changes with the same `group` (one field, one drag) are one step of undo until {@link endGesture}.
   */
  function change(next: Target, group: string | null = null): readonly Fault[] {
    const faults = checkTarget(next);
    if (faults.length > 0 || sameTarget(next, target.value)) return faults;
    if (group === null || group !== gesture) past.value = [...past.value, target.value];
    gesture = group;
    future.value = [];
    setTarget(next);
    return [];
  }

  function endGesture(): void {
    gesture = null;
    if (keeping.value === 'changed') keepAfter(KEEP_AFTER);
  }

  function keepAfter(pause: number): void {
    clearTimeout(timer);
    timer = setTimeout(() => void keep(), pause);
  }

  function undo(): void {
    const last = past.value.at(-1);
    if (!last) return;
    past.value = past.value.slice(0, -1);
    future.value = [...future.value, target.value];
    endGesture();
    setTarget(last);
  }

  function redo(): void {
    const next = future.value.at(-1);
    if (!next) return;
    future.value = future.value.slice(0, -1);
    past.value = [...past.value, target.value];
    endGesture();
    setTarget(next);
  }

  function meetConflict(current: Design): void {
    theirs.value = current;
    keeping.value = 'conflict';
  }

  /** The server has what was sent. */
  function acknowledge(kept: Design, sent: Target): void {
    if (design.value?.id !== kept.id) return;
    design.value = kept;
    if (target.value === sent) {
      keeping.value = 'kept';
      trouble.value = '';
      dropDraft(kept.id);
    } else {
      holdDraft(kept, target.value);
      keeping.value = 'changed';
    }
  }

  async function sendOnce(current: Design): Promise<void> {
    const sent = target.value;
    keeping.value = 'keeping';
    try {
      const kept = await api.write(current.id, { target: sent, baseRevision: current.revision });
      acknowledge(kept, sent);
    } catch (error) {
      const newer = error instanceof Refused && error.code === 'conflict' ? error.reply.current : undefined;
      // An earlier sending of the same had arrived, only its answer was never seen.
      if (newer && equalTargets(newer.target, sent)) return acknowledge({ ...newer, target: sent }, sent);
      trouble.value = connection.note(error);
      if (newer) meetConflict(newer);
      else if (error instanceof Unreachable) {
        keeping.value = 'held';
        connection.whenBack(() => void keep());
      } else {
        keeping.value = 'refused';
      }
    }
  }

  /** Sends what is not kept yet; resolves when the server has answered. One write at a time. */
  async function keep(): Promise<void> {
    clearTimeout(timer);
    if (sending) {
      await sending;
      return keep();
    }
    const current = design.value;
    if (!current || keeping.value === 'conflict') return;
    if (sameTarget(target.value, current.target)) {
      keeping.value = 'kept';
      return dropDraft(current.id);
    }
    sending = sendOnce(current);
    await sending;
    sending = null;
    if (keeping.value === 'changed') await keep();
  }

  /** The page goes away: what is not kept is sent without waiting; the draft stays until it was seen to arrive. */
  function keepLeaving(): void {
    const current = design.value;
    if (!current || keeping.value === 'kept' || keeping.value === 'conflict') return;
    api.writeLeaving(current.id, { target: target.value, baseRevision: current.revision });
  }

  /** Mine goes on top as a new revision; theirs stays in the history. */
  async function keepMine(): Promise<void> {
    if (!theirs.value) return;
    design.value = theirs.value;
    theirs.value = null;
    keeping.value = 'changed';
    await keep();
  }

  /** Theirs stays; mine becomes a design of its own. Returns the copy, or null when it could not be kept. */
  async function keepTheirs(): Promise<Design | null> {
    const other = theirs.value;
    if (!other) return null;
    try {
      const copy = await api.create({ ...target.value, name: `${target.value.name.slice(0, 100)}, my changes` });
      dropDraft(other.id);
      show(other);
      return copy;
    } catch (error) {
      trouble.value = connection.note(error);
      return null;
    }
  }

  async function restore(number: number): Promise<void> {
    await keep();
    const current = design.value;
    if (!current) return;
    try {
      const before = target.value;
      const restored = await api.restore(current.id, number, current.revision);
      design.value = restored;
      target.value = restored.target;
      past.value = [...past.value, before];
      future.value = [];
      keeping.value = 'kept';
    } catch (error) {
      trouble.value = connection.note(error);
      if (error instanceof Refused && error.reply.current) meetConflict(error.reply.current);
    }
  }

  const verbs = { open, change, endGesture, undo, redo, keep, keepLeaving, keepMine, keepTheirs, restore };
  return { design, target, past, future, keeping, trouble, state, theirs, developed, beside, laying, ...verbs };
});
