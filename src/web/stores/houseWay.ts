import { defineStore } from 'pinia';
import { ref } from 'vue';
import { ROOM, type Air } from '../../core/drying/air.ts';
import { DEFAULT_SCHOOLS, type Schools } from '../../core/making/workStep.ts';
import { memory } from '../memory.ts';

const KEY = 'fawn-house-way';

/** How this potter works where schools differ, and the air of her shed, as they were last chosen in this browser. */
export const useHouseWay = defineStore('houseWay', () => {
  const schools = ref<Schools>(DEFAULT_SCHOOLS);
  const air = ref<Air>(ROOM);
  try {
    const kept = JSON.parse(memory.read(KEY) ?? '{}') as { schools?: Partial<Schools>; air?: Partial<Air> };
    schools.value = { ...DEFAULT_SCHOOLS, ...kept.schools };
    air.value = { ...ROOM, ...kept.air };
  } catch {
    // It cannot be read: the defaults stand.
  }

  function put(next: { readonly schools?: Schools; readonly air?: Air }): void {
    schools.value = next.schools ?? schools.value;
    air.value = next.air ?? air.value;
    memory.write(KEY, JSON.stringify({ schools: schools.value, air: air.value }));
  }
  const school = (part: Partial<Schools>) => put({ schools: { ...schools.value, ...part } });

  return { schools, air, put, school };
});
