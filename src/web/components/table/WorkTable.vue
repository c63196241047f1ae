<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { FigureId } from '../../../core/piece/explain/step.ts';
import { isPlate } from '../../../core/part/part.ts';
import { NARROW_TABLE } from '../../composables/tableLayout.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useSize } from '../../composables/useSize.ts';
import { whileIdle } from '../../composables/whileIdle.ts';
import { isDraped } from '../../../core/mould/draped.ts';
import { checkTarget } from '../../../core/piece/checkTarget.ts';
import { formSizes } from '../../../core/piece/formSizes.ts';
import { develop } from '../../../core/piece/develop.ts';
import { useBench } from '../../stores/bench.ts';
import { usePiece } from '../../stores/piece.ts';
import { dimensionLine, partDimensions } from './dimensionLines.ts';
import FigureTag from './FigureTag.vue';
import FlatPart from './FlatPart.vue';
import PartWords from './PartWords.vue';
import PieceElevation from './PieceElevation.vue';
import SizeHandle from './SizeHandle.vue';
import TableLeans from './TableLeans.vue';
import { layTable, tablePlaces, type LaidTable, type PartPlace } from './tablePlaces.ts';
import { useSizeDrag, type DraggedSize } from './useSizeDrag.ts';

/** The table: flat parts and the standing piece at one scale, with their dimensions. */
const emit = defineEmits<{ how: [figure: FigureId] }>();

const piece = usePiece();
const lengths = useLengths();
const drag = useSizeDrag();
const table = ref<HTMLElement | null>(null);
const { width, height } = useSize(table);
/** While a handle is dragged the layout stands still, so that the handle stays under the pointer. */
const held = shallowRef<LaidTable | null>(null);

/** A narrow table grows as far as its drawings need; a wide one stays as it is laid out. */
const narrow = computed(() => width.value > 0 && width.value < NARROW_TABLE);
/** The lowest line of the table says which face is looked at (px). */
const CAPTION = 26;
/** A lower piece has no room for the words in it (px). */
const CAPTION_ROOM = 70;
const room = computed(() => (narrow.value ? Infinity : Math.max(0, height.value - CAPTION)));
const layout = computed(
  () => held.value ?? layTable(piece.target, piece.developed, { width: width.value, height: room.value }),
);
const places = computed(() => tablePlaces(piece.target, piece.developed, layout.value));
/** The piece is worked out a few times before the first key (ms in all), now one size of it a little larger, now another. */
const WARM = 400;
const bench = useBench();
let rounds = 0;
const warm = () => {
  const sizes = formSizes(piece.target.form).filter(({ unit }) => unit === 'length');
  const size = sizes[rounds % sizes.length];
  rounds += 1;
  const target = { ...piece.target, ...(size && { form: size.put(Math.round(size.value) + (rounds % 7) / 2) }) };
  if (checkTarget(target).length > 0) return;
  const developed = develop(target, bench.bench);
  tablePlaces(target, developed, layTable(target, developed, { width: width.value, height: room.value }));
};
// A piece from a mould is laid in a worker.
if (!isDraped(piece.target)) whileIdle(warm, WARM);
const straight = computed(() => ['cylinder', 'former'].includes(piece.target.form.kind));
const round = computed(() => ['cylinder', 'former', 'taper', 'stack'].includes(piece.target.form.kind));
const baseFigure = computed<FigureId>(() =>
  piece.target.slab.faceUp === 'inside' ? 'baseTopDiameter' : 'baseDiameter',
);
const sizeTags = computed(() => {
  const { piece: standing } = places.value;
  const ofForm = drag.handles.value.filter(({ at }) => 'reach' in at);
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

function startDrag(key: string): void {
  held.value = layout.value;
  drag.start(key);
}
function endDrag(): void {
  held.value = null;
  piece.endGesture();
}
</script>

<template>
  <div ref="table" class="work-table" :style="{ height: narrow ? `${layout.height + 24}px` : undefined }">
    <template v-if="width > 0">
      <svg
        :width="width"
        :height="narrow ? layout.height + 24 : height"
        role="img"
        :aria-label="`Flat parts and side view of ${piece.target.name}`"
      >
        <template v-for="place in places.parts" :key="place.part.id">
          <FlatPart
            :part="place.part"
            :scale="places.scale"
            :at="[place.x, place.y]"
            :hanging="place.hanging.length > 0"
          />
          <PartWords :place="place" />
        </template>
        <PieceElevation :target="piece.target" :scale="places.scale" :at="places.piece.at" />
        <path class="dimension" :d="dimensions" />
        <text class="looking" x="14" :y="(narrow ? layout.height + 24 : height) - 12">
          {{ piece.target.slab.faceUp }} face up, seen from above
        </text>
        <text
          v-if="places.piece.y - places.piece.top > CAPTION_ROOM && piece.target.form.kind !== 'stand'"
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
        :take="(mm) => drag.take(tag.handle.size.key, mm)"
        :at="tag.at"
        @done="piece.endGesture()"
      />
      <SizeHandle
        v-for="handle in drag.handles.value"
        :key="handle.size.key"
        :label="`Drag: ${handle.size.label}`"
        :axis="handle.axis"
        :value="handle.size.value"
        :value-text="lengths.length(handle.size.value)"
        :at="handleAt(handle)"
        @start="startDrag(handle.size.key)"
        @move="(px) => drag.dragTo(handle, px, layout.scale)"
        @step="(mm) => drag.step(handle.size.key, mm)"
        @end="endDrag"
      />
      <TableLeans :places="places" />
    </template>
  </div>
</template>

<style scoped>
/* What is redrawn here at every key touches nothing around it. */
.work-table {
  contain: layout paint style;
  position: relative;
  overflow: hidden;
  background-color: var(--cloth);
  background-image:
    radial-gradient(var(--cloth-weave) 1.2px, transparent 1.3px),
    radial-gradient(var(--cloth-weave) 1.2px, transparent 1.3px);
  background-repeat: repeat;
  background-size: 6px 6px;
  background-position:
    0 0,
    3px 3px;
}
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
