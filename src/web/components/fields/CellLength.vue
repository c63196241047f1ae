<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { useSettings } from '../../stores/settings.ts';
import { moveOn } from './moveOn.ts';
import { useLengths } from '../../composables/useLengths.ts';

/** A length in a row of a table: read as people write it, empty where there is none. Kept when the cell is left. */
const props = defineProps<{
  label: string;
  mm: number | undefined;
  take: (mm: number | undefined) => readonly Fault[];
}>();

const lengths = useLengths();
const settings = useSettings();
const typed = ref<string | null>(null);
const problem = ref('');
const shown = computed(() => typed.value ?? (props.mm === undefined ? '' : lengths.editable(props.mm)));

const ruleOf = ([fault]: readonly Fault[]): string => (fault ? lengths.rule(fault) : '');

function put(text: string): void {
  typed.value = text;
  if (text.trim() === '') {
    problem.value = ruleOf(props.take(undefined));
    return;
  }
  const reading = lengths.read(text);
  problem.value = reading.kind === 'unreadable' ? reading.rule : ruleOf(props.take(reading.mm));
}

let before: number | undefined;
/** A refused entry stays in the field to be corrected; the old value is kept. */
function leave(): void {
  if (problem.value === '') typed.value = null;
  else props.take(before);
}

function enter(event: KeyboardEvent): void {
  if (!problem.value) moveOn(event.target as HTMLInputElement, settings.enter);
}
</script>

<template>
  <VTextField
    class="bare"
    inputmode="text"
    data-takes="length"
    autocomplete="off"
    :aria-label="label"
    :model-value="shown"
    :error="problem !== ''"
    :messages="problem"
    :aria-invalid="problem ? 'true' : undefined"
    @update:model-value="put"
    @focus="before = mm"
    @blur="leave"
    @keydown.enter="enter"
  />
</template>
