<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, h, ref, shallowRef } from 'vue';
import { isDraped } from '../../../core/forms/mould/draped.ts';
import { useOpenedParts } from '../../composables/openedParts.ts';
import { useRehearsal } from '../../composables/useRehearsal.ts';
import { usePiece } from '../../stores/piece.ts';
import { useSettings } from '../../stores/settings.ts';
import { FIRST_CHOICES } from '../standing/raiseChoices.ts';
import { StandingView } from '../piece/laterParts.ts';
import { useSizeDrag } from '../table/useSizeDrag.ts';
import PartsStrip from './PartsStrip.vue';
import ShapeDrawing from './ShapeDrawing.vue';
import { shapePlaces, type ShapePlaces } from './shapePlaces.ts';

/** Stage Shape: the piece leads, from the side with every size on it, or standing to be turned; its flat parts small below. */
const emit = defineEmits<{ flat: [] }>();

const piece = usePiece();
const settings = useSettings();
const drag = useSizeDrag();
const table = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(table);
const turning = ref(false);
const showsHand = ref(false);
/** From where the standing piece is looked at. */
const LOOK = { view: 'turned' } as const;
/** While a size is dragged the drawing stands still, so that the grip stays under the pointer. */
const held = shallowRef<ShapePlaces | null>(null);
const raises = computed(() => !isDraped(piece.target) && !['stand', 'sheet'].includes(piece.target.form.kind));
const stands = useOpenedParts();
const opens = computed(() => stands('filling line') && piece.developed.finished.capacityBrim > 0);

const room = computed(() => ({ width: width.value, height: height.value }));
const places = computed(() => shapePlaces(piece.target, room.value, held.value ?? undefined));
const hand = computed(() => (showsHand.value ? settings.hand : null));

// A piece from a mould is laid in a worker.
if (!isDraped(piece.target)) {
  useRehearsal((target, developed) =>
    h(ShapeDrawing, {
      target,
      developed,
      places: shapePlaces(target, room.value),
      ...room.value,
      hand: null,
      take: () => [],
    }),
  );
}

function startDrag(key: string): void {
  held.value = places.value;
  drag.start(key);
}
function endDrag(): void {
  held.value = null;
  piece.endGesture();
}
</script>

<template>
  <div class="shape-table">
    <div class="leading">
      <StandingView v-if="turning && raises" :share="1" :choices="FIRST_CHOICES" :look="LOOK" />
      <div v-else ref="table" class="work-table">
        <ShapeDrawing
          v-if="width > 0"
          :target="piece.target"
          :developed="piece.developed"
          :places="places"
          :width="width"
          :height="height"
          :hand="hand"
          :take="drag.take"
          @start="startDrag"
          @drag="(handle, px) => drag.dragTo(handle, px, places.scale)"
          @step="drag.step"
          @end="endDrag"
          @done="piece.endGesture()"
        />
      </div>
      <p class="ways">
        <VBtn v-if="opens && !turning" variant="text" :aria-pressed="showsHand" @click="showsHand = !showsHand"
          >Hand</VBtn
        >
        <VBtn v-if="raises" variant="text" :aria-pressed="turning" @click="turning = !turning">Turn it</VBtn>
      </p>
    </div>
    <PartsStrip :parts="piece.beside.developed.parts" @open="emit('flat')" />
  </div>
</template>

<style scoped>
.shape-table {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
}
.leading {
  position: relative;
  display: grid;
  min-height: 0;
}
.ways {
  position: absolute;
  top: 6px;
  right: 10px;
  display: flex;
  gap: 4px;
}
</style>
