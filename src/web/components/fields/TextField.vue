<script setup lang="ts">
import { ref } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { useSettings } from '../../stores/settings.ts';
import { moveOn } from './moveOn.ts';

/** Words that are kept as they are typed. */
const props = defineProps<{
  label: string;
  name: string;
  value: string;
  most: number;
  take: (text: string) => readonly Fault[];
  done: () => void;
}>();

const settings = useSettings();
const typed = ref<string | null>(null);
const problem = ref('');

function put(text: string): void {
  typed.value = text;
  problem.value = props.take(text.trim())[0]?.rule ?? '';
}

let before = '';
/** Either the whole entry is kept or the text before it. */
function leave(): void {
  if (problem.value) props.take(before);
  typed.value = null;
  problem.value = '';
  props.done();
}

function enter(event: KeyboardEvent): void {
  if (!problem.value) moveOn(event.target as HTMLInputElement, settings.enter);
}
</script>

<template>
  <VTextField
    class="words"
    :label="label"
    :name="name"
    autocomplete="off"
    :maxlength="most"
    :model-value="typed ?? value"
    :error="problem !== ''"
    :messages="problem"
    :aria-invalid="problem ? 'true' : undefined"
    @update:model-value="put"
    @focus="before = value"
    @blur="leave"
    @keydown.enter="enter"
  />
</template>
