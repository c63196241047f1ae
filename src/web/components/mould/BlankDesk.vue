<script setup lang="ts">
import { useLengths } from '../../composables/useLengths.ts';
import { computed, onMounted, ref } from 'vue';
import { limitsOf } from '../../../core/forms/mould/limits.ts';
import { isDraped } from '../../../core/forms/mould/draped.ts';
import type { Dart } from '../../../core/target/mouldForm.ts';
import { nextTask } from '../../composables/nextTask.ts';
import { usePiece } from '../../stores/piece.ts';
import OneOf from '../fields/OneOf.vue';
import StrainMap from './StrainMap.vue';
import type { MapQuantity } from './strainDrawing.ts';

/** The blank of a piece from a mould: what the clay must do, flat and formed, and how far the work on it is. */
const piece = usePiece();
const state = ref<'flat' | 'formed'>('flat');
const quantity = ref<MapQuantity>('gather');
/** The desk is mounted before the map: both at once would block the page for too long. */
const laidOut = ref(false);
onMounted(async () => {
  await nextTask();
  laidOut.value = true;
});
/** The last blank of this piece stays while the next one is laid. */
const shown = computed(() => piece.laying.blank ?? piece.laying.last);

const STATES = [
  { value: 'flat', words: 'Flat' },
  { value: 'formed', words: 'Formed' },
] as const;
const QUANTITIES: readonly { value: MapQuantity; words: string }[] = [
  { value: 'gather', words: 'Gather' },
  { value: 'stretch', words: 'Stretch' },
  { value: 'thickness', words: 'Thickness left' },
];
const draped = computed(() => (isDraped(piece.target) ? piece.target : null));
const stopped = computed(() => piece.laying.stopped === piece.target && !piece.laying.blank);

function moveDart(index: number, dart: Dart): void {
  const { target } = piece;
  if (!isDraped(target)) return;
  const darts = (target.form.darts ?? []).map((one, at) => (at === index ? dart : one));
  piece.change({ ...target, form: { ...target.form, darts } }, `dart.${index}`);
}
const lengths = useLengths();
</script>

<template>
  <div class="blank-desk">
    <StrainMap
      v-if="shown && draped && laidOut"
      :blank="shown"
      :formed="state === 'formed'"
      :quantity="quantity"
      :limits="limitsOf(draped)"
      :thickness="draped.slab.wall"
      :darts="draped.form.darts ?? []"
      @move="moveDart"
      @moved="piece.endGesture()"
    />
    <p v-else class="wait" role="status">{{ lengths.words(piece.laying.trouble || 'Laying the slab flat.') }}</p>
    <div class="blank-bar">
      <OneOf label="The slab" :value="state" :choices="STATES" @choose="(one) => (state = one)" />
      <OneOf label="What is drawn" :value="quantity" :choices="QUANTITIES" @choose="(one) => (quantity = one)" />
      <div v-if="piece.laying.far !== null" class="far">
        <VProgressLinear :model-value="100 * piece.laying.far" aria-label="Laying the slab flat" class="far-bar" />
        <VBtn @click="piece.laying.stop()">Stop</VBtn>
      </div>
      <VBtn v-else-if="stopped" @click="piece.laying.lay()">Lay it flat</VBtn>
      <span v-else-if="piece.laying.trouble" role="alert">{{ piece.laying.trouble }}</span>
    </div>
  </div>
</template>

<style scoped>
.blank-desk {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
}
.wait {
  display: grid;
  place-content: safe center;
  background: var(--cloth);
}
.blank-bar {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
  min-height: 58px;
  padding: 6px 18px;
  background: var(--panel);
  border-top: 1px solid var(--line);
}
.far {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-left: auto;
}
.far-bar {
  width: 120px;
}
</style>
