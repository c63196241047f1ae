<script setup lang="ts">
import type { Basis } from '../../../core/studio/clay/bars.ts';
import type { Clay } from '../../../core/studio/clay/clay.ts';
import type { Fault } from '../../../core/errors.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import type { Choice } from '../fields/choice.ts';
import NumberField from '../fields/NumberField.vue';
import TextField from '../fields/TextField.vue';

/** What is known of a clay besides its bars. */
const props = defineProps<{
  clay: Clay;
  put: (change: Partial<Clay>, group?: string) => readonly Fault[];
  done: () => void;
}>();
defineEmits<{ remove: [] }>();

const BASES: readonly Choice<Basis>[] = [
  {
    value: 'maker',
    title: 'the maker’s',
    why: 'It is on the bag or in the maker’s list. Your kiln and your water may differ.',
  },
  {
    value: 'guess',
    title: 'a guess',
    why: 'Most clays shrink by 10 to 15 %. Good enough for a first test piece, not for a set that must fit.',
  },
];

/** 0 stands for no figure. */
const some = (key: 'price' | 'bag') => (value: number) => props.put({ [key]: value === 0 ? undefined : value }, key);
</script>

<template>
  <section aria-labelledby="about-heading">
    <h2 id="about-heading">This clay</h2>
    <TextField
      label="Name"
      name="clay-name"
      :value="clay.name"
      :most="120"
      :take="(name) => put({ name }, 'name')"
      :done="done"
    />
    <NumberField
      label="Shrinkage, as entered"
      name="clay-shrinkage"
      unit=" %"
      :factor="0.01"
      :value="clay.shrinkage"
      :take="(shrinkage) => put({ shrinkage }, 'shrinkage')"
      :done="done"
    />
    <ChoiceField
      label="That figure is"
      name="basis"
      :value="clay.basis"
      :choices="BASES"
      @choose="(basis) => put({ basis })"
    />
    <NumberField
      label="Wet density"
      name="clay-density"
      unit=" g/cm³"
      :value="clay.wetDensity"
      :take="(wetDensity) => put({ wetDensity }, 'wetDensity')"
      :done="done"
    />
    <NumberField
      label="A bag weighs"
      name="bag"
      unit=" kg"
      :factor="1000"
      zero="unknown"
      :value="clay.bag ?? 0"
      :take="some('bag')"
      :done="done"
    />
    <NumberField
      label="A bag costs"
      name="price"
      unit=""
      zero="unknown"
      :value="clay.price ?? 0"
      :take="some('price')"
      :done="done"
    />
    <TextField
      label="Fired at"
      name="firing"
      :value="clay.firing ?? ''"
      :most="400"
      :take="(firing) => put({ firing }, 'firing')"
      :done="done"
    />
    <TextField
      label="Note"
      name="note"
      :value="clay.note ?? ''"
      :most="400"
      :take="(note) => put({ note }, 'note')"
      :done="done"
    />
    <VBtn variant="text" class="away" @click="$emit('remove')">Take this clay out of the book</VBtn>
  </section>
</template>
