import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { Design } from '../../contract/api.ts';
import type { Fault } from '../../core/errors.ts';
import { checkTarget } from '../../core/forms/checkTarget.ts';
import { develop } from '../../core/piece/develop.ts';
import { newTarget, type Target } from '../../core/target/target.ts';
import { followInHand } from '../../core/studio/reverse/inHand.ts';
import { api, Refused, Unreachable } from '../api.ts';
import { lastSeen } from '../lastSeen.ts';
import { prepareMould } from '../workers/prepareMould.ts';
import { nextTask } from '../composables/nextTask.ts';
import { afterPaint } from '../composables/afterPaint.ts';
import { useFineBlank } from '../composables/useFineBlank.ts';
import { useBench } from './bench.ts';
import { useConnection } from './connection.ts';
import { dropDraft, heldDraft, holdDraft, type Draft } from './draft.ts';
import { hearTabs, tellTabs } from './otherTabs.ts';
import { sameTarget, targetFingerprint } from './targetFingerprint.ts';
import { undoSteps } from './undoSteps.ts';
import { KEEP_AFTER, keptThing, type Failure, type KeptLinks, type KeptThing } from './keptThing.ts';

/** Pause before a change is sent while a figure is typed or dragged, so that unfinished values make no revisions (ms). */
const KEEP_WHILE_TYPED = 5000;

/** The open design: its working target, undo, and saving. */
export const usePiece = defineStore('piece', () => {
  const connection = useConnection();
  const thing = shallowRef<KeptThing<Design, Target> | null>(null);
  const nothing = newTarget('');
  const design = computed(() => thing.value?.base.value ?? null);
  const target = computed(() => thing.value?.body.value ?? nothing);
  const keeping = computed(() => thing.value?.keeping.value ?? 'kept');
  const theirs = computed(() => thing.value?.theirs.value ?? null);
  const past = computed(() => thing.value?.steps.past.value ?? []);
  const future = computed(() => thing.value?.steps.future.value ?? []);
  const state = ref<'loading' | 'ready' | 'missing' | 'failed'>('loading');
  /** Why it could not be opened, restored or copied. */
  const problem = ref('');
  const trouble = computed(() => thing.value?.trouble.value || problem.value);
  const bench = useBench();
  const laying = useFineBlank(target);
  const developed = computed(() => develop(target.value, bench.bench, laying.blank.value ?? laying.last.value));
  /** The target for the fields and figures beside the table: it follows after the table has been drawn. */
  const beside = afterPaint(
    () => ({ target: target.value, developed: developed.value }),
    () => thing.value,
  );

  /** Number of the newest opening: replies of earlier ones are late. */
  let opening = 0;

  const failure = (error: unknown): Failure<Design> => {
    const newer = error instanceof Refused && error.code === 'conflict' ? error.reply.current : undefined;
    const words = connection.note(error);
    if (newer) return { kind: 'conflict', newer };
    return { kind: error instanceof Unreachable ? 'away' : 'refused', words };
  };
  const links = (): KeptLinks<Design, Target> => ({
    bodyOf: (found) => found.target,
    withBody: (found, body) => ({ ...found, target: body }),
    same: sameTarget,
    fingerprint: targetFingerprint,
    send: async ({ id, revision }, body) => {
      const kept = await api.write(id, { target: body, baseRevision: revision });
      void lastSeen.keepDesigns([kept]);
      return kept;
    },
    failure,
    hold: holdDraft,
    drop: dropDraft,
    whenBack: connection.whenBack,
    tell: (now) => tellTabs({ kind: 'design', now }),
    steps: undoSteps(),
  });

  function show(found: Design): void {
    if (found.id !== design.value?.id) laying.clear();
    thing.value = keptThing(found, links());
    problem.value = '';
  }

  hearTabs((news) => {
    if (news.kind !== 'design' || !('now' in news)) return;
    const now = news.now as Design;
    if (now.id === design.value?.id) thing.value?.hear(now);
  });

  /** A design from the server; while the server is away, as this browser last saw it. */
  async function read(id: string): Promise<Design> {
    try {
      const found = await api.read(id);
      void lastSeen.keepDesigns([found]);
      return found;
    } catch (error) {
      const seen = error instanceof Unreachable ? await lastSeen.design(id) : undefined;
      if (!seen) throw error;
      connection.note(error);
      await prepareMould(seen.target);
      return seen;
    }
  }

  /** Resumes a draft of an earlier page, unless it can no longer be made, or had arrived and only its acknowledgement was lost. */
  function takeUp(found: Design, draft: Draft): void {
    if (checkTarget(draft.target).length > 0 || targetFingerprint(draft.target) === targetFingerprint(found.target))
      return dropDraft(found.id);
    thing.value?.step(draft.target);
    thing.value?.takeUp(draft.target, draft.baseRevision, draft.sent);
  }

  async function open(id: string): Promise<void> {
    opening += 1;
    const mine = opening;
    if (design.value && design.value.id !== id) void thing.value?.keep();
    state.value = 'loading';
    // First send what was open before.
    await nextTask();
    if (mine !== opening) return;
    try {
      const reading = read(id);
      // Before it can be changed here, which would replace what is held of it.
      const drafting = heldDraft(id, async (revision) => {
        const { target: now, revision: newest } = await reading;
        return revision === newest ? now : api.revision(id, revision);
      });
      const [found, draft] = await Promise.all([reading, drafting]);
      if (mine !== opening) return;
      show(found);
      if (draft) takeUp(found, draft);
      // Develop its parts before its page is mounted.
      await nextTask();
      if (mine !== opening) return;
      state.value = 'ready';
    } catch (error) {
      const words = connection.note(error);
      if (mine !== opening) return;
      problem.value = words;
      state.value = error instanceof Refused && error.reply.error !== 'internal' ? 'missing' : 'failed';
      if (error instanceof Unreachable) connection.whenBack(() => mine === opening && void open(id));
    }
  }

  /**
   * Applies a change if the piece can still be made, adjusting what depends on it; otherwise leaves the target and returns the faults.
   * Changes with the same `group` (one field, one drag) are one undo step until {@link endGesture}.
   */
  function change(next: Target, group: string | null = null): readonly Fault[] {
    const followed = followInHand(target.value, next);
    if ('faults' in followed) return followed.faults;
    const faults = checkTarget(followed.target);
    if (faults.length > 0 || sameTarget(followed.target, target.value)) return faults;
    thing.value?.change(followed.target, group, group === null ? KEEP_AFTER : KEEP_WHILE_TYPED);
    return [];
  }

  function endGesture(): void {
    thing.value?.steps.end();
    if (keeping.value === 'changed') thing.value?.sendAfter(KEEP_AFTER);
  }

  function undo(): void {
    const body = thing.value?.steps.back()?.before.body;
    if (body) thing.value?.put(body);
  }

  function redo(): void {
    const body = thing.value?.steps.forth()?.after.body;
    if (body) thing.value?.put(body);
  }

  const keep = async (): Promise<void> => thing.value?.keep();

  /** As the page closes: sends what is not saved without waiting; the draft stays until its arrival is confirmed. */
  function keepLeaving(): void {
    const current = design.value;
    if (!current || keeping.value === 'kept' || keeping.value === 'conflict') return;
    api.writeLeaving(current.id, { target: target.value, baseRevision: current.revision });
  }

  const keepMine = async (): Promise<void> => thing.value?.keepMine();

  /** Resolves a conflict: theirs stays; mine becomes a separate design. Returns the copy, or null when it could not be saved. */
  async function keepTheirs(): Promise<Design | null> {
    const other = theirs.value;
    if (!other) return null;
    try {
      const copy = await api.create({ ...target.value, name: `${target.value.name.slice(0, 100)}, my changes` });
      dropDraft(other.id);
      show(other);
      return copy;
    } catch (error) {
      problem.value = connection.note(error);
      return null;
    }
  }

  async function restore(number: number): Promise<void> {
    await keep();
    const [current, now] = [design.value, thing.value];
    if (!current || !now) return;
    try {
      const restored = await api.restore(current.id, number, current.revision);
      now.step(restored.target);
      now.adopt(restored);
    } catch (error) {
      problem.value = connection.note(error);
      if (error instanceof Refused && error.reply.current) now.meetConflict(error.reply.current);
    }
  }

  const verbs = { open, change, endGesture, undo, redo, keep, keepLeaving, keepMine, keepTheirs, restore };
  return { design, target, past, future, keeping, trouble, state, theirs, developed, beside, laying, ...verbs };
});
