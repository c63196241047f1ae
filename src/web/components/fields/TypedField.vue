<script setup lang="ts">
import { computed, nextTick, ref, useId } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import type { TypedReading } from './typedReading.ts';

/** A figure that is typed: read at every key, given to the piece at once, given back by Escape. */
const props = defineProps<{
  label: string;
  name: string;
  value: number;
  /** The figure as it stands, and as it is edited. */
  shown: string;
  editable: string;
  inputmode: 'text' | 'decimal';
  read: (text: string) => TypedReading;
  /** Gives the value to the piece and returns what is wrong with it. */
  take: (value: number) => readonly Fault[];
  /** Words for a fault of what was typed. */
  words: (fault: Fault, value: number) => string;
  done: () => void;
}>();

const id = useId();
const field = ref<HTMLInputElement | null>(null);
const typing = ref(false);
const text = ref('');
const problem = ref('');
const content = computed(() => (typing.value ? text.value : props.shown));
let before = 0;

function start(): void {
  before = props.value;
  text.value = props.editable;
  typing.value = true;
  void nextTick(() => field.value?.select());
}

function onInput(event: Event): void {
  text.value = (event.target as HTMLInputElement).value;
  const reading = props.read(text.value);
  if ('rule' in reading) {
    problem.value = reading.rule;
    return;
  }
  const [fault] = props.take(reading.value);
  problem.value = fault ? props.words(fault, reading.value) : '';
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
</script>

<template>
  <!-- Drawn again only when what it shows has changed: a page has many of these, and every key draws the page anew. -->
  <div v-memo="[content, problem, label, name, inputmode]" class="field" :class="{ wrong: problem }">
    <label :for="id">{{ label }}</label>
    <input
      :id="id"
      ref="field"
      type="text"
      :inputmode="inputmode"
      autocomplete="off"
      :name="name"
      :value="content"
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
