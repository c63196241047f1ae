<script setup lang="ts">
import { computed } from 'vue';
import { momentWords } from './momentWords.ts';
import type { MakingInHand } from './useMaking.ts';

/** What a wait says: when it opens, is best and closes, how sure that is, and how it was learned. */
const props = defineProps<{ hand: MakingInHand }>();
const at = (ms: number) => momentWords(ms, props.hand.nowMs.value);

const wait = computed(() => props.hand.wait.value);
const window = computed(() => wait.value?.window ?? null);
const surely = computed(() => {
  const opens = window.value?.opens;
  return opens ? `Opens between ${at(opens.low)} and ${at(opens.high)} in 95 of 100 cases.` : '';
});
const learned = computed(() => {
  const factor = wait.value?.factor;
  if (!factor) return '';
  if (factor.marks === 0) return 'Nothing is marked for this clay under this cover yet: the times are a guess.';
  const percent = (times: number) => `${Math.abs(Math.round(100 * (times - 1)))} %`;
  const way = factor.usual >= 1 ? 'slower' : 'quicker';
  const [low, high] = [Math.round(100 * (factor.low - 1)), Math.round(100 * (factor.high - 1))];
  const range =
    low >= 0 || high <= 0
      ? `between ${Math.min(Math.abs(low), Math.abs(high))} and ${Math.max(Math.abs(low), Math.abs(high))} %`
      : `between ${-low} % quicker and ${high} % slower`;
  const usually =
    percent(factor.usual) === '0 %'
      ? 'Usually as the model says'
      : `Usually ${percent(factor.usual)} ${way} here than the model`;
  return `${usually}, ${range}, by ${factor.marks} ${factor.marks === 1 ? 'mark' : 'marks'}.`;
});
</script>

<template>
  <section v-if="window?.opens" class="wait" aria-label="The wait">
    <h2>{{ window.closes ? 'The window' : 'Ready' }}</h2>
    <p v-if="window.best">Best about {{ at(window.best) }}.</p>
    <p class="soft">{{ surely }} {{ learned }}</p>
  </section>
  <p v-else class="soft">The window is told once the step before it is done.</p>
</template>

<style scoped>
.wait {
  display: grid;
  gap: 8px;
}
.soft {
  color: var(--ink-soft);
}
p {
  margin: 0;
}
</style>
