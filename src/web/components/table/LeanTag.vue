<script setup lang="ts">
import { computed } from 'vue';
import type { Lean } from '../../../core/parts/part/lean.ts';
import { EDGE_WORDS, leanWords } from '../../../core/files/sheet/words.ts';
import LeanSection from './LeanSection.vue';

/** A leaning edge on the table: section, arrow to where the underside goes, and its fixed words. */
const props = defineProps<{ lean: Lean; title?: string }>();

const signed = (angle: number) => `${angle < 0 ? '−' : '+'}${Math.abs(angle).toFixed(0)}`;
/** Two lines, short enough for two tags side by side on a phone: where a lean varies, in whole degrees as along its edge. */
const lines = computed(() => {
  const { lean, least = lean, greatest = lean, edge, word } = props.lean;
  const name = props.title ?? EDGE_WORDS[edge];
  if (Math.abs(greatest - least) < 1) return [name, leanWords(props.lean)];
  if (least < 0 && greatest > 0) return [name, `${signed(least)} to ${signed(greatest)}°`];
  const [small, large] = [Math.abs(least), Math.abs(greatest)].sort((one, other) => one - other) as [number, number];
  return [`${name}, ${word}`, `${small.toFixed(0)} to ${large.toFixed(0)}°`];
});
</script>

<template>
  <span class="lean-tag">
    <LeanSection :lean="lean.lean" :side="lean.edge === 'left' ? 'right' : 'left'" />
    <span class="words">
      <small>{{ lines[0] }}</small>
      <span>{{ lines[1] }}</span>
    </span>
  </span>
</template>

<style scoped>
.lean-tag {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  padding: 3px 10px 3px 5px;
  border-radius: 8px;
  background: var(--panel);
  color: var(--ink);
  white-space: nowrap;
}
.words {
  display: grid;
  line-height: 1.15;
  font-weight: 700;
}
.words small {
  font-weight: 400;
  color: var(--ink-soft);
}
</style>
