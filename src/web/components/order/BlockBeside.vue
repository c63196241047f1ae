<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { computed } from 'vue';
import type { KeptOrder } from '../../../core/studio/order/keptOrder.ts';
import type { LaidBlock } from '../../../core/studio/order/order.ts';
import { blockTitle, clockText, longDayWord } from './blockWords.ts';

/** The block that was pressed: what is done in it, and ways to put it elsewhere without dragging. */
const props = defineProps<{ order: KeptOrder; block: LaidBlock; held: boolean }>();
const emit = defineEmits<{ move: [start: number]; letGo: []; close: [] }>();

const QUARTER = 15 * 60_000;
const name = computed(() => `${props.block.pieces} × ${props.order.lines[props.block.line]?.name ?? ''}`);
const sets = computed(() => props.order.laid?.sets[props.block.line]?.length ?? 1);
const behind = computed(() => props.block.start < Date.now());
/** Once the order is in work, its makings tell what is done. */
const begun = computed(() => props.order.done !== undefined);

function byDays(days: number): void {
  const day = new Date(props.block.start);
  day.setDate(day.getDate() + days);
  emit('move', day.getTime());
}
</script>

<template>
  <section class="beside" aria-label="The block that is chosen">
    <VBtn :icon="mdiClose" variant="text" class="close" aria-label="Close" @click="emit('close')" />
    <div>
      <h2 class="serif">{{ blockTitle(order, block) }}</h2>
      <p>
        {{ name }}{{ sets > 1 ? `, set ${block.set} of ${sets}` : '' }}. {{ longDayWord(block.start) }},
        <strong>{{ clockText(block.start) }} to {{ clockText(block.end) }}</strong
        >{{ held ? ', held here by you' : '' }}.
      </p>
      <p v-if="block.done">This is done.</p>
      <p v-else-if="behind">
        {{
          begun
            ? 'This should have been begun by now. “Lay it again from now” puts it where there is time.'
            : 'This is in the past: it stays as it was planned.'
        }}
      </p>
    </div>
    <div v-if="!behind && !block.done" class="verbs">
      <VBtn @click="emit('move', block.start - QUARTER)">15 min earlier</VBtn>
      <VBtn @click="emit('move', block.start + QUARTER)">15 min later</VBtn>
      <VBtn @click="byDays(-1)">Day before</VBtn>
      <VBtn @click="byDays(1)">Day after</VBtn>
      <VBtn v-if="held" variant="flat" @click="emit('letGo')">Let it go</VBtn>
      <VBtn v-else variant="flat" @click="emit('move', block.start)">Hold it here</VBtn>
    </div>
  </section>
</template>

<style scoped>
.beside {
  position: sticky;
  bottom: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
  justify-content: space-between;
  padding: 10px 60px 10px 14px;
  border-top: 1px solid var(--line);
  background: var(--panel);
}
.close {
  position: absolute;
  top: 4px;
  right: 6px;
}
h2 {
  font-size: 20px;
}
p {
  margin: 2px 0 0;
  color: var(--ink-soft);
}
strong {
  color: var(--ink);
}
.verbs {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
