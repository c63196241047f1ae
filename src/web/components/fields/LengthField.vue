<script setup lang="ts">
import { computed, nextTick, ref, useId, watch } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { useLengths } from '../../composables/useLengths.ts';

/** A length that is typed as people write it. `take` gives it to the piece and returns what is wrong with it. */
const props = defineProps<{
  label: string;
  mm: number;
  name: string;
  take: (mm: number) => readonly Fault[];
  done: () => void;
}>();

const lengths = useLengths();
const id = useId();
const field = ref<HTMLInputElement | null>(null);
const typing = ref(false);
const text = ref('');
const problem = ref('');
const shown = computed(() => (typing.value ? text.value : lengths.length(props.mm)));
let before = 0;

function start(): void {
  before = props.mm;
  text.value = lengths.editable(props.mm);
  typing.value = true;
  void nextTick(() => field.value?.select());
}

function onInput(event: Event): void {
  text.value = (event.target as HTMLInputElement).value;
  const reading = lengths.read(text.value);
  if (reading.kind === 'unreadable') {
    problem.value = reading.rule;
    return;
  }
  const [fault] = props.take(reading.mm);
  problem.value = fault ? `${lengths.length(reading.mm)} ${fault.rule}` : '';
}

function finish(): void {
  typing.value = false;
  problem.value = '';
  props.done();
}

function giveUp(): void {
  props.take(before);
  field.value?.blur();
}

watch(
  () => props.mm,
  (mm) => {
    if (typing.value && document.activeElement !== field.value) text.value = lengths.editable(mm);
  },
);

defineExpose({ focus: () => field.value?.focus() });
</script>

<template>
  <div class="field" :class="{ wrong: problem }">
    <label :for="id">{{ label }}</label>
    <input
      :id="id"
      ref="field"
      type="text"
      inputmode="text"
      autocomplete="off"
      :name="name"
      :value="shown"
      :aria-invalid="problem ? 'true' : undefined"
      :aria-describedby="problem ? `${id}-problem` : undefined"
      @focus="start"
      @input="onInput"
      @blur="finish"
      @keydown.enter="field?.blur()"
      @keydown.esc.stop="giveUp"
    />
    <p v-if="problem" :id="`${id}-problem`" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style src="./field.css"></style>
