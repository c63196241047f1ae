import { useDebounceFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref, shallowRef, watch } from 'vue';
import type { ClayRecords, MadeLine } from '../../contract/made.ts';
import type { Measured, PieceState } from '../../core/studio/making/measured.ts';
import { api } from '../api.ts';
import { useConnection } from './connection.ts';

/** Pause after the last keystroke of a search (ms). */
const TYPED = 200;

/** A size to search for, in a state, between two limits (mm, g, ml, min); null is no limit. */
export interface SizeRange {
  readonly what: Measured | null;
  readonly state: PieceState | null;
  readonly least: number | null;
  readonly most: number | null;
}
const ANY_SIZE: SizeRange = { what: null, state: null, least: null, most: null };

/** Search of what was made, and what it shows for each clay. */
export const useMade = defineStore('made', () => {
  const connection = useConnection();
  const clays = shallowRef<readonly ClayRecords[]>([]);
  const lines = shallowRef<readonly MadeLine[]>([]);
  const total = ref(0);
  const find = ref('');
  const range = ref<SizeRange>(ANY_SIZE);
  const state = ref<'loading' | 'ready' | 'failed'>('loading');
  const trouble = ref('');
  /** Offers that were declined, by clay and number of pieces: with more pieces they appear again. */
  const putOff = ref<readonly string[]>([]);
  let asked = 0;

  /** Fetches a page: the first, or the one after what is shown. */
  async function search(more = false): Promise<void> {
    const mine = (asked += 1);
    try {
      const { what, state: measured, least, most } = range.value;
      const found = await api.made({
        find: find.value,
        offset: more ? lines.value.length : 0,
        ...(what && { what }),
        ...(measured && { state: measured }),
        ...(least !== null && { least }),
        ...(most !== null && { most }),
      });
      if (mine !== asked) return;
      lines.value = more ? [...lines.value, ...found.lines] : found.lines;
      total.value = found.total;
      trouble.value = '';
    } catch (error) {
      if (mine === asked) trouble.value = connection.note(error);
    }
  }
  const searchSoon = useDebounceFn(() => search(), TYPED);
  watch([find, range], () => void searchSoon());
  const clearRange = () => void (range.value = ANY_SIZE);

  async function load(): Promise<void> {
    trouble.value = '';
    try {
      const [learning] = await Promise.all([api.learning(), search()]);
      clays.value = learning;
      state.value = 'ready';
    } catch (error) {
      trouble.value = connection.note(error);
      if (state.value === 'loading') state.value = 'failed';
      connection.whenBack(() => void load());
    }
  }

  const offerKey = ({ clay, finding }: ClayRecords) => `${clay} ${finding.pieces} ${finding.shrinkage}`;
  const isPutOff = (one: ClayRecords) => putOff.value.includes(offerKey(one));
  function setPutOff(one: ClayRecords, { off }: { readonly off: boolean }): void {
    const others = putOff.value.filter((key) => key !== offerKey(one));
    putOff.value = off ? [...others, offerKey(one)] : others;
  }

  return { clays, lines, total, find, range, clearRange, state, trouble, load, search, isPutOff, setPutOff };
});
