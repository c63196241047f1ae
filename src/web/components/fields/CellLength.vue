<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { useLengths } from '../../composables/useLengths.ts';

/** A length in a row of a table: read as people write it, empty where there is none. Kept when the cell is left. */
const props = defineProps<{
  label: string;
  mm: number | undefined;
  take: (mm: number | undefined) => readonly Fault[];
}>();

const lengths = useLengths();
const typed = ref<string | null>(null);
const problem = ref('');
const shown = computed(() => typed.value ?? (props.mm === undefined ? '' : lengths.editable(props.mm)));

function put(text: string): void {
  typed.value = text;
  if (text.trim() === '') {
    problem.value = props.take(undefined)[0]?.rule ?? '';
    return;
  }
  const reading = lengths.read(text);
  problem.value = reading.kind === 'unreadable' ? reading.rule : (props.take(reading.mm)[0]?.rule ?? '');
}

let before: number | undefined;
/** A refused entry stays to be mended; what is kept is what was there before. */
function leave(): void {
  if (problem.value === '') typed.value = null;
  else props.take(before);
}
</script>

<template>
  <span class="cell">
    <input
      type="text"
      inputmode="text"
      autocomplete="off"
      :aria-label="label"
      :value="shown"
      :class="{ wrong: problem }"
      :aria-invalid="problem ? 'true' : undefined"
      @input="put(($event.target as HTMLInputElement).value)"
      @focus="before = mm"
      @blur="leave"
    />
    <small v-if="problem" role="alert">{{ problem }}</small>
  </span>
</template>

<style scoped>
.cell {
  display: grid;
}
input {
  width: 100%;
  min-width: 0;
  min-height: 44px;
  padding: 2px 8px;
  border: 1.5px solid var(--line);
  border-radius: 8px;
  background: var(--panel);
  font-size: 17px;
  font-weight: 700;
  text-align: right;
}
input:focus {
  border-color: var(--press);
}
.wrong {
  border-color: var(--stop-edge);
}
small {
  padding: 3px 6px;
  background: var(--stop);
}
</style>
