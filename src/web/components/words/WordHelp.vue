<script setup lang="ts">
import { meaningOf } from './glossary.ts';
import type { ExplainedWord } from './readGlossary.ts';
import WordDrawing from './WordDrawing.vue';

/** A word that a newcomer may not know: pressed, it opens a small drawing and the glossary's text. */
defineProps<{ word: ExplainedWord }>();
</script>

<template>
  <VMenu :close-on-content-click="false" max-width="300">
    <template #activator="{ props: opener }">
      <VBtn v-bind="opener" class="help" variant="text" :aria-label="`What is meant by ${word}?`">?</VBtn>
    </template>
    <section class="sheet-card" :aria-label="word">
      <h3>{{ word }}</h3>
      <WordDrawing :word="word" />
      <p>{{ meaningOf(word) }}</p>
    </section>
  </VMenu>
</template>

<style scoped>
.help {
  min-width: 44px;
  padding: 0;
  color: var(--press);
}
p {
  padding-top: 6px;
}
h3::first-letter,
p::first-letter {
  text-transform: uppercase;
}
</style>
