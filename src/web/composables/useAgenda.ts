import { useIntervalFn, useNow } from '@vueuse/core';
import { computed, onMounted, ref, shallowRef } from 'vue';
import type { MakingNow } from '../../contract/makings.ts';
import { agendaOf, type InWork } from '../../core/studio/making/agenda.ts';
import { factorFor, withAir, type FoundMark } from '../../core/studio/making/waitWindow.ts';
import { api } from '../api.ts';
import { held } from '../held.ts';
import { useConnection } from '../stores/connection.ts';

const HELD = 'makings-now';
const BEAT = 15_000;
const FETCH = 60_000;

/** Everything in work from now on, fetched every minute; while the server is away, as it was last seen. */
export function useAgenda() {
  const connection = useConnection();
  const now = useNow({ interval: BEAT });
  const makings = shallowRef<readonly MakingNow[]>([]);
  /** What was noted by hand for each clay, in finished makings too. */
  const found = shallowRef<Readonly<Record<string, readonly FoundMark[]>>>({});
  const state = ref<'loading' | 'ready' | 'failed'>('loading');
  const trouble = ref('');

  async function load(): Promise<void> {
    try {
      makings.value = await api.makingsNow();
      held.write(HELD, JSON.stringify(makings.value));
      const clays = [...new Set(makings.value.flatMap(({ clay }) => clay ?? []))];
      found.value = Object.fromEntries(
        await Promise.all(clays.map(async (clay) => [clay, await api.found(clay)] as const)),
      );
      trouble.value = '';
      state.value = 'ready';
    } catch (error) {
      trouble.value = connection.note(error);
      const here = await held.read(HELD);
      if (here && state.value === 'loading') makings.value = JSON.parse(here) as MakingNow[];
      state.value = here || makings.value.length > 0 ? 'ready' : 'failed';
    }
  }
  onMounted(() => void load());
  useIntervalFn(() => void load(), FETCH);

  const works = computed<readonly InWork[]>(() =>
    makings.value.flatMap(({ id, air, marks, pieces }) =>
      pieces.map(({ name, count, steps }, piece) => ({ making: id, piece, name, count, steps, marks, air })),
    ),
  );
  /** What was noted about a clay counts for all of its makings. A clay that is not in the book counts for its own making only. */
  const marksOfClay = computed(() => {
    const clays = new Map<string, ReadonlyMap<string, FoundMark>>();
    for (const { clay, id, marks, air } of makings.value) {
      const name = clay ?? id;
      const known = clays.get(name) ?? new Map((found.value[name] ?? []).map((mark) => [mark.id, mark]));
      clays.set(name, new Map([...known, ...withAir(marks, air).map((mark) => [mark.id, mark] as const)]));
    }
    return clays;
  });
  const clayOf = (making: string) => makings.value.find(({ id }) => id === making)?.clay ?? making;
  const lines = computed(() =>
    agendaOf(works.value, now.value.getTime(), ({ making }, { part }) =>
      factorFor(part.cover, [...(marksOfClay.value.get(clayOf(making))?.values() ?? [])]),
    ),
  );

  return { now, makings, lines, state, trouble, load };
}
