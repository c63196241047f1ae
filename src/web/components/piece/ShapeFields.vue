<script setup lang="ts">
import { computed } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { isDraped } from '../../../core/mould/draped.ts';
import type { Target } from '../../../core/piece/target.ts';
import { usePiece } from '../../stores/piece.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import ClayFields from './ClayFields.vue';
import FormFields from './FormFields.vue';
import LengthField from '../fields/LengthField.vue';
import StickOffer from './StickOffer.vue';
import { MEASURED_WAYS, STATE_WAYS } from './ways.ts';

/** What the finished piece must be, and the clay and slab that it is made from. */
const piece = usePiece();
const shown = computed(() => piece.beside.target);

function put(group: string, next: Partial<Target>): readonly Fault[] {
  return piece.change({ ...piece.target, ...next }, group);
}
const slab = (key: 'wall' | 'base') => (mm: number) =>
  put(`slab.${key}`, { slab: { ...piece.target.slab, [key]: mm } });
/** A tool is measured as it is: neither over a face nor before or after firing. */
const fromTool = computed(() => ['former', 'mould', 'mesh', 'stand', 'sheet'].includes(shown.value.form.kind));
/** Cut from one slab, without a base. */
const oneSlab = computed(() => isDraped(shown.value) || ['stand', 'sheet'].includes(shown.value.form.kind));
const done = () => piece.endGesture();
</script>

<template>
  <section aria-labelledby="shape-heading">
    <h2 id="shape-heading">The finished piece</h2>
    <FormFields />
    <ChoiceField
      v-if="!fromTool"
      label="Measured over"
      name="face"
      :value="shown.size.face"
      :choices="MEASURED_WAYS"
      @choose="(face) => put('size', { size: { ...piece.target.size, face } })"
    />
    <ChoiceField
      v-if="!fromTool"
      label="Sizes are"
      name="state"
      :value="shown.size.state"
      :choices="STATE_WAYS"
      @choose="(state) => put('size', { size: { ...piece.target.size, state } })"
    />
    <h2>Clay and slab</h2>
    <ClayFields />
    <LengthField
      :label="oneSlab ? 'Slab, wet' : 'Wall, wet'"
      name="wall"
      :mm="shown.slab.wall"
      :take="slab('wall')"
      :done="done"
    />
    <LengthField
      v-if="!oneSlab"
      label="Base, wet"
      name="base"
      :mm="shown.slab.base"
      :take="slab('base')"
      :done="done"
    />
    <StickOffer />
  </section>
</template>
