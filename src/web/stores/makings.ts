import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type {
  Entries,
  Making,
  MakingLine,
  MakingStart,
  Measurement,
  Note,
  PieceFault,
} from '../../contract/makings.ts';
import type { Mark, Spot } from '../../core/making/making.ts';
import type { FoundMark } from '../../core/making/waitWindow.ts';
import { api, Refused, Unreachable } from '../api.ts';
import { held } from '../held.ts';
import { heldPhotographs, type HeldPhotograph } from '../heldPhotographs.ts';
import { useConnection } from './connection.ts';
import { countOf, NONE, withEntries, without } from './entries.ts';
import { newId } from './heldRecords.ts';
import { tabId } from './otherTabs.ts';

const readText = <T>(text: string | null): T | null => {
  try {
    return JSON.parse(text ?? 'null') as T | null;
  } catch {
    return null;
  }
};

/** The making in hand: what is pressed is shown at once, held in this browser, and sent when the server answers. */
export const useMakings = defineStore('makings', () => {
  const connection = useConnection();
  const making = shallowRef<Making | null>(null);
  /** Makings of the design that is open, newest first. */
  const lines = shallowRef<readonly MakingLine[]>([]);
  const state = ref<'idle' | 'loading' | 'ready' | 'failed'>('idle');
  const trouble = ref('');
  /** What the server does not have yet. */
  const unsent = shallowRef<Entries>(NONE);
  /** A making that the server has not acknowledged. */
  const unbegun = shallowRef<MakingStart | null>(null);
  /** What hands found of this clay in other makings too. */
  const found = shallowRef<readonly FoundMark[]>([]);
  const lastGone = shallowRef<Making | null>(null);
  /** Photographs that the server does not have yet. */
  const photographTrouble = ref('');
  const unsentPhotographs = shallowRef<readonly HeldPhotograph[]>([]);
  let sending = false;
  /** Which design was opened last, and which making was taken up last: what comes late is not shown. */
  let opening = 0;
  let taking = 0;

  const waiting = computed(() => countOf(unsent.value) + (unbegun.value ? 1 : 0) + unsentPhotographs.value.length);

  const entriesName = (id: string, tab = tabId()) => `making-entries:${id}:${tab}`;

  function keepHere(): void {
    const now = making.value;
    if (!now) return;
    held.write(`making:${now.id}`, JSON.stringify(now));
    if (countOf(unsent.value) > 0) held.write(entriesName(now.id), JSON.stringify(unsent.value));
    else held.forget(entriesName(now.id));
    if (unbegun.value) held.write(`making-begun:${now.id}`, JSON.stringify(unbegun.value));
    else held.forget(`making-begun:${now.id}`);
  }

  /** Sends what is held, in order: the making first, then all that was pressed in it. */
  async function flush(): Promise<void> {
    const now = making.value;
    if (!now || sending || waiting.value === 0) return;
    sending = true;
    // Another making may be opened meanwhile: what is pressed in that one is never sent to this one.
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
        making.value = withEntries(kept, unsent.value);
      }
      await sendPhotographs(now.id);
      trouble.value = '';
    } catch (error) {
      trouble.value = connection.note(error);
      if (error instanceof Unreachable) connection.whenBack(() => void flush());
      if (error instanceof Refused) trouble.value = `Not kept on the server: ${error.message}`;
    }
    sending = false;
    keepHere();
    if (!inHand()) void flush();
  }

  /** Sends photographs one by one; what is no picture is put aside, and said. */
  async function sendPhotographs(id: string): Promise<void> {
    let refused = '';
    const sent = unsentPhotographs.value.filter(({ making: own }) => own === id);
    for (const photograph of sent) {
      try {
        await api.keepPhotograph(photograph);
      } catch (error) {
        if (!(error instanceof Refused) || error.code !== 'bad-photograph') throw error;
        refused = error.message;
      }
      unsentPhotographs.value = unsentPhotographs.value.filter((one) => one.id !== photograph.id);
      await heldPhotographs.drop(photograph.id);
    }
    if (sent.length > 0) {
      const kept = await api.making(id);
      if (making.value?.id === id) making.value = withEntries(kept, unsent.value);
    }
    photographTrouble.value = refused;
  }

  async function photograph(spot: Spot, picture: Blob): Promise<void> {
    if (!making.value) return;
    const one: HeldPhotograph = { ...stamp(), ...spot, making: making.value.id, picture };
    photographTrouble.value = (await heldPhotographs.hold(one)) ? '' : 'This browser cannot hold it: keep the page open until it is sent.'; // prettier-ignore
    unsentPhotographs.value = [...unsentPhotographs.value, one];
    void flush();
  }

  function add(entries: Partial<Entries>): void {
    if (!making.value) return;
    unsent.value = withEntries(unsent.value, { ...NONE, ...entries });
    making.value = withEntries(making.value, unsent.value);
    keepHere();
    void flush();
  }

  async function takeUp(id: string): Promise<void> {
    const mine = (taking += 1);
    const pictures = await heldPhotographs.of(id);
    const begun = readText<MakingStart>(await held.read(`making-begun:${id}`));
    // What another tab, or this one before it was closed, has left.
    const names = await held.names(`making-entries:${id}:`);
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
    unsentPhotographs.value = pictures;
    unbegun.value = begun;
    making.value = now;
    keepHere();
    for (const name of names) if (name !== entriesName(id)) held.forget(name);
    void flush();
    void learn();
  }

  async function learn(): Promise<void> {
    const clay = making.value?.clay ?? null;
    found.value = [];
    if (clay === null) return;
    try {
      found.value = await api.found(clay);
    } catch (error) {
      connection.note(error);
    }
  }

  /** Opens a making of a design: the one that is asked for, or the newest in work, if there is one; with the server away, what this browser holds of it. */
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
    // The reply for a design that was left meanwhile comes too late.
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
    unsentPhotographs.value = [];
    unbegun.value = start;
    keepHere();
    for (const design of new Set(pieces.map(({ designId }) => designId))) {
      const known = readText<MakingLine[]>(await held.read(`makings-of:${design}`)) ?? [];
      held.write(`makings-of:${design}`, JSON.stringify([line, ...known]));
    }
    await flush();
    void learn();
  }

  const stamp = () => ({ id: newId(), at: new Date().toISOString() });
  const press = (mark: Omit<Mark, 'id' | 'at'>) => add({ marks: [{ ...stamp(), ...mark }] });
  const pressMany = (marks: readonly Omit<Mark, 'id' | 'at'>[]) =>
    add({ marks: marks.map((mark) => ({ ...stamp(), ...mark })) });
  const measure = (one: Omit<Measurement, 'id' | 'at'>) => add({ measurements: [{ ...stamp(), ...one }] });
  const fault = (one: Omit<PieceFault, 'id' | 'at'>) => add({ faults: [{ ...stamp(), ...one }] });
  const note = (one: Omit<Note, 'id' | 'at'>) => add({ notes: [{ ...stamp(), ...one }] });

  /** Writes some of the making's head anew; says whether it was kept. */
  async function change(part: Partial<Pick<Making, 'name' | 'dueAt' | 'air' | 'endedAt'>>): Promise<boolean> {
    const now = making.value;
    if (!now) return false;
    try {
      await flush();
      const { name, clay, startedAt, dueAt, schools, air, endedAt } = now;
      const kept = await api.changeMaking(now.id, { name, clay, startedAt, dueAt, schools, air, endedAt, ...part });
      lines.value = lines.value.map((line) => (line.id === now.id ? { ...line, name: kept.name, dueAt: kept.dueAt, endedAt: kept.endedAt } : line)); // prettier-ignore
      if (making.value?.id === now.id) making.value = withEntries(kept, unsent.value);
      trouble.value = '';
      keepHere();
      return true;
    } catch (error) {
      trouble.value = connection.note(error);
      return false;
    }
  }

  /** Writes the end of a making, and lets it go; or takes it up again. */
  async function end(endedAt: string | null): Promise<void> {
    if ((await change({ endedAt })) && endedAt !== null) making.value = null;
  }

  /** Lays the making aside, to begin another of the same design. */
  function leave(): void {
    taking += 1;
    making.value = null;
  }

  /** Opens a making that was put away. */
  async function look(id: string): Promise<void> {
    try {
      await takeUp(id);
    } catch {
      // What is wrong is told already.
    }
  }

  /** Takes the making away; {@link putBack} undoes it. */
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

  return { making, lines, state, trouble, waiting, found, lastGone, unsentPhotographs, photographTrouble, photograph, open, begin, press, pressMany, measure, fault, note, change, end, leave, look, remove, putBack }; // prettier-ignore
});
