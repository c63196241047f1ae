<script setup lang="ts">
import { computed, nextTick, onUnmounted, ref, useId } from 'vue';
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
/** How it was read, where it could mean two things. */
const note = ref('');
const content = computed(() => (typing.value ? text.value : props.shown));
let before = 0;

/** A message goes so long after the field was left (ms). */
const MESSAGE_STAYS = 300;
let leaving: ReturnType<typeof setTimeout> | undefined;
onUnmounted(() => clearTimeout(leaving));

function start(): void {
  clearTimeout(leaving);
  problem.value = '';
  before = props.value;
  text.value = props.editable;
  typing.value = true;
  void nextTick(() => field.value?.select());
}

function onInput(event: Event): void {
  text.value = (event.target as HTMLInputElement).value;
  const reading = props.read(text.value);
  note.value = '';
  if ('rule' in reading) {
    problem.value = reading.rule;
    return;
  }
  note.value = reading.note ?? '';
  const [fault] = props.take(reading.value);
  problem.value = fault ? props.words(fault, reading.value) : '';
}

/** What is kept is the whole entry or what was there before: nothing of one that is refused. */
function finish(): void {
  if (problem.value) props.take(before);
  typing.value = false;
  note.value = '';
  // What was pressed to leave the field must not move away under the finger with the message.
  leaving = setTimeout(() => (problem.value = ''), problem.value ? MESSAGE_STAYS : 0);
  props.done();
}

/** A refused entry stays with its message until it is mended or given up. */
function enter(): void {
  if (!problem.value) field.value?.blur();
}

function giveUp(): void {
  props.take(before);
  field.value?.blur();
}
</script>

<template>
  <!-- Drawn again only when what it shows has changed: a page has many of these, and every key draws the page anew. -->
  <div v-memo="[content, problem, note, label, name, inputmode]" class="field" :class="{ wrong: problem }">
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
      @keydown.enter="enter"
      @keydown.esc.stop="giveUp"
    />
    <p v-if="note && !problem" class="note" role="status">{{ note }}</p>
    <p v-if="problem" :id="`${id}-problem`" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style src="./field.css"></style>
