<script setup lang="ts">
import { computed } from 'vue';
import { knownShrinkage } from '../../../core/studio/clay/bars.ts';
import type { Fault } from '../../../core/errors.ts';
import { DEFAULT_STIFFNESS, type Target } from '../../../core/target/target.ts';
import { usePiece } from '../../stores/piece.ts';
import { useClays } from '../../stores/records.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import type { Choice } from '../fields/choice.ts';
import NumberField from '../fields/NumberField.vue';
import FoldAway from '../frame/FoldAway.vue';
import { bookedClay } from './bookedClay.ts';
import { STIFFNESS_WAYS } from './ways.ts';
import { without } from '../../without.ts';

/** The clay of the piece: one of the clay book, or figures of its own. */
const piece = usePiece();
const clays = useClays();

const shown = computed(() => piece.beside.target);
const booked = computed(() => bookedClay(shown.value, clays.list));

/** The way of a clay that is not in the book. */
const NONE = '';
const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
const choices = computed<readonly Choice<string>[]>(() => [
  ...clays.list.map(({ body }): Choice<string> => {
    const { shrinkage, interval, from } = knownShrinkage(body);
    const sure = interval
      ? `between ${percent(interval[0])} and ${percent(interval[1])} by your ${from}`
      : from === 'bars'
        ? 'from one bar'
        : from === 'maker'
          ? 'the maker’s figure'
          : 'a guess';
    return { value: body.name, title: body.name, why: `Shrinks ${percent(shrinkage)}, ${sure}.` };
  }),
  {
    value: NONE,
    title: 'not in the book',
    why: 'Write its shrinkage and density here. Nothing is known of how sure they are.',
  },
]);

function put(group: string, clay: Partial<Target['clay']>): readonly Fault[] {
  return piece.change({ ...piece.target, clay: without({ ...piece.target.clay, ...clay }) }, group);
}

function choose(name: string): void {
  const clay = clays.list.find(({ body }) => body.name === name)?.body;
  if (!clay) put('clay.name', { name: undefined });
  else take(clay.name, knownShrinkage(clay).shrinkage, clay.wetDensity);
}

function take(name: string, shrinkage: number, wetDensity: number): void {
  put('clay.name', { name, shrinkage: Number(shrinkage.toFixed(5)), wetDensity });
  piece.endGesture();
}
const done = () => piece.endGesture();
</script>

<template>
  <div>
    <ChoiceField label="Clay" name="clay" :value="booked?.clay.name ?? NONE" :choices="choices" @choose="choose" />
    <p v-if="booked?.apart" class="apart" role="status">
      The clay book says {{ percent(booked.known.shrinkage) }}; this piece is cut for
      {{ percent(shown.clay.shrinkage) }}.
      <VBtn variant="text" @click="take(booked.clay.name, booked.known.shrinkage, booked.clay.wetDensity)">
        Cut it for {{ percent(booked.known.shrinkage) }}
      </VBtn>
    </p>
    <NumberField
      label="Total shrinkage"
      name="shrinkage"
      unit=" %"
      :factor="0.01"
      :value="shown.clay.shrinkage"
      :take="(shrinkage) => put('clay.shrinkage', { shrinkage })"
      :done="done"
    />
    <FoldAway
      title="Wet density, bending"
      :holds="`${shown.clay.wetDensity} g/cm³, ${shown.clay.stiffness ?? DEFAULT_STIFFNESS}`"
    >
      <NumberField
        label="Wet density"
        name="wetDensity"
        unit=" g/cm³"
        :value="shown.clay.wetDensity"
        :take="(wetDensity) => put('clay.wetDensity', { wetDensity })"
        :done="done"
      />
      <ChoiceField
        label="Clay when bent"
        name="stiffness"
        :value="shown.clay.stiffness ?? DEFAULT_STIFFNESS"
        :choices="STIFFNESS_WAYS"
        @choose="(stiffness) => put('clay.stiffness', { stiffness })"
      />
    </FoldAway>
  </div>
</template>

<style scoped>
.apart {
  margin: 6px 0;
  padding: 8px 12px;
  background: var(--care);
  border-left: 4px solid var(--care-edge);
}
</style>
