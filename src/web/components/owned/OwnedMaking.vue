<script setup lang="ts">
import type { Fault } from '../../../core/errors.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import LengthField from '../fields/LengthField.vue';
import NumberField from '../fields/NumberField.vue';
import OptionalLength from '../fields/OptionalLength.vue';
import { BASE_WAYS, SEAM_WAYS } from '../piece/ways.ts';
import type { Owned } from './owned.ts';
import { putMeasure } from './putMeasure.ts';

/** Clay, slab and joins that what is owned is used with. */
const props = defineProps<{ owned: Owned }>();
const { kind, making } = props.owned;

function putShrinkage(value: number): readonly Fault[] {
  if (value < 0 || value > 0.25)
    return [{ code: 'out-of-range', path: 'shrinkage', value: String(value), rule: 'must be from 0 to 0.25' }];
  making.shrinkage = value;
  return [];
}
function putFloor(mm: number | undefined): readonly Fault[] {
  making.floor = mm;
  return [];
}
const done = () => undefined;
</script>

<template>
  <h2>Clay, slab and joins</h2>
  <NumberField
    label="Total shrinkage"
    name="shrinkage"
    unit=" %"
    :factor="0.01"
    :value="making.shrinkage"
    :take="putShrinkage"
    :done="done"
  />
  <LengthField label="Wall, wet" name="wall" :mm="making.wall" :take="putMeasure(making, 'wall')" :done="done" />
  <OptionalLength
    v-if="kind !== 'round'"
    label="Base, if different"
    name="floor"
    :mm="making.floor"
    :take="putFloor"
    :done="done"
  />
  <ChoiceField
    v-if="kind !== 'round'"
    label="Seam"
    name="seam"
    :value="making.seam"
    :choices="SEAM_WAYS"
    @choose="(value) => (making.seam = value)"
  />
  <LengthField
    v-if="kind !== 'round' && (making.seam === 'lap' || making.seam === 'half-lap')"
    label="Overlap"
    name="overlap"
    :mm="making.overlap"
    :take="putMeasure(making, 'overlap')"
    :done="done"
  />
  <ChoiceField
    v-if="kind !== 'round'"
    label="Base"
    name="base"
    :value="making.base"
    :choices="BASE_WAYS"
    @choose="(value) => (making.base = value)"
  />
</template>
