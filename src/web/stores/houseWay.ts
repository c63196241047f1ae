import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import type { Air } from '../../core/studio/drying/air.ts';
import { HOUSE_WAY_ID, houseWayOf, ownWorkOf, type HouseWay } from '../../core/studio/making/houseWay.ts';
import type { OwnWork } from '../../core/studio/making/ownWork.ts';
import type { FormKind } from '../../core/target/target.ts';
import type { Schools } from '../../core/studio/making/workStep.ts';
import { memory } from '../memory.ts';
import { useWays } from './records.ts';

const KEY = 'fawn-house-way';

/** The house way as it was last seen in this browser. */
function lastWay(): HouseWay {
  try {
    return houseWayOf(JSON.parse(memory.read(KEY) ?? '{}') as Partial<HouseWay>);
  } catch {
    // It cannot be read: use the defaults.
    return houseWayOf();
  }
}

type Chosen = Partial<Pick<HouseWay, 'schools' | 'air' | 'own'>>;

/** How this potter works where schools differ, and the air of her shed. One record, so that every tablet works alike; the last choice wins. */
export const useHouseWay = defineStore('houseWay', () => {
  const ways = useWays();
  const here = ref<HouseWay>(lastWay());
  /** Choices made before the record was loaded, including those this browser had before there was a record. */
  let before: Chosen | null = memory.read(KEY) === null ? null : {};
  const kept = computed(() => ways.list.find(({ id }) => id === HOUSE_WAY_ID)?.body);
  const way = computed(() => (kept.value ? houseWayOf(kept.value) : here.value));

  function put(chosen: Chosen): void {
    const next = { ...way.value, ...chosen };
    here.value = next;
    memory.write(KEY, JSON.stringify(next));
    if (kept.value) ways.follow(HOUSE_WAY_ID, next);
    else if (ways.state === 'ready') void ways.create(next, HOUSE_WAY_ID);
    else before = { ...before, ...chosen };
  }
  const school = (part: Partial<Schools>) => put({ schools: { ...way.value.schools, ...part } });
  const ownOf = (kind: FormKind): OwnWork => ownWorkOf(way.value, kind);
  const putOwn = (kind: FormKind, work: OwnWork) => put({ own: { ...way.value.own, [kind]: work } });

  watch(
    () => ways.state,
    (state) => {
      if (state !== 'ready' || !before) return;
      const chosen = before;
      before = null;
      if (!kept.value || Object.keys(chosen).length > 0) put(chosen);
    },
    { flush: 'sync', immediate: true },
  );
  watch(kept, (now) => now && memory.write(KEY, JSON.stringify(now)));
  watch(
    () => ways.conflicts[HOUSE_WAY_ID],
    (theirs) => theirs && void ways.settle(HOUSE_WAY_ID, 'mine'),
  );

  /** Fetches the record, once. */
  const load = () => (ways.state === 'ready' ? Promise.resolve() : ways.load());
  const schools = computed(() => way.value.schools);
  const air = computed<Air>(() => way.value.air);
  return { schools, air, put, school, ownOf, putOwn, load };
});
