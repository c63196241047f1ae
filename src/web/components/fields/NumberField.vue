<script setup lang="ts">
import { computed } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { plainFigures } from '../../../core/units/plainFigures.ts';
import TypedField from './TypedField.vue';
import type { TypedReading } from './typedReading.ts';

/** A plain figure with its own unit (%, degrees, g/cm3, a count). `factor` turns what is shown into what is kept. */
const props = defineProps<{
  label: string;
  value: number;
  unit: string;
  name: string;
  digits?: number;
  factor?: number;
  /** What is shown for 0. */
  zero?: string;
  take: (value: number) => readonly Fault[];
  done: () => void;
}>();

const factor = computed(() => props.factor ?? 1);
const figure = computed(() => String(Number((props.value / factor.value).toFixed(props.digits ?? 2))));

function read(text: string): TypedReading {
  const { plain, note } = plainFigures(text);
  const bare = plain.replace(props.unit.trim(), '').trim();
  const value = bare === '' ? Number.NaN : Number(bare);
  if (!Number.isFinite(value)) return { rule: 'write a figure such as 12 or 12.5' };
  return { value: Number((value * factor.value).toPrecision(12)), ...(note !== null && { note }) };
}

/** Limits are said in what is shown here: 0 to 25 %, not 0 to 0.25. */
function words(fault: Fault, value: number): string {
  const shown = (kept: number) => String(Number((kept / factor.value).toFixed(4)));
  const rule = factor.value === 1 ? fault.rule : fault.rule.replace(/\d+(\.\d+)?/g, (number) => shown(Number(number)));
  return `${shown(value)}${props.unit}: ${rule}`;
}
</script>

<template>
  <TypedField
    :label="label"
    :name="name"
    :value="value"
    :shown="value === 0 && zero ? zero : `${figure}${unit}`"
    :editable="figure"
    inputmode="decimal"
    :read="read"
    :take="take"
    :words="words"
    :done="done"
  />
</template>
