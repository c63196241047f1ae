<script setup lang="ts">
import type { Fault } from '../../../core/errors.ts';
import { useLengths } from '../../composables/useLengths.ts';
import TypedField from './TypedField.vue';
import type { TypedReading } from './typedReading.ts';

/** A length that is typed as people write it. `take` gives it to the piece and returns what is wrong with it. */
defineProps<{
  label: string;
  /** No device writes here: what it says is set by hand. */
  byHand?: boolean;
  mm: number;
  name: string;
  take: (mm: number) => readonly Fault[];
  done: () => void;
}>();

const lengths = useLengths();

function read(text: string): TypedReading {
  const reading = lengths.read(text);
  return reading.kind === 'length' ? { value: reading.mm, note: reading.note } : reading;
}
</script>

<template>
  <TypedField
    :label="label"
    :name="name"
    :value="mm"
    :shown="lengths.length(mm)"
    :editable="lengths.editable(mm)"
    inputmode="text"
    :takes="byHand ? undefined : 'length'"
    :read="read"
    :take="take"
    :words="(fault, typed) => `${lengths.length(typed)} ${lengths.rule(fault)}`"
    :done="done"
  />
</template>
