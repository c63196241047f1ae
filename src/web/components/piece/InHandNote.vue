<script setup lang="ts">
import { mdiLock } from '@mdi/js';
import { computed } from 'vue';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import { without } from '../../without.ts';
import type { Target } from '../../../core/target/target.ts';

/** What the piece is bound to, paper first: one press releases it, undo binds it again. */
const piece = usePiece();
const lengths = useLengths();
const words = computed(() => {
  const { inHand } = piece.beside.target;
  switch (inHand?.kind) {
    case 'sheet':
      return `Keeps to your sheet, ${lengths.figure(inHand.around)} × ${lengths.length(inHand.up)}`;
    case 'arc':
      return 'Keeps to your arc template';
    case 'cutter':
      return `Keeps to your cutter of ${lengths.length(inHand.across)}`;
    case undefined:
      return '';
  }
  return '';
});
const letGo = () => piece.change(without({ ...piece.target, inHand: undefined }) as Target);
</script>

<template>
  <div v-if="words" class="in-hand" data-testid="in-hand">
    <VIcon :icon="mdiLock" size="22" />
    <p>{{ words }}: with another slab or join the piece changes, not what you hold.</p>
    <VBtn variant="text" @click="letGo">Let it go</VBtn>
  </div>
</template>

<style scoped>
.in-hand {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  align-items: start;
  gap: 2px 10px;
  padding: 8px 0;
}
p {
  margin: 0;
}
.v-btn {
  grid-column: 2;
  justify-self: start;
  margin-left: -16px;
}
</style>
