import { defineStore } from 'pinia';
import { computed } from 'vue';
import type { Bench } from '../../core/advice/bench.ts';
import { greatestSlab, sizeOf } from '../../core/studio/kit/kit.ts';
import { useKit } from './records.ts';
import { useSettings } from './settings.ts';

/** What the potter brings to any piece: her greatest slab and her cutters, from the kit; the rest from this browser's settings. */
export const useBench = defineStore('bench', () => {
  const kit = useKit();
  const settings = useSettings();

  const items = computed(() => kit.list.map(({ body }) => body));
  /** The greatest slab by roller and boards of the kit; null when it has neither. */
  const kitSlab = computed(() => greatestSlab(items.value));
  /** Round cutters of the kit (mm), ascending; empty when it has none. */
  const kitCutters = computed(() =>
    items.value
      .filter(({ kind }) => kind === 'cutter')
      .map((item) => sizeOf(item, 'diameter'))
      .sort((one, other) => one - other),
  );
  const slab = computed(() => kitSlab.value ?? settings.slab);
  const cutters = computed(() => (kitCutters.value.length > 0 ? kitCutters.value : settings.cutters));
  const bench = computed<Bench>(() => ({ hand: settings.hand, slab: slab.value }));

  return { items, kitSlab, kitCutters, slab, cutters, bench };
});
