import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { Entries, Making, MakingLine, MakingStart } from '../../contract/makings.ts';
import type { Spot } from '../../core/studio/making/making.ts';
import { api, Refused, Unreachable } from '../api.ts';
import { held } from '../held.ts';
import { heldPhotographs } from '../heldPhotographs.ts';
import { useConnection } from './connection.ts';
import { countOf, NONE, withEntries, without } from './entries.ts';
import { entryVerbs, stamp } from './entryVerbs.ts';
import { foundMarks } from './foundMarks.ts';
import { headOf, heldName, readText, sendHeldMakings, type HeadChange } from './heldMakings.ts';
import { makingPhotographs } from './makingPhotographs.ts';
import { tabId } from './otherTabs.ts';

/** The open making: entries are shown at once, held in this browser, and sent when the server answers. */
export const useMakings = defineStore('makings', () => {
  const connection = useConnection();
  const making = shallowRef<Making | null>(null);
  /** Makings of the open design, newest first. */
  const lines = shallowRef<readonly MakingLine[]>([]);
  const state = ref<'idle' | 'loading' | 'ready' | 'failed'>('idle');
  const trouble = ref('');
  /** Entries that the server does not have yet. */
  const unsent = shallowRef<Entries>(NONE);
  /** A new making that the server has not acknowledged. */
  const unbegun = shallowRef<MakingStart | null>(null);
  /** Changes of its head that the server does not have yet. */
  const unsentHead = shallowRef<HeadChange | null>(null);
  const { found, learn } = foundMarks(connection.note);
  const lastGone = shallowRef<Making | null>(null);
  const photographs = makingPhotographs();
  let sending = false;
  /** The design opened last and the making opened last: late replies for others are not shown. */
  let opening = 0;
  let taking = 0;

  const waiting = computed(
    () =>
      countOf(unsent.value) + (unbegun.value ? 1 : 0) + (unsentHead.value ? 1 : 0) + photographs.unsent.value.length,
  );

  /** A making from the server, merged with what the server does not have yet. */
  const withUnsent = (kept: Making): Making => ({ ...withEntries(kept, unsent.value), ...unsentHead.value });

  const entriesName = (id: string) => heldName.entries(id, tabId());

  function keepHere(): void {
    const now = making.value;
    if (!now) return;
    held.write(`making:${now.id}`, JSON.stringify(now));
    const keep = (name: string, what: object | null) =>
      what ? held.write(name, JSON.stringify(what)) : held.forget(name);
    keep(entriesName(now.id), countOf(unsent.value) > 0 ? unsent.value : null);
    keep(heldName.begun(now.id), unbegun.value);
    keep(heldName.head(now.id), unsentHead.value);
  }

  /** Sends what is held, in order: the making first, then its entries. */
  async function flush(): Promise<void> {
    const now = making.value;
    if (!now || sending || waiting.value === 0) return;
    sending = true;
    let failed = false;
    // Another making may be opened meanwhile: its entries are never sent to this one.
    const inHand = () => making.value?.id === now.id;
    try {
      if (unbegun.value) {
        await api.beginMaking(unbegun.value);
        if (inHand()) unbegun.value = null;
      }
      while (inHand() && countOf(unsent.value) > 0) {
        const sent = unsent.value;
        const kept = await api.keepEntries(now.id, sent);
        if (!inHand()) break;
        unsent.value = without(unsent.value, sent);
        making.value = withUnsent(kept);
      }
      if ((await photographs.send(now.id)) && inHand()) {
        const kept = await api.making(now.id);
        if (inHand()) making.value = withUnsent(kept);
      }
      if (inHand()) await sendHead();
      trouble.value = '';
    } catch (error) {
      failed = true;
      trouble.value = connection.note(error);
      if (error instanceof Unreachable) connection.whenBack(() => void flush());
      if (error instanceof Refused) trouble.value = `Not kept on the server: ${error.message}`;
    }
    sending = false;
    if (inHand()) keepHere();
    // Entries made meanwhile go next.
    if (!inHand() || !failed) void flush();
  }

  /** Sends changes of the head; if the server refuses, the head is again as the server has it. */
  async function sendHead(): Promise<void> {
    const [now, sent] = [making.value, unsentHead.value];
    if (!now || !sent) return;
    const done = (kept: Making) => {
      if (making.value?.id !== now.id || unsentHead.value !== sent) return;
      unsentHead.value = null;
      making.value = withUnsent(kept);
      putLine(kept);
    };
    try {
      done(await api.changeMaking(now.id, { ...headOf(now), ...sent }));
    } catch (error) {
      if (error instanceof Refused) done(await api.making(now.id));
      throw error;
    }
  }

  /** Sends what is held of other makings: begun, changed or finished while the server was away. */
  async function sendHeld(): Promise<void> {
    await sendHeldMakings(making.value?.id, (error) => {
      connection.note(error);
      if (error instanceof Unreachable) connection.whenBack(() => void sendHeld());
    });
  }

  const putLine = ({ id, name, dueAt, endedAt }: Making): void => {
    lines.value = lines.value.map((line) => (line.id === id ? { ...line, name, dueAt, endedAt } : line));
  };

  async function photograph(spot: Spot, picture: Blob): Promise<void> {
    if (!making.value) return;
    await photographs.hold({ ...stamp(), ...spot, making: making.value.id, picture });
    void flush();
  }

  function add(entries: Partial<Entries>): void {
    if (!making.value) return;
    unsent.value = withEntries(unsent.value, { ...NONE, ...entries });
    making.value = withUnsent(making.value);
    keepHere();
    void flush();
  }

  async function takeUp(id: string): Promise<void> {
    const mine = (taking += 1);
    const pictures = await heldPhotographs.of(id);
    const begun = readText<MakingStart>(await held.read(heldName.begun(id)));
    const head = readText<HeadChange>(await held.read(heldName.head(id)));
    // Left by another tab, or by this one before it was closed.
    const names = await held.names(heldName.entries(id, ''));
    let own = NONE;
    for (const name of names) own = withEntries(own, readText<Entries>(await held.read(name)) ?? NONE);
    let now: Making;
    try {
      now = withEntries(await api.making(id), own);
    } catch (error) {
      const words = connection.note(error);
      const here = readText<Making>(await held.read(`making:${id}`));
      if (mine === taking) trouble.value = words;
      if (!here || (error instanceof Refused && !begun)) throw error;
      now = withEntries(here, own);
      if (error instanceof Unreachable) connection.whenBack(() => void flush());
    }
    if (mine !== taking) return;
    unsent.value = own;
    photographs.unsent.value = pictures;
    unbegun.value = begun;
    unsentHead.value = head;
    making.value = { ...now, ...head };
    keepHere();
    for (const name of names) if (name !== entriesName(id)) held.forget(name);
    void flush();
    void learn(making.value?.clay ?? null);
  }

  /** Opens a making of a design: the requested one, or the newest in work, if there is one; while the server is away, what this browser holds of it. */
  async function open(design: string, wanted?: string): Promise<void> {
    const mine = (opening += 1);
    taking += 1;
    state.value = 'loading';
    trouble.value = '';
    making.value = null;
    let those: readonly MakingLine[];
    try {
      those = await api.makingsOf(design);
      held.write(`makings-of:${design}`, JSON.stringify(those));
    } catch (error) {
      trouble.value = connection.note(error);
      those = readText<MakingLine[]>(await held.read(`makings-of:${design}`)) ?? [];
    }
    // A late reply, for a design that was left meanwhile.
    if (mine !== opening) return;
    lines.value = those;
    const inWork = lines.value.find(({ id }) => id === wanted) ?? lines.value.find(({ endedAt }) => endedAt === null);
    try {
      if (inWork) await takeUp(inWork.id);
      if (mine === opening) state.value = 'ready';
    } catch {
      if (mine === opening) state.value = 'failed';
    }
  }

  async function begin(start: MakingStart): Promise<void> {
    taking += 1;
    making.value = { ...start, ...NONE, photographs: [], endedAt: null, updatedAt: start.startedAt };
    const { id, name, clay, startedAt, dueAt, pieces } = start;
    const line: MakingLine = { id, name, clay, startedAt, dueAt, endedAt: null, pieces };
    lines.value = [line, ...lines.value];
    unsent.value = NONE;
    photographs.unsent.value = [];
    unbegun.value = start;
    unsentHead.value = null;
    keepHere();
    const sent = flush();
    for (const design of new Set(pieces.map(({ designId }) => designId))) {
      const known = readText<MakingLine[]>(await held.read(`makings-of:${design}`)) ?? [];
      held.write(`makings-of:${design}`, JSON.stringify([line, ...known]));
    }
    await sent;
    void learn(making.value?.clay ?? null);
  }

  /** Changes the making's head: here at once, on the server when it answers. False when the server refused it. */
  async function change(part: HeadChange): Promise<boolean> {
    const now = making.value;
    if (!now) return false;
    unsentHead.value = { ...unsentHead.value, ...part };
    making.value = { ...now, ...part };
    putLine(making.value);
    keepHere();
    await flush();
    return unsentHead.value !== null || trouble.value === '';
  }

  /** Finishes a making and closes it; or reopens it. */
  async function end(endedAt: string | null): Promise<void> {
    if (!(await change({ endedAt })) || endedAt === null) return;
    making.value = null;
    if (unsentHead.value) connection.whenBack(() => void sendHeld());
  }

  /** Closes the making, so that another of the same design can be begun. */
  function leave(): void {
    taking += 1;
    making.value = null;
  }

  /** Opens a finished making; an error is shown in `trouble`. */
  const look = (id: string): Promise<void> => takeUp(id).catch(() => undefined);

  /** Deletes the making; {@link putBack} undoes it. */
  async function remove(): Promise<void> {
    const now = making.value;
    if (!now) return;
    try {
      await flush();
      await api.removeMaking(now.id);
      lastGone.value = now;
      lines.value = lines.value.filter(({ id }) => id !== now.id);
      making.value = null;
    } catch (error) {
      trouble.value = connection.note(error);
    }
  }

  async function putBack(): Promise<void> {
    const gone = lastGone.value;
    if (!gone) return;
    try {
      making.value = await api.putBackMaking(gone.id);
      lines.value = [making.value, ...lines.value];
      lastGone.value = null;
    } catch (error) {
      trouble.value = connection.note(error);
    }
  }

  return {
    making,
    lines,
    state,
    trouble,
    waiting,
    found,
    lastGone,
    unsentPhotographs: photographs.unsent,
    photographTrouble: photographs.trouble,
    photograph,
    open,
    begin,
    ...entryVerbs(add),
    change,
    end,
    leave,
    look,
    remove,
    putBack,
    sendHeld,
  };
});
