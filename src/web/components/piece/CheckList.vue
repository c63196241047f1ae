<script setup lang="ts">
import { computed } from 'vue';
import type { CheckResult } from '../../../core/piece/develop.ts';
import { useLengths } from '../../composables/useLengths.ts';

/** Advice on the piece: what, why with the figure, and what to do. */
const props = defineProps<{ checks: readonly CheckResult[] }>();
const emit = defineEmits<{ remedy: [] }>();
/** The most urgent advice first. */
const ORDER = ['stop', 'care', 'note'] as const;
const sorted = computed(() =>
  [...props.checks].sort((one, other) => ORDER.indexOf(one.level) - ORDER.indexOf(other.level)),
);
const lengths = useLengths();
const SIGNS = { note: '✓', care: '!', stop: '✕' } as const;
const WORDS = { note: 'Good', care: 'Take care', stop: 'Stop' } as const;
</script>

<template>
  <ul class="checks" aria-label="Advice">
    <li v-for="check in sorted" :key="check.code" :class="check.level">
      <span class="sign" aria-hidden="true">{{ SIGNS[check.level] }}</span>
      <div>
        <h3>
          <span class="unseen">{{ WORDS[check.level] }}: </span>{{ check.title }}
        </h3>
        <p>{{ lengths.phrase(check.phrase) }}</p>
        <VBtn v-if="check.code === 'slab-size'" @click="emit('remedy')"> Cut it that way </VBtn>
      </div>
    </li>
  </ul>
</template>

<style scoped>
.checks {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 8px;
}
li {
  display: flex;
  gap: 10px;
  padding: 10px 12px;
  border-left: 4px solid;
  border-radius: 0 8px 8px 0;
}
.note {
  background: var(--note);
  border-color: var(--note-edge);
}
.care {
  background: var(--care);
  border-color: var(--care-edge);
}
.stop {
  background: var(--stop);
  border-color: var(--stop-edge);
}
.sign {
  font-weight: 700;
}
h3 {
  font-family: inherit;
  font-size: 16px;
  font-weight: 700;
}
p {
  margin: 2px 0 0;
  font-size: 15px;
}
</style>
