<script setup lang="ts">
import { computed } from 'vue';
import { KILN_WORDS } from '../../../core/studio/order/kilnDays.ts';
import type { KeptOrder } from '../../../core/studio/order/keptOrder.ts';
import type { BlockSpot, LaidBlock } from '../../../core/studio/order/order.ts';
import { blockHours, blockName, longDayWord } from './blockWords.ts';
import { dayRows } from './calendarRows.ts';

/** The order as a list of days, where there is no room for a calendar. */
const props = defineProps<{ order: KeptOrder; now: number; isHeld: (spot: BlockSpot) => boolean }>();
const emit = defineEmits<{ choose: [block: LaidBlock] }>();

const days = computed(() =>
  dayRows(props.order, props.now).flatMap(({ day, blocks, kiln }) => {
    const hands = blocks.map(({ block }) => ({ at: block.start, words: blockName(props.order, block), block }));
    const fired = kiln.map(({ kind, from }) => ({
      at: day.getTime() + from * 60_000,
      words: KILN_WORDS[kind],
      block: null,
    }));
    const all = [...hands, ...fired].sort((one, other) => one.at - other.at);
    return all.length > 0 ? [{ day, all }] : [];
  }),
);
</script>

<template>
  <div>
    <section v-for="{ day, all } in days" :key="day.getTime()">
      <h2>{{ longDayWord(day.getTime()) }}</h2>
      <VList bg-color="transparent">
        <VListItem
          v-for="{ at, words, block } in all"
          :key="`${at} ${words}`"
          :title="words"
          :subtitle="block ? blockHours(block, isHeld(block)) : ''"
          v-bind="block ? { onClick: () => emit('choose', block) } : {}"
        />
      </VList>
    </section>
  </div>
</template>
