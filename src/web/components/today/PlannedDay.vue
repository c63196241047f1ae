<script setup lang="ts">
import { computed, onMounted } from 'vue';
import type { MakingNow } from '../../../contract/makings.ts';
import { useOrders } from '../../stores/records.ts';
import { longDayWord } from '../order/blockWords.ts';
import { plannedDay } from './plannedDay.ts';

/** What orders have planned for today, or for the next day on which they have something. */
const props = defineProps<{ now: number; makings: readonly MakingNow[] }>();
const orders = useOrders();
onMounted(() => void (orders.state !== 'ready' && orders.load()));
const planned = computed(() => plannedDay(orders.list, props.makings, props.now));
</script>

<template>
  <section v-if="planned" aria-labelledby="planned-heading">
    <h2 id="planned-heading">
      {{ planned.today ? 'Planned today' : `Planned for ${longDayWord(planned.day.getTime())}` }}
    </h2>
    <VList bg-color="transparent" density="compact" tag="nav" role="navigation" aria-label="From your orders">
      <VListItem
        v-for="one in planned.things"
        :key="`${one.order} ${one.from} ${one.words}`"
        :title="one.words"
        :subtitle="`${one.when}, ${one.orderName}`"
        :to="{ name: 'order', params: { id: one.order } }"
      />
    </VList>
  </section>
</template>

<style scoped>
section {
  margin-bottom: 16px;
  text-align: left;
}
section :deep(.v-list-item-title) {
  white-space: normal;
}
</style>
