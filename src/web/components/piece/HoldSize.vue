<script setup lang="ts">
import { computed, ref } from 'vue';
import { keepsOf, type Keep } from '../../../core/studio/reverse/scaled.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useSolver } from '../../composables/useSolver.ts';
import { usePiece } from '../../stores/piece.ts';
import KeepButtons from './KeepButtons.vue';
import { roundedSizes } from './roundedSizes.ts';
import WorkNote from './WorkNote.vue';

/** What the piece holds to the brim, among its sizes: another volume is typed, and the piece is made to hold it. */
const piece = usePiece();
const lengths = useLengths();
const { busy, trouble, solve, cancel } = useSolver();
/** A volume that was typed and has not been applied yet. */
const typed = ref<string | null>(null);
const holds = computed(() => lengths.volume(piece.beside.developed.finished.capacityBrim));
const keeps = computed(() => keepsOf(piece.beside.target.form));
const pending = computed(() => typed.value !== null && typed.value.trim() !== holds.value);

async function make(keep: Keep | undefined): Promise<void> {
  if (!pending.value || !keep) return giveUp();
  const ml = lengths.readVolume(typed.value ?? '');
  if (ml === null) {
    trouble.value = `Write a volume such as ${lengths.volume(350)}.`;
    return;
  }
  const found = await solve(piece.target, { kind: 'capacity', ml, keep });
  if (!found) return;
  const [fault] = piece.change({ ...found, form: roundedSizes(found.form) });
  trouble.value = fault ? lengths.words(fault.rule) : '';
  if (!fault) typed.value = null;
}

function giveUp(): void {
  typed.value = null;
  trouble.value = '';
}

/** Left as it was, it follows the piece again. */
function leave(): void {
  if (!pending.value) giveUp();
}
</script>

<template>
  <div v-if="piece.beside.developed.finished.capacityBrim > 0 && keeps.length > 0" class="hold-size">
    <VTextField
      label="Holds, to the brim"
      name="holds"
      inputmode="decimal"
      autocomplete="off"
      :model-value="typed ?? holds"
      @update:model-value="(text: string) => (typed = text)"
      @blur="leave"
      @keydown.enter="make(keeps[0])"
      @keydown.esc.stop="giveUp"
    />
    <div v-if="pending" class="ways">
      <KeepButtons :keeps="keeps" @keep="make" />
      <VBtn variant="text" @click="giveUp">Leave it</VBtn>
    </div>
    <WorkNote :busy="busy" :trouble="trouble" @cancel="cancel" />
  </div>
</template>

<style scoped>
.ways {
  padding: 8px 0;
}
</style>
