<script setup lang="ts">
import type { Fault } from '../../../core/errors.ts';
import { useLengths } from '../../composables/useLengths.ts';
import TypedField from './TypedField.vue';
import type { TypedReading } from './typedReading.ts';

/** A length that may be left out: an emptied field takes it away. */
const props = defineProps<{
  label: string;
  mm: number | undefined;
  name: string;
  take: (mm: number | undefined) => readonly Fault[];
  done: () => void;
}>();

const lengths = useLengths();

function read(text: string): TypedReading {
  if (text.trim() === '') return { value: 0 };
  const reading = lengths.read(text);
  return reading.kind === 'length' ? { value: reading.mm, note: reading.note } : reading;
}
</script>

<template>
  <TypedField
    :label="label"
    :name="name"
    :value="mm ?? 0"
    :shown="mm === undefined ? 'none' : lengths.length(mm)"
    :editable="mm === undefined ? '' : lengths.editable(mm)"
    inputmode="text"
    takes="length"
    :read="read"
    :take="(value) => props.take(value === 0 ? undefined : value)"
    :words="(fault, typed) => `${lengths.length(typed)} ${lengths.rule(fault)}`"
    :done="done"
  />
</template>
