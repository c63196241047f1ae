<script setup lang="ts">
import { computed } from 'vue';
import type { Making } from '../../../contract/makings.ts';
import { howFar } from '../../../core/studio/making/howFar.ts';

/** The kinds of piece of one making, each with how far it has come, to go from one to another. */
const props = defineProps<{ making: Making }>();
const kinds = computed(() =>
  props.making.pieces.map((piece, index) => {
    const { done, acts } = howFar(piece, index, props.making.marks);
    return {
      key: index,
      words: `${piece.name}, ${piece.count}`,
      done: `${done} of ${acts}`,
      to: {
        name: 'piece',
        params: { id: piece.designId, stage: 'make' },
        query: { making: props.making.id, piece: index },
      },
    };
  }),
);
</script>

<template>
  <VTabs class="kinds" height="48" show-arrows aria-label="Pieces of this making">
    <VTab v-for="one in kinds" :key="one.key" :to="one.to" replace>
      {{ one.words }}<small>{{ one.done }}</small>
    </VTab>
  </VTabs>
</template>

<style scoped>
.kinds {
  border-bottom: 1px solid var(--line);
}
small {
  padding-left: 8px;
  color: var(--ink-soft);
}
</style>
