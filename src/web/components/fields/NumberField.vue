<script setup lang="ts">
import { computed, nextTick, ref, useId } from 'vue';
import type { Fault } from '../../../core/errors.ts';

/** A plain figure with its own unit (%, degrees, g/cm3, a count). `factor` turns what is shown into what is kept. */
const props = defineProps<{
  label: string;
  value: number;
  unit: string;
  name: string;
  digits?: number;
  factor?: number;
  take: (value: number) => readonly Fault[];
  done: () => void;
}>();

const id = useId();
const field = ref<HTMLInputElement | null>(null);
const typing = ref(false);
const text = ref('');
const problem = ref('');
const factor = computed(() => props.factor ?? 1);
const figure = computed(() => String(Number((props.value / factor.value).toFixed(props.digits ?? 2))));
const shown = computed(() => (typing.value ? text.value : `${figure.value}${props.unit}`));
let before = 0;

function start(): void {
  before = props.value;
  text.value = figure.value;
  typing.value = true;
  void nextTick(() => field.value?.select());
}

function onInput(event: Event): void {
  text.value = (event.target as HTMLInputElement).value;
  const bare = text.value.replace(',', '.').replace(props.unit.trim(), '').trim();
  const value = bare === '' ? Number.NaN : Number(bare);
  if (!Number.isFinite(value)) {
    problem.value = 'write a figure such as 12 or 12.5';
    return;
  }
  const kept = Number((value * factor.value).toPrecision(12));
  const [fault] = props.take(kept);
  problem.value = fault ? `${bare}${props.unit}: ${rule(fault)}` : '';
}

/** Limits are said in what is shown here: 0 to 25 %, not 0 to 0.25. */
function rule(fault: Fault): string {
  if (factor.value === 1) return fault.rule;
  return fault.rule.replace(/\d+(\.\d+)?/g, (number) => `${Number((Number(number) / factor.value).toFixed(4))}`);
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
  <div class="field" :class="{ wrong: problem }">
    <label :for="id">{{ label }}</label>
    <input
      :id="id"
      ref="field"
      type="text"
      inputmode="decimal"
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
