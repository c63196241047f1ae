<script setup lang="ts">
import { ref } from 'vue';
import { keepsOf, type Keep } from '../../../core/studio/reverse/scaled.ts';
import { useSolver } from '../../composables/useSolver.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import KeepButtons from './KeepButtons.vue';
import { roundedSizes } from './roundedSizes.ts';
import WorkNote from './WorkNote.vue';

/** Makes the piece hold a wanted volume, keeping its proportions, its height or its width. */
const emit = defineEmits<{ done: [] }>();
const piece = usePiece();
const lengths = useLengths();
const wanted = ref(lengths.volume(Math.round(piece.developed.finished.capacityBrim / 10) * 10));
const { busy, trouble, solve: search, cancel } = useSolver();

async function solve(keep: Keep): Promise<void> {
  const ml = lengths.readVolume(wanted.value);
  if (ml === null) {
    trouble.value = `Write a volume such as ${lengths.volume(350)}.`;
    return;
  }
  const found = await search(piece.target, { kind: 'capacity', ml, keep });
  if (!found) return;
  const [fault] = piece.change({ ...found, form: roundedSizes(found.form) });
  trouble.value = fault ? lengths.words(fault.rule) : '';
  if (!fault) emit('done');
}
</script>

<template>
  <VForm class="hold" @submit.prevent="solve('proportions')">
    <VTextField
      v-model="wanted"
      class="ways"
      label="It should hold"
      name="hold"
      inputmode="decimal"
      autocomplete="off"
    />
    <KeepButtons class="ways" :keeps="keepsOf(piece.target.form)" @keep="solve" />
    <WorkNote class="ways" :busy="busy" :trouble="trouble" @cancel="cancel" />
  </VForm>
</template>

<style scoped>
.hold {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 10px;
  align-items: center;
  margin: 14px 0;
  padding: 14px;
  border: 1.5px solid var(--line);
  border-radius: 10px;
}
.ways {
  grid-column: 1 / -1;
}
</style>
