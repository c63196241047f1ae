<script setup lang="ts">
import { nextTick, ref } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { useLengths } from '../../composables/useLengths.ts';

// Native button and field, for speed: dimension lines are rendered at every keystroke.
/**
 * The figure on a dimension line. With `take` it is pressed and typed over; without, pressing asks how it came about.
 */
const props = defineProps<{
  at: readonly [number, number];
  mm: number;
  label: string;
  sign?: string;
  take?: (mm: number) => readonly Fault[];
  /** Neither typed over nor explained: a plain figure. */
  plain?: boolean;
}>();
const emit = defineEmits<{ how: []; done: [] }>();

const lengths = useLengths();
const typing = ref(false);
/** Why what is typed cannot be taken. */
const problem = ref('');
const text = ref('');
const field = ref<HTMLInputElement | null>(null);
let before = 0;

function press(): void {
  if (!props.take) return emit('how');
  before = props.mm;
  text.value = lengths.editable(props.mm);
  typing.value = true;
  void nextTick(() => field.value?.select());
}

const ruleOf = ([fault]: readonly Fault[]): string => (fault ? lengths.rule(fault) : '');

function onInput(): void {
  const reading = lengths.read(text.value);
  problem.value = reading.kind === 'unreadable' ? reading.rule : ruleOf(props.take?.(reading.mm) ?? []);
}

/** Either the whole entry is kept or the text before it. */
function finish(): void {
  if (!typing.value) return;
  if (problem.value) props.take?.(before);
  typing.value = false;
  problem.value = '';
  emit('done');
}

/** A refused entry stays with its message until it is corrected or cancelled. */
function enter(): void {
  if (!problem.value) finish();
}

function giveUp(): void {
  props.take?.(before);
  finish();
}
</script>

<template>
  <div class="figure-tag" :style="{ transform: `translate(${at[0]}px, ${at[1]}px) translate(-50%, -50%)` }">
    <input
      v-if="typing"
      ref="field"
      v-model="text"
      :aria-label="label"
      :class="{ wrong: problem }"
      :aria-invalid="problem ? 'true' : undefined"
      autocomplete="off"
      @input="onInput"
      @blur="finish"
      @keydown.enter="enter"
      @keydown.esc.stop="giveUp"
    />
    <p v-if="typing && problem" class="problem" role="alert">{{ problem }}</p>
    <span v-if="!typing && plain" class="figure">{{ lengths.figure(mm) }}</span>
    <button
      v-else-if="!typing"
      type="button"
      :class="{ typed: take }"
      :aria-label="`${label}, ${sign ?? ''}${lengths.length(mm)}${take ? ', change' : ', how this came about'}`"
      @click="press"
    >
      {{ sign ?? '' }}{{ lengths.figure(mm) }}
    </button>
  </div>
</template>

<style scoped>
.figure-tag {
  position: absolute;
  top: 0;
  left: 0;
}
button,
.figure {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0 8px;
  font-size: 24px;
  font-weight: 700;
  line-height: 1;
  white-space: nowrap;
  background: linear-gradient(transparent 28%, var(--cloth) 28% 72%, transparent 72%);
}
button {
  cursor: pointer;
}
button.typed {
  color: var(--press);
}
input {
  width: 6em;
  min-height: 44px;
  padding: 0 8px;
  text-align: center;
  font-size: 22px;
  font-weight: 700;
  border: 2px solid var(--press);
  border-radius: 8px;
  background: var(--panel);
}
.problem {
  position: absolute;
  top: 100%;
  left: 50%;
  width: max-content;
  max-width: 240px;
  margin: 4px 0 0;
  transform: translateX(-50%);
  padding: 6px 10px;
  font-size: 15px;
  background: var(--stop);
  border-left: 4px solid var(--stop-edge);
}
input.wrong {
  border-color: var(--stop-edge);
}
@media (max-width: 699px) {
  button,
  .figure {
    font-size: 20px;
  }
}
</style>
