<script setup lang="ts">
import { computed } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { useLengths } from '../../composables/useLengths.ts';
import TypedField from './TypedField.vue';
import type { TypedReading } from './typedReading.ts';

/** A length that is typed as people write it. `take` gives it to the piece and returns what is wrong with it. */
const props = defineProps<{
  label: string;
  /** No device writes here: what it says is set by hand. */
  byHand?: boolean;
  mm: number;
  name: string;
  /** What 0, an empty field, is called where there need be no length. */
  none?: string;
  take: (mm: number) => readonly Fault[];
  done: () => void;
}>();

const lengths = useLengths();

const shown = computed(() => (props.mm === 0 && props.none ? props.none : lengths.length(props.mm)));

function read(text: string): TypedReading {
  if (props.none && ['', '0', props.none].includes(text.trim().toLowerCase())) return { value: 0 };
  const reading = lengths.read(text);
  return reading.kind === 'length' ? { value: reading.mm, note: reading.note } : reading;
}
</script>

<template>
  <TypedField
    :label="label"
    :name="name"
    :value="mm"
    :shown="shown"
    :editable="mm === 0 && none ? none : lengths.editable(mm)"
    inputmode="text"
    :takes="byHand ? undefined : 'length'"
    :read="read"
    :take="take"
    :words="(fault, typed) => `${lengths.length(typed)} ${lengths.rule(fault)}`"
    :done="done"
  />
</template>
