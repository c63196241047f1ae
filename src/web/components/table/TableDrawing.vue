<script setup lang="ts">
import { computed } from 'vue';
import { isPlate } from '../../../core/parts/part/part.ts';
import type { Development } from '../../../core/piece/develop.ts';
import type { FigureId } from '../../../core/forms/kind/step.ts';
import type { Target } from '../../../core/target/target.ts';
import { partDimensions } from './dimensionLines.ts';
import FigureTag from './FigureTag.vue';
import FlatPart from './FlatPart.vue';
import PartWords from './PartWords.vue';
import PieceElevation from './PieceElevation.vue';
import TableLeans from './TableLeans.vue';
import { tablePlaces, type LaidTable, type PartPlace } from './tablePlaces.ts';

/** What lies on the table: flat parts as laid out, with their dimensions, and the piece small, `width` by `height` px. */
const props = defineProps<{
  target: Target;
  developed: Development;
  layout: LaidTable;
  width: number;
  height: number;
}>();
const emit = defineEmits<{ how: [figure: FigureId]; shape: [] }>();

const places = computed(() => tablePlaces(props.target, props.developed, props.layout));
const straight = computed(() => ['cylinder', 'former'].includes(props.target.form.kind));
const baseFigure = computed<FigureId>(() =>
  props.target.slab.faceUp === 'inside' ? 'baseTopDiameter' : 'baseDiameter',
);
/** All dimension lines are one path, since it is rendered at every keystroke. */
const dimensions = computed(() => places.value.parts.map(partDimensions).join(''));

function lengthFigure(place: PartPlace): FigureId | null {
  const { id, role } = place.part;
  if (role === 'base') return straight.value ? baseFigure.value : null;
  if (role === 'handle') return 'handleLength';
  return straight.value && id === 'wall' ? 'cutLength' : null;
}

/** What the two directions of a part are called. */
const along = ({ part, round }: PartPlace) => (!isPlate(part) ? 'along' : round ? 'across' : 'long');
const across = ({ part }: PartPlace) => (part.role === 'handle' ? 'width' : isPlate(part) ? 'wide' : 'height');

function how(figure: FigureId | null): void {
  if (figure) emit('how', figure);
}
</script>

<template>
  <svg :width="width" :height="height" role="img" :aria-label="`Flat parts of ${target.name}`">
    <template v-for="place in places.parts" :key="place.part.id">
      <FlatPart :part="place.part" :scale="places.scale" :at="[place.x, place.y]" :hanging="place.hanging.length > 0" />
      <PartWords :place="place" />
    </template>
    <PieceElevation :target="target" :scale="places.piece.scale" :at="places.piece.at" />
    <path class="dimension" :d="dimensions" />
    <text class="looking" x="14" :y="height - 12">{{ target.slab.faceUp }} face up, seen from above</text>
  </svg>
  <template v-for="place in places.parts" :key="place.part.id">
    <FigureTag
      :label="`${place.part.name}, ${along(place)}`"
      :mm="place.traced.length"
      :at="[
        place.traced.left + place.traced.pxLength / 2,
        isPlate(place.part) ? place.y + 28 : place.y - place.height - 30,
      ]"
      :plain="lengthFigure(place) === null"
      @how="how(lengthFigure(place))"
    />
    <FigureTag
      v-if="!place.round"
      :label="`${place.part.name}, ${across(place)}`"
      :mm="place.traced.height"
      :at="[place.x + place.width + 50, place.traced.top + place.traced.pxHeight / 2]"
      :plain="!straight || place.part.id !== 'wall'"
      @how="how(straight && place.part.id === 'wall' ? 'cutHeight' : null)"
    />
  </template>
  <VBtn
    class="to-shape"
    variant="text"
    aria-label="Shape: the standing piece"
    :style="{
      transform: `translate(${places.piece.left - 14}px, ${places.piece.top - 14}px)`,
      width: `${places.piece.right - places.piece.left + 28}px`,
      height: `${places.piece.at[1] - places.piece.top + 42}px`,
    }"
    @click="emit('shape')"
  >
    <span>Shape</span>
  </VBtn>
  <TableLeans :places="places" />
</template>

<style scoped>
svg {
  display: block;
}
.looking {
  fill: var(--ink-soft);
  font-size: 15px;
}
.dimension {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.5;
}
.to-shape {
  position: absolute;
  top: 0;
  left: 0;
  align-items: end;
  padding: 0 4px;
}
</style>
