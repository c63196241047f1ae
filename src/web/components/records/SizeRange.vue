<script setup lang="ts">
import { computed } from 'vue';
import { MEASURED, PIECE_STATES, type Measured } from '../../../core/studio/making/measured.ts';
import { useMade } from '../../stores/made.ts';
import LengthField from '../fields/LengthField.vue';
import MassField from '../fields/MassField.vue';
import NumberField from '../fields/NumberField.vue';
import { MEASURED_NAMES, STATE_NAMES } from '../make/measuredNames.ts';

/** What was measured of it: a size in a state, between two figures. */
const made = useMade();
const whats = [
  { value: null, title: 'any size' },
  ...MEASURED.map((value) => ({ value, title: MEASURED_NAMES[value] })),
];
const states = [
  { value: null, title: 'in any state' },
  ...PIECE_STATES.map((value) => ({ value, title: STATE_NAMES[value] })),
];

const set = computed(() => Object.values(made.range).some((one) => one !== null));
function put(part: Partial<typeof made.range>): [] {
  made.range = { ...made.range, ...part };
  return [];
}
/** Another size has another unit: its bounds begin again. */
const setWhat = (what: Measured | null) => put({ what, least: null, most: null });
const bounds = [
  { key: 'least', label: 'From' },
  { key: 'most', label: 'To' },
] as const;
const done = () => undefined;
</script>

<template>
  <VExpansionPanels>
    <VExpansionPanel :title="set ? 'By a size: set' : 'By a size'">
      <template #text>
        <VSelect label="Size" :items="whats" :model-value="made.range.what" @update:model-value="setWhat" />
        <VSelect
          label="Measured"
          :items="states"
          :model-value="made.range.state"
          @update:model-value="(state) => put({ state })"
        />
        <template v-if="made.range.what">
          <template v-for="{ key, label } in bounds" :key="`${made.range.what} ${key}`">
            <MassField
              v-if="made.range.what === 'weight'"
              :label="label"
              :name="`range-${key}`"
              :grams="made.range[key] ?? 0"
              :take="(value) => put({ [key]: value || null })"
              :done="done"
            />
            <NumberField
              v-else-if="made.range.what === 'capacity' || made.range.what === 'minutes'"
              :label="label"
              :name="`range-${key}`"
              :unit="made.range.what === 'capacity' ? ' ml' : ' min'"
              zero="any"
              :value="made.range[key] ?? 0"
              :take="(value) => put({ [key]: value || null })"
              :done="done"
            />
            <LengthField
              v-else
              :label="label"
              :name="`range-${key}`"
              none="any"
              :mm="made.range[key] ?? 0"
              :take="(value) => put({ [key]: value || null })"
              :done="done"
            />
          </template>
        </template>
        <VBtn v-if="set" @click="made.clearRange()">Any size again</VBtn>
      </template>
    </VExpansionPanel>
  </VExpansionPanels>
</template>
