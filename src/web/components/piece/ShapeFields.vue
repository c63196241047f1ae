<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { isDraped } from '../../../core/forms/mould/draped.ts';
import type { Target } from '../../../core/target/target.ts';
import { useOpenedParts } from '../../composables/openedParts.ts';
import { usePiece } from '../../stores/piece.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import ClayFields from './ClayFields.vue';
import FormFields from './FormFields.vue';
import FoldAway from '../frame/FoldAway.vue';
import HoldSize from './HoldSize.vue';
import InHandNote from './InHandNote.vue';
import LengthField from '../fields/LengthField.vue';
import StickOffer from './StickOffer.vue';
import { MEASURED_WAYS, STATE_WAYS } from './ways.ts';

/** What the finished piece must be, and the clay and slab that it is made from. */
const stands = useOpenedParts();
const piece = usePiece();
const shown = computed(() => piece.beside.target);

function put(group: string, next: Partial<Target>): readonly Fault[] {
  return piece.change({ ...piece.target, ...next }, group);
}
/** The base is as thick as the wall until it is given its own thickness. */
const alike = computed(() => shown.value.slab.base === shown.value.slab.wall);
function putWall(wall: number): readonly Fault[] {
  const { slab } = piece.target;
  return put('slab.wall', { slab: { ...slab, wall, base: follows ? wall : slab.base } });
}
/** Whether the base follows the wall. Set when a field is left: half-typed figures may be equal by chance. */
let follows = alike.value;
const putBase = (base: number) => put('slab.base', { slab: { ...piece.target.slab, base } });
/** A tool is measured as it is: neither over a face nor before or after firing. */
const fromTool = computed(() => ['former', 'mould', 'mesh', 'stand', 'sheet'].includes(shown.value.form.kind));
/** Cut from one slab, without a base. */
const oneSlab = computed(() => isDraped(shown.value) || ['stand', 'sheet'].includes(shown.value.form.kind));
const measured = computed(
  () => `${shown.value.size.face}, ${shown.value.size.state === 'fired' ? 'after firing' : 'wet'}`,
);
/** The folded field stays folded while it is being edited. */
const wasAlike = ref(alike.value);
watch(
  () => piece.design?.id,
  () => (wasAlike.value = alike.value),
);
function done(): void {
  wasAlike.value = alike.value;
  piece.endGesture();
  follows = alike.value;
}
</script>

<template>
  <section aria-labelledby="shape-heading">
    <h2 id="shape-heading">The finished piece</h2>
    <InHandNote />
    <FormFields />
    <HoldSize v-if="stands('hold') && !shown.inHand" />
    <FoldAway v-if="stands('hold') && !fromTool" title="Sizes are" :holds="measured">
      <ChoiceField
        label="Measured over"
        name="face"
        :value="shown.size.face"
        :choices="MEASURED_WAYS"
        @choose="(face) => put('size', { size: { ...piece.target.size, face } })"
      />
      <ChoiceField
        label="They are"
        name="state"
        :value="shown.size.state"
        :choices="STATE_WAYS"
        @choose="(state) => put('size', { size: { ...piece.target.size, state } })"
      />
    </FoldAway>
    <template v-if="stands('clay')">
      <h2>Clay and slab</h2>
      <ClayFields />
    </template>
    <template v-if="stands('slab')">
      <LengthField
        :label="oneSlab ? 'Slab, wet' : 'Wall, wet'"
        name="wall"
        :mm="shown.slab.wall"
        :take="putWall"
        :done="done"
      />
      <StickOffer />
      <template v-if="!oneSlab">
        <FoldAway v-if="wasAlike" title="Base" holds="as thick as the wall">
          <LengthField label="Base, wet" name="base" :mm="shown.slab.base" :take="putBase" :done="done" />
        </FoldAway>
        <LengthField v-else label="Base, wet" name="base" :mm="shown.slab.base" :take="putBase" :done="done" />
      </template>
    </template>
  </section>
</template>
