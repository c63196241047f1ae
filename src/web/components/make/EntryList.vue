<script setup lang="ts">
import { computed } from 'vue';
import { struckOut } from '../../../core/studio/making/strikes.ts';
import { useMakings } from '../../stores/makings.ts';
import { MEASURED_NAMES, useMeasured } from './measuredNames.ts';

/** Entries of one piece; a wrong one is struck out, and can be put back. */
const props = defineProps<{ piece: number; number: number }>();
const emit = defineEmits<{ said: [words: string] }>();
const makings = useMakings();
const { figure } = useMeasured();
const gone = computed(() => struckOut(makings.making?.strikes ?? []));
const entries = computed(() => {
  const { measurements = [], faults = [], notes = [] } = makings.making ?? {};
  const all = [
    ...measurements.map((one) => ({
      ...one,
      words: `${MEASURED_NAMES[one.what]} ${figure(one.what, one.value)}${one.state ? `, ${one.state}` : ''}`,
    })),
    ...faults.map((one) => ({ ...one, words: one.kind })),
    ...notes.map((one) => ({ ...one, words: one.text })),
  ];
  return all
    .filter(({ piece, number }) => piece === props.piece && number === props.number)
    .map(({ id, words }) => ({ id, words, out: gone.value.has(id) }));
});

function strike(id: string, out: boolean, words: string): void {
  makings.strike(id, { out });
  emit('said', out ? `“${words}” is struck out.` : `“${words}” counts again.`);
}
</script>

<template>
  <ul v-if="entries.length" class="list" aria-label="Written down">
    <li v-for="{ id, words, out } in entries" :key="id">
      <s v-if="out">{{ words }}</s>
      <strong v-else>{{ words }}</strong>
      <VBtn
        variant="text"
        :aria-label="`${out ? 'Put back' : 'Strike out'}: ${words}`"
        @click="strike(id, !out, words)"
      >
        {{ out ? 'Put back' : 'Strike out' }}
      </VBtn>
    </li>
  </ul>
</template>

<style scoped>
.list {
  padding: 0;
  margin: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  border-bottom: 1px dotted var(--line);
}
li > :first-child {
  min-width: 0;
  overflow-wrap: anywhere;
}
s {
  color: var(--ink-soft);
}
</style>
