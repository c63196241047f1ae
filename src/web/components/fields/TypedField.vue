<script setup lang="ts">
import { computed, nextTick, onUnmounted, ref } from 'vue';
import type { VTextField } from 'vuetify/components';
import type { Fault } from '../../../core/errors.ts';
import { useSettings } from '../../stores/settings.ts';
import { moveOn } from './moveOn.ts';
import type { TypedReading } from './typedReading.ts';

/** A typed figure: read at every key and applied at once; Escape puts the old one back. */
const props = defineProps<{
  label: string;
  name: string;
  value: number;
  /** The figure as it stands, and as it is edited. */
  shown: string;
  editable: string;
  inputmode: 'text' | 'decimal';
  /** What a device may write here. */
  takes?: 'length' | 'mass' | undefined;
  read: (text: string) => TypedReading;
  /** Gives the value to the piece and returns what is wrong with it. */
  take: (value: number) => readonly Fault[];
  /** Words for a fault of what was typed. */
  words: (fault: Fault, value: number) => string;
  done: () => void;
}>();

const settings = useSettings();
const field = ref<VTextField | null>(null);
const typing = ref(false);
const text = ref('');
const problem = ref('');
/** How it was read, where it could mean two things. */
const note = ref('');
const content = computed(() => (typing.value ? text.value : props.shown));
let before = 0;

/** A message is cleared this long after the field is left (ms). */
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

function onInput(now: string): void {
  text.value = now;
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

/** Either the whole entry is kept or the value before it: no part of a refused one. */
function finish(): void {
  if (problem.value) props.take(before);
  typing.value = false;
  note.value = '';
  // The thing pressed to leave the field must not move away under the finger as the message appears.
  leaving = setTimeout(() => (problem.value = ''), problem.value ? MESSAGE_STAYS : 0);
  props.done();
}

/** A refused entry stays with its message until it is corrected or cancelled. */
function enter(event: KeyboardEvent): void {
  if (!problem.value) moveOn(event.target as HTMLInputElement, settings.enter);
}

function giveUp(): void {
  props.take(before);
  field.value?.blur();
}
</script>

<template>
  <!-- Drawn again only when what it shows has changed: a page has many of these, and every key draws the page anew. -->
  <VTextField
    ref="field"
    v-memo="[content, problem, note, label, name, inputmode]"
    :label="label"
    :name="name"
    :inputmode="inputmode"
    :data-takes="takes"
    autocomplete="off"
    :model-value="content"
    :error="problem !== ''"
    :messages="problem || note"
    :aria-invalid="problem ? 'true' : undefined"
    @focus="start"
    @update:model-value="onInput"
    @blur="finish"
    @keydown.enter="enter"
    @keydown.esc.stop="giveUp"
  />
</template>
