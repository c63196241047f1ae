<script setup lang="ts">
import { watchDebounced } from '@vueuse/core';
import { computed, shallowRef } from 'vue';
import { develop } from '../../../core/piece/develop.ts';
import { sizePhrase } from '../../../core/forms/roughSize.ts';
import type { Target } from '../../../core/target/target.ts';
import { trimmedForCutter } from '../../../core/studio/reverse/cutter.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useSolver } from '../../composables/useSolver.ts';
import { useBench } from '../../stores/bench.ts';
import { usePiece } from '../../stores/piece.ts';
import { roundedCutter } from './roundedCutter.ts';

/** What one cutter would mean for the base: trim the difference, or change the piece, told before it is pressed. */
const props = defineProps<{ cutter: number; cuts: number }>();

/** Pause after a change before the piece for a cutter is searched for (ms). */
const REST = 400;

const piece = usePiece();
const bench = useBench();
const lengths = useLengths();
const { trouble, solve } = useSolver();
const changed = shallowRef<Target | null>(null);
const trimmed = computed(() => trimmedForCutter(piece.beside.target, piece.beside.developed.parts, props.cutter));
const around = computed(() => (props.cutter - props.cuts) / 2);

watchDebounced(
  [() => piece.beside.target, () => props.cutter],
  async ([target]) => {
    const found = await solve(target, { kind: 'cutter', diameter: props.cutter });
    changed.value = found && roundedCutter(found);
  },
  { debounce: REST, immediate: true },
);

/** The sizes and the capacity that the changed piece would have. */
const would = computed(() => {
  if (!changed.value) return '';
  const { finished } = develop(changed.value, bench.bench);
  const holds = finished.capacityBrim > 0 ? `, holds ${lengths.volume(finished.capacityBrim)}` : '';
  return `${lengths.phrase(sizePhrase(changed.value.form))}${holds}`;
});
</script>

<template>
  <div class="way" :data-cutter="cutter">
    <strong>{{ lengths.length(cutter) }}</strong>
    <p v-if="trimmed">
      Cut it straight down, {{ lengths.length(around) }} too wide all round, and trim it after joining.
      <VBtn @click="piece.change(trimmed)">Trim after joining</VBtn>
    </p>
    <p v-if="changed">
      Change the piece: {{ would }}
      <VBtn @click="piece.change(changed)">Change the piece for it</VBtn>
    </p>
    <p v-else-if="trouble">{{ lengths.words(trouble) }}.</p>
  </div>
</template>

<style scoped>
.way {
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
strong {
  font-size: 18px;
}
p {
  display: grid;
  justify-items: start;
  gap: 6px;
  padding: 4px 0;
}
</style>
