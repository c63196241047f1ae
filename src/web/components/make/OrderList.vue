<script setup lang="ts">
import { clockWords, momentWords } from './momentWords.ts';
import type { MakingInHand } from './useMaking.ts';

/** The order of work: what is done and when, what is in hand, and when waits open. A press shows a step. */
const props = defineProps<{ hand: MakingInHand }>();

function words(id: string): string {
  const { hand } = props;
  const step = hand.steps.value.find((one) => one.id === id);
  const done = hand.doneOf(id);
  if (done > 0 && done < hand.count.value) return `${done} of ${hand.count.value}`;
  const last = hand.stateOf(id, hand.count.value).at;
  if (done > 0) return last ? clockWords(last) : '';
  const wait = step && hand.waitOf(step, 1);
  if (!wait?.window.opens) return '';
  const { opens, closes } = wait.window;
  const from = momentWords(opens.usual, hand.nowMs.value);
  return closes ? `${from} to ${momentWords(closes.usual, hand.nowMs.value)}` : `from ${from}`;
}
const kindOf = (id: string) => {
  const { hand } = props;
  const all = hand.progress.value.get(id) ?? [];
  if (all.every(({ state }) => state === 'done')) return 'done';
  if (all.every(({ state }) => state === 'done' || state === 'skipped')) return 'skipped';
  return 'open';
};
</script>

<template>
  <nav class="order" aria-label="Order of work">
    <h2>Order of work</h2>
    <VList density="compact">
      <VListItem
        v-for="step in hand.steps.value"
        :key="step.id"
        :active="step.id === hand.shown.value.step?.id"
        :aria-current="step.id === hand.shown.value.step?.id ? 'step' : undefined"
        @click="hand.show(step.id)"
      >
        <template #prepend>
          <span class="dot" :class="[kindOf(step.id), { waits: step.waits }]" aria-hidden="true" />
        </template>
        <VListItemTitle>
          {{ step.title }}<span class="unseen">{{ kindOf(step.id) === 'open' ? '' : `, ${kindOf(step.id)}` }}</span>
        </VListItemTitle>
        <template #append
          ><span class="when">{{ words(step.id) }}</span></template
        >
      </VListItem>
    </VList>
    <slot />
  </nav>
</template>

<style scoped>
.order {
  padding: 16px 12px;
}
h2 {
  padding: 0 6px;
  font-size: 19px;
}
.v-list {
  background: none;
}
.dot {
  width: 18px;
  height: 18px;
  margin-right: 14px;
  border: 2px solid var(--wood-deep);
  border-radius: 50%;
}
.dot.waits {
  border-radius: 3px;
  border-color: var(--care-edge);
}
.dot.done {
  background: var(--wood-deep);
}
.dot.skipped {
  border-style: dashed;
}
.v-list-item--active {
  background: var(--press-soft);
}
.v-list-item--active .dot {
  border-color: var(--press);
  background: var(--press);
}
.v-list-item--active .v-list-item-title {
  font-weight: 700;
}
.when {
  padding-left: 8px;
  font-size: 15px;
  color: var(--ink-soft);
}
</style>
