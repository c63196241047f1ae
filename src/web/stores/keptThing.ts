import { ref, shallowRef } from 'vue';
import type { UndoSteps } from './undoSteps.ts';

/** Where the newest change is stored. */
export type Keeping = 'kept' | 'changed' | 'keeping' | 'held' | 'conflict' | 'refused';

/** Identity of a record: its name and the number of its newest revision, 0 while the server has none. */
export interface KeptState {
  readonly id: string;
  readonly revision: number;
}

/** A record's name and body, null where it does not exist: one side of an undo step. */
export interface Named<B> {
  readonly id: string;
  readonly body: B | null;
}

/** The outcome of a failed request. */
export type Failure<S> =
  | { readonly kind: 'conflict'; readonly newer: S }
  | { readonly kind: 'away'; readonly words: string }
  | { readonly kind: 'refused'; readonly words: string };

/** How records of a kind are sent, held in the browser and compared. */
export interface KeptLinks<S extends KeptState, B> {
  readonly bodyOf: (state: S) => B;
  readonly withBody: (state: S, body: B) => S;
  /** Whether two bodies are identical: a cheap test, run at every keystroke. */
  readonly same: (one: B, other: B) => boolean;
  /** A short text that is equal for bodies with the same content, though one came from the server and one from here. */
  readonly fingerprint: (body: B) => string;
  /** Sends a body as the revision after a state; returns what the server has now. */
  readonly send: (base: S, body: B) => Promise<S>;
  readonly failure: (error: unknown) => Failure<S>;
  /** Holds a change in this browser until the server has it, with the fingerprints of what was sent before it without an answer. */
  readonly hold: (base: S, body: B, sent: readonly string[]) => void;
  readonly drop: (id: string) => void;
  /** Registers a callback for when the server answers again. */
  readonly whenBack: (run: () => void) => void;
  /** Tells the browser's other tabs what the server has now. */
  readonly tell: (state: S) => void;
  /** Undo and redo: the record's own, or those of its book. */
  readonly steps: UndoSteps<Named<B>>;
}

/** Pause after the last change before it is sent (ms). */
export const KEEP_AFTER = 500;

/** How many sent bodies without an answer are remembered, so that the page knows its own again. */
const UNANSWERED = 8;

/**
 * One record that is saved automatically: its body while it is edited, held in the browser until the server has it, sent after
 * a pause, sent again when the server is back, with undo, and both states kept when somebody else changed it meanwhile.
 * Late replies concern this record only, whatever is open by then.
 */
export function keptThing<S extends KeptState, B>(first: S, links: KeptLinks<S, B>) {
  /** The state that the body was edited from. */
  const base = shallowRef<S>(first);
  const body = shallowRef<B>(links.bodyOf(first));
  const keeping = ref<Keeping>('kept');
  const trouble = ref('');
  /** The record as somebody else saved it, until the conflict is resolved. */
  const theirs = shallowRef<S | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let sending: Promise<void> | null = null;
  /** Fingerprints of bodies that were sent from the base and never answered: one of them may be the server's newest revision. */
  let unanswered: readonly string[] = [];
  const fingerprintOf = (state: S) => links.fingerprint(links.bodyOf(state));

  function sendAfter(pause: number): void {
    clearTimeout(timer);
    timer = setTimeout(() => void keep(), pause);
  }

  const { id } = first;

  function step(next: B, group: string | null = null): void {
    links.steps.push({ id, body: body.value }, { id, body: next }, group === null ? null : `${id} ${group}`);
  }

  /** Applies a changed body as an undo step, to be sent after a pause (ms). */
  function change(next: B, group: string | null = null, pause = KEEP_AFTER): void {
    step(next, group);
    put(next, pause);
  }

  /** Applies a body without a new step: undo or redo. */
  function put(next: B, pause = KEEP_AFTER): void {
    body.value = next;
    links.hold(base.value, next, unanswered);
    if (keeping.value === 'conflict') return;
    keeping.value = 'changed';
    sendAfter(pause);
  }

  function meetConflict(newer: S): void {
    theirs.value = newer;
    keeping.value = 'conflict';
  }

  /** Makes a state the base of the body; nothing has been sent from it yet. */
  function stepOnTo(state: S): void {
    base.value = state;
    unanswered = [];
  }

  function acknowledge(kept: S, sent: B): void {
    stepOnTo(kept);
    links.tell(kept);
    if (links.same(body.value, sent)) {
      keeping.value = 'kept';
      trouble.value = '';
      links.drop(kept.id);
    } else {
      goOn();
    }
  }

  /** Holds what was changed since the base; it is still to be sent. */
  function goOn(): void {
    links.hold(base.value, body.value, unanswered);
    keeping.value = 'changed';
  }

  async function sendOnce(): Promise<void> {
    const sent = body.value;
    const fingerprint = links.fingerprint(sent);
    const before = unanswered;
    unanswered = [...before.filter((one) => one !== fingerprint), fingerprint].slice(-UNANSWERED);
    keeping.value = 'keeping';
    try {
      acknowledge(await links.send(base.value, sent), sent);
    } catch (error) {
      const failure = links.failure(error);
      if (failure.kind === 'conflict') {
        const newest = fingerprintOf(failure.newer);
        // An earlier request had arrived; only its reply was lost.
        if (newest === fingerprint) acknowledge(links.withBody(failure.newer, sent), sent);
        else if (before.includes(newest)) {
          stepOnTo(failure.newer);
          goOn();
        } else meetConflict(failure.newer);
        return;
      }
      trouble.value = failure.words;
      keeping.value = failure.kind === 'away' ? 'held' : 'refused';
      if (failure.kind === 'away') links.whenBack(() => void keep());
    }
  }

  /** Sends what is not saved yet; resolves when the server has answered. One write at a time. */
  async function keep(): Promise<void> {
    clearTimeout(timer);
    if (sending) {
      await sending;
      return keep();
    }
    if (keeping.value === 'conflict') return;
    if (base.value.revision > 0 && links.same(body.value, links.bodyOf(base.value))) {
      keeping.value = 'kept';
      return links.drop(base.value.id);
    }
    sending = sendOnce();
    await sending;
    sending = null;
    if (keeping.value === 'changed') await keep();
  }

  /**
   * Resumes a change held by an earlier page: sends it, or reports a conflict with a newer state.
   *
   * @param sent fingerprints of what that page had sent without an answer
   */
  function takeUp(held: B, baseRevision: number, sent: readonly string[] = []): void {
    body.value = held;
    if (baseRevision === base.value.revision) unanswered = sent;
    else if (!sent.includes(fingerprintOf(base.value))) return meetConflict(base.value);
    void keep();
  }

  /** Resolves a conflict: mine becomes the newest revision; theirs stays in the history. */
  async function keepMine(): Promise<void> {
    if (!theirs.value) return;
    stepOnTo(theirs.value);
    theirs.value = null;
    goOn();
    await keep();
  }

  /** Applies a state as the server has it now. */
  function adopt(state: S): void {
    clearTimeout(timer);
    stepOnTo(state);
    body.value = links.bodyOf(state);
    theirs.value = null;
    keeping.value = 'kept';
    trouble.value = '';
    links.drop(state.id);
  }

  /** A state reported by another tab: shown when nothing is changed here; otherwise the conflict arises on sending. */
  function hear(state: S): void {
    if (state.revision <= base.value.revision) return;
    if (keeping.value === 'conflict') theirs.value = state;
    if (keeping.value !== 'kept') return;
    const next = links.bodyOf(state);
    if (fingerprintOf(state) !== links.fingerprint(body.value)) step(next);
    stepOnTo(state);
    body.value = next;
  }

  const { steps } = links;
  const verbs = { change, put, step, sendAfter, keep, takeUp, meetConflict, keepMine, adopt, hear };
  return { base, body, keeping, trouble, theirs, steps, ...verbs };
}

/** The return type of keptThing. */
export type KeptThing<S extends KeptState, B> = ReturnType<typeof keptThing<S, B>>;
