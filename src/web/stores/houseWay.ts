import { defineStore } from 'pinia';
import { ref } from 'vue';
import { ROOM, type Air } from '../../core/drying/air.ts';
import { NO_OWN_WORK, type OwnWork } from '../../core/making/ownWork.ts';
import type { FormKind } from '../../core/piece/target.ts';
import { DEFAULT_SCHOOLS, type Schools } from '../../core/making/workStep.ts';
import { memory } from '../memory.ts';

const KEY = 'fawn-house-way';

/** How this potter works where schools differ, and the air of her shed, as they were last chosen in this browser. */
export const useHouseWay = defineStore('houseWay', () => {
  const schools = ref<Schools>(DEFAULT_SCHOOLS);
  const air = ref<Air>(ROOM);
  /** Her own order of work, by the kind of piece. */
  const own = ref<Partial<Record<FormKind, OwnWork>>>({});
  try {
    const kept = JSON.parse(memory.read(KEY) ?? '{}') as {
      schools?: Partial<Schools>;
      air?: Partial<Air>;
      own?: Partial<Record<FormKind, OwnWork>>;
    };
    schools.value = { ...DEFAULT_SCHOOLS, ...kept.schools };
    air.value = { ...ROOM, ...kept.air };
    own.value = kept.own ?? {};
  } catch {
    // It cannot be read: the defaults stand.
  }

  function put(next: {
    readonly schools?: Schools;
    readonly air?: Air;
    readonly own?: Partial<Record<FormKind, OwnWork>>;
  }): void {
    schools.value = next.schools ?? schools.value;
    air.value = next.air ?? air.value;
    own.value = next.own ?? own.value;
    memory.write(KEY, JSON.stringify({ schools: schools.value, air: air.value, own: own.value }));
  }
  const school = (part: Partial<Schools>) => put({ schools: { ...schools.value, ...part } });

  const ownOf = (kind: FormKind): OwnWork => ({ ...NO_OWN_WORK, ...own.value[kind] });
  const putOwn = (kind: FormKind, work: OwnWork) => put({ own: { ...own.value, [kind]: work } });

  return { schools, air, put, school, ownOf, putOwn };
});
