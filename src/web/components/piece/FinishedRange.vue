<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { capacityBetween, finishedBetween } from '../../../core/studio/clay/finishedBetween.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import { useClays } from '../../stores/records.ts';
import { bookedClay } from './bookedClay.ts';

/** How sure each finished size is, by the interval of the clay's own bars. */
const piece = usePiece();
const clays = useClays();
const lengths = useLengths();

const booked = computed(() => bookedClay(piece.beside.target, clays.list));
const interval = computed(() => booked.value?.known.interval ?? null);
const sizes = computed(() => (interval.value ? finishedBetween(piece.beside.target, interval.value) : []));
const capacity = computed(() => {
  const { target, developed } = piece.beside;
  const within = interval.value ? capacityBetween(developed, target, interval.value) : null;
  return within && developed.finished.capacityBrim > 0 ? within : null;
});
const why = computed(() => {
  if (!booked.value) return 'This clay has no bars in the clay book, so nobody knows how sure the finished sizes are.';
  if (booked.value.known.from === 'bars') return 'One bar is fired: another tells how sure the finished sizes are.';
  const basis = booked.value.known.from === 'maker' ? 'the maker’s figure' : 'a guess';
  return `The shrinkage of ${booked.value.clay.name} is ${basis}: fire a few bars to know how sure the sizes are.`;
});
</script>

<template>
  <section class="range" aria-labelledby="range-heading">
    <h2 id="range-heading">Out of the kiln</h2>
    <template v-if="interval">
      <p v-for="size in sizes" :key="size.key" :data-range="size.key">
        <span>{{ size.label }}</span>
        <span
          ><strong>{{ lengths.length(size.fired) }}</strong
          >, {{ lengths.between(size.between) }}</span
        >
      </p>
      <p v-if="capacity" data-range="capacity">
        <span>Holds</span>
        <span
          ><strong>{{ lengths.volume(piece.beside.developed.finished.capacityBrim) }}</strong
          >, between {{ lengths.volume(capacity[0]) }} and {{ lengths.volume(capacity[1]) }}</span
        >
      </p>
      <small>19 times in 20, going by your {{ booked?.known.from }} of {{ booked?.clay.name }}.</small>
    </template>
    <p v-else class="unsure">{{ why }} <RouterLink :to="{ name: 'clay' }">Clay book</RouterLink></p>
  </section>
</template>

<style scoped>
p {
  display: grid;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
p > span:first-child {
  color: var(--ink-soft);
}
strong {
  font-size: 19px;
}
.unsure {
  display: block;
  padding: 8px 12px;
  background: var(--care);
  border: 0;
  border-left: 4px solid var(--care-edge);
}
small {
  color: var(--ink-soft);
}
</style>
