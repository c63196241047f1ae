<script setup lang="ts">
import { computed } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { isPlate } from '../../../core/part/part.ts';
import type { Development } from '../../../core/piece/develop.ts';
import type { FigureId } from '../../../core/piece/explain/step.ts';
import type { Target } from '../../../core/piece/target.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { dimensionLine, partDimensions } from './dimensionLines.ts';
import { draggedSizes, type DraggedSize } from './draggedSizes.ts';
import FigureTag from './FigureTag.vue';
import FlatPart from './FlatPart.vue';
import PartWords from './PartWords.vue';
import PieceElevation from './PieceElevation.vue';
import SizeHandle from './SizeHandle.vue';
import TableLeans from './TableLeans.vue';
import { tablePlaces, type LaidTable, type PartPlace } from './tablePlaces.ts';

/** What lies on the table: flat parts and the standing piece as laid out, with their dimensions, `width` by `height` px. */
const props = defineProps<{
  target: Target;
  developed: Development;
  layout: LaidTable;
  width: number;
  height: number;
  /** Changes a size by its key (mm). */
  take: (key: string, mm: number) => readonly Fault[];
}>();
const emit = defineEmits<{
  how: [figure: FigureId];
  start: [key: string];
  drag: [handle: DraggedSize, px: number];
  step: [key: string, mm: number];
  end: [];
  done: [];
}>();

const lengths = useLengths();
/** A lower piece has no room for the words in it (px). */
const CAPTION_ROOM = 70;
const places = computed(() => tablePlaces(props.target, props.developed, props.layout));
const handles = computed(() => draggedSizes(props.target));
const straight = computed(() => ['cylinder', 'former'].includes(props.target.form.kind));
const round = computed(() => ['cylinder', 'former', 'taper', 'stack'].includes(props.target.form.kind));
const baseFigure = computed<FigureId>(() =>
  props.target.slab.faceUp === 'inside' ? 'baseTopDiameter' : 'baseDiameter',
);
const sizeTags = computed(() => {
  const { piece: standing } = places.value;
  const ofForm = handles.value.filter(({ at }) => 'reach' in at);
  const across = ofForm.filter(({ axis }) => axis === 'across');
  const widest = across.find(({ size }) => size.value === Math.max(...across.map((one) => one.size.value)));
  const up = ofForm.filter(({ axis }) => axis === 'up');
  const tallest = up.findLast(({ size }) => size.value === Math.max(...up.map((one) => one.size.value)));
  return [
    ...(widest
      ? [{ handle: widest, sign: round.value ? 'Ø ' : '', at: [standing.middle, standing.y + 28] as const }]
      : []),
    ...(tallest
      ? [{ handle: tallest, sign: '', at: [standing.wetRight + 50, (standing.y + standing.top) / 2] as const }]
      : []),
  ];
});

/** All dimension lines are one path: the page draws it at every key. */
const dimensions = computed(() => {
  const { parts, piece: standing } = places.value;
  const { left, right, wetRight, y, top } = standing;
  const sizes = sizeTags.value.map(({ handle }) =>
    handle.axis === 'across'
      ? dimensionLine(left, y + 28, right, y + 28)
      : dimensionLine(wetRight + 48, y, wetRight + 48, top),
  );
  return [...parts.map(partDimensions), ...sizes].join('');
});

/** Half the fired piece's width at a share of its height (px). */
function reachAt(share: number): number {
  const { fired } = places.value.piece;
  const z = share * fired.height;
  const right = fired.outer.slice(0, fired.outer.length / 2);
  for (let index = 1; index < right.length; index += 1) {
    const [x0 = 0, z0 = 0] = right[index - 1] ?? [];
    const [x1 = 0, z1 = 0] = right[index] ?? [];
    if (z <= z1 + 1e-6 && z1 > z0) return (x0 + ((z - z0) / (z1 - z0)) * (x1 - x0)) * places.value.scale;
  }
  return (right.at(-1)?.[0] ?? 0) * places.value.scale;
}

function handleAt({ at }: DraggedSize): readonly [number, number] {
  const { piece: standing, scale } = places.value;
  if ('point' in at) return [standing.middle + at.point[0] * scale, standing.at[1] - at.point[1] * scale];
  const y = standing.y - at.height * (standing.y - standing.top);
  return [standing.middle + (at.reach === 'right' ? reachAt(at.height) : 0), y];
}

function lengthFigure(place: PartPlace): FigureId | null {
  const { id } = place.part;
  if (id === 'base') return straight.value ? baseFigure.value : null;
  if (id === 'handle') return 'handleLength';
  return straight.value && id === 'wall' ? 'cutLength' : null;
}

function how(figure: FigureId | null): void {
  if (figure) emit('how', figure);
}
</script>

<template>
  <svg :width="width" :height="height" role="img" :aria-label="`Flat parts and side view of ${target.name}`">
    <template v-for="place in places.parts" :key="place.part.id">
      <FlatPart :part="place.part" :scale="places.scale" :at="[place.x, place.y]" :hanging="place.hanging.length > 0" />
      <PartWords :place="place" />
    </template>
    <PieceElevation :target="target" :scale="places.scale" :at="places.piece.at" />
    <path class="dimension" :d="dimensions" />
    <text class="looking" x="14" :y="height - 12">{{ target.slab.faceUp }} face up, seen from above</text>
    <text
      v-if="places.piece.y - places.piece.top > CAPTION_ROOM && target.form.kind !== 'stand'"
      class="caption"
      :transform="`translate(${places.piece.middle} ${places.piece.y - 30})`"
    >
      {{ places.piece.right - places.piece.left > 130 ? 'fired, wet dashed' : 'fired' }}
    </text>
  </svg>
  <template v-for="place in places.parts" :key="place.part.id">
    <FigureTag
      :label="`${place.part.name}, ${isPlate(place.part) ? 'across' : 'along'}`"
      :mm="place.traced.length"
      :at="[
        place.traced.left + place.traced.pxLength / 2,
        isPlate(place.part) ? place.y + 28 : place.y - place.height - 30,
      ]"
      :plain="lengthFigure(place) === null"
      @how="how(lengthFigure(place))"
    />
    <FigureTag
      v-if="!isPlate(place.part)"
      :label="`${place.part.name}, ${place.part.id === 'handle' ? 'width' : 'height'}`"
      :mm="place.traced.height"
      :at="[place.x + place.width + 50, place.traced.top + place.traced.pxHeight / 2]"
      :plain="!straight || place.part.id !== 'wall'"
      @how="how(straight && place.part.id === 'wall' ? 'cutHeight' : null)"
    />
  </template>
  <FigureTag
    v-for="tag in sizeTags"
    :key="tag.handle.size.key"
    :label="tag.handle.size.label"
    :sign="tag.sign"
    :mm="tag.handle.size.value"
    :take="(mm) => take(tag.handle.size.key, mm)"
    :at="tag.at"
    @done="emit('done')"
  />
  <SizeHandle
    v-for="handle in handles"
    :key="handle.size.key"
    :label="`Drag: ${handle.size.label}`"
    :axis="handle.axis"
    :value="handle.size.value"
    :value-text="lengths.length(handle.size.value)"
    :at="handleAt(handle)"
    @start="emit('start', handle.size.key)"
    @move="(px) => emit('drag', handle, px)"
    @step="(mm) => emit('step', handle.size.key, mm)"
    @end="emit('end')"
  />
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
.caption {
  fill: var(--ink);
  font-size: 15px;
  text-anchor: middle;
}
</style>
