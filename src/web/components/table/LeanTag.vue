<script setup lang="ts">
import type { Lean } from '../../../core/part/lean.ts';
import { EDGE_WORDS, leanWords } from '../../../core/sheet/words.ts';
import LeanSection from './LeanSection.vue';

/** A leaning edge on the table: section, arrow to where the underside goes, and its fixed words. */
defineProps<{ lean: Lean; title?: string }>();
</script>

<template>
  <span class="lean-tag">
    <LeanSection :lean="lean.lean" :side="lean.edge === 'left' ? 'right' : 'left'" />
    <span class="words">
      <small>{{ title ?? EDGE_WORDS[lean.edge] }}</small>
      <span>{{ leanWords(lean) }}</span>
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
