<script setup lang="ts">
import { computed } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { useMasses } from '../../composables/useMasses.ts';
import TypedField from './TypedField.vue';
import type { TypedReading } from './typedReading.ts';

/** A mass (g) that is typed in grams or ounces, as the unit in use goes; 0 is none. */
const props = defineProps<{
  label: string;
  /** No device writes here: what it says is set by hand. */
  byHand?: boolean;
  grams: number;
  name: string;
  take: (grams: number) => readonly Fault[];
  done: () => void;
}>();

const masses = useMasses();
const NONE = 'none';
const shown = computed(() => (props.grams > 0 ? masses.write(props.grams) : NONE));

function read(text: string): TypedReading {
  if (['', '0', NONE].includes(text.trim().toLowerCase())) return { value: 0 };
  const grams = masses.read(text);
  return grams === null ? { rule: `write a mass such as ${masses.write(20)}` } : { value: grams };
}

/** Limits are said in the unit in use. */
const words = (fault: Fault, typed: number) =>
  `${masses.write(typed)}: ${fault.rule.replace(/\d+(\.\d+)?/g, (grams) => masses.write(Number(grams)))}`;
</script>

<template>
  <TypedField
    :label="label"
    :name="name"
    :value="grams"
    :shown="shown"
    :editable="shown"
    inputmode="text"
    :takes="byHand ? undefined : 'mass'"
    :read="read"
    :take="take"
    :words="words"
    :done="done"
  />
</template>
