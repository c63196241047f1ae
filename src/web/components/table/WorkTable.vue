<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { FigureId } from '../../../core/piece/explain.ts';
import { NARROW_TABLE, type TableLayout } from '../../composables/tableLayout.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useSize } from '../../composables/useSize.ts';
import { usePiece } from '../../stores/piece.ts';
import DimensionLine from './DimensionLine.vue';
import FigureTag from './FigureTag.vue';
import FlatPart from './FlatPart.vue';
import PieceElevation from './PieceElevation.vue';
import SizeHandle from './SizeHandle.vue';
import TableLeans from './TableLeans.vue';
import { layTable, tablePlaces } from './tablePlaces.ts';
import { useSizeDrag, type SizeKey } from './useSizeDrag.ts';

/** The table: flat parts and the standing piece at one scale, with their dimensions. */
const emit = defineEmits<{ how: [figure: FigureId] }>();

const piece = usePiece();
const lengths = useLengths();
const drag = useSizeDrag();
const table = ref<HTMLElement | null>(null);
const { width, height } = useSize(table);
/** While a handle is dragged the layout stands still, so that the handle stays under the pointer. */
const held = shallowRef<TableLayout | null>(null);

const layout = computed(
  () => held.value ?? layTable(piece.target, piece.developed, { width: width.value, height: height.value }),
);
const places = computed(() => tablePlaces(piece.target, piece.developed, layout.value));
const straight = (edge: string) =>
  places.value?.wall.part.leans.some((lean) => lean.edge === edge && lean.word === 'straight down');
const baseFigure = computed<FigureId>(() =>
  piece.target.slab.faceUp === 'inside' ? 'baseTopDiameter' : 'baseDiameter',
);
const handles: readonly { key: SizeKey; label: string; axis: 'across' | 'up' }[] = [
  { key: 'diameter', label: 'Drag the width', axis: 'across' },
  { key: 'height', label: 'Drag the height', axis: 'up' },
];

function startDrag(key: SizeKey): void {
  held.value = layout.value;
  drag.start(key);
}
function endDrag(): void {
  held.value = null;
  piece.endGesture();
}
</script>

<template>
  <div ref="table" class="work-table">
    <template v-if="width > 0 && places">
      <svg :width="width" :height="height" role="img" :aria-label="`Flat parts and side view of ${piece.target.name}`">
        <FlatPart :part="places.wall.part" :scale="places.scale" :at="layout.wall" />
        <FlatPart
          v-if="places.base"
          :part="places.base.part"
          :scale="places.scale"
          :at="[places.base.x, places.base.y]"
        />
        <PieceElevation :target="piece.target" :scale="places.scale" :at="places.piece.at" />
        <DimensionLine
          :x1="places.wall.x"
          :x2="places.wall.x + places.wall.traced.pxLength"
          :y1="places.wall.y - places.wall.height - 30"
          :y2="places.wall.y - places.wall.height - 30"
        />
        <DimensionLine
          :x1="places.wall.x + places.wall.width + 48"
          :x2="places.wall.x + places.wall.width + 48"
          :y1="places.wall.y - places.wall.height"
          :y2="places.wall.y - places.wall.height + places.wall.traced.pxHeight"
        />
        <DimensionLine
          v-if="places.base"
          :x1="places.base.x + (places.base.width - places.base.traced.pxLength) / 2"
          :x2="places.base.x + (places.base.width + places.base.traced.pxLength) / 2"
          :y1="places.base.y + 28"
          :y2="places.base.y + 28"
        />
        <DimensionLine
          :x1="places.piece.left"
          :x2="places.piece.right"
          :y1="places.piece.y + 28"
          :y2="places.piece.y + 28"
        />
        <DimensionLine
          :x1="places.piece.wetRight + 48"
          :x2="places.piece.wetRight + 48"
          :y1="places.piece.y"
          :y2="places.piece.top"
        />
        <text v-if="straight('rim')" class="edge" :x="places.wall.x + 6" :y="places.wall.y - places.wall.height - 8">
          rim, straight down
        </text>
        <text v-if="straight('foot')" class="edge" :x="places.wall.x + 6" :y="places.wall.y + 20">
          foot, straight down
        </text>
        <g class="roll" :transform="`translate(${places.wall.x + places.wall.width - 92} ${places.wall.y + 15})`">
          <text x="-8" y="5">roll</text>
          <path d="M0 0h84m-9 -5 9 5 -9 5" />
        </g>
        <text class="edge middle" :x="places.piece.middle" :y="places.piece.y - 30">
          {{ places.piece.right - places.piece.left > 130 ? 'fired, wet dashed' : 'fired' }}
        </text>
      </svg>
      <FigureTag
        label="Wall, along"
        :mm="places.wall.traced.length"
        :at="[places.wall.x + places.wall.traced.pxLength / 2, places.wall.y - places.wall.height - 30]"
        @how="emit('how', 'cutLength')"
      />
      <FigureTag
        label="Wall height"
        :mm="places.wall.traced.height"
        :at="[
          places.wall.x + places.wall.width + 50,
          places.wall.y - places.wall.height + places.wall.traced.pxHeight / 2,
        ]"
        @how="emit('how', 'cutHeight')"
      />
      <FigureTag
        v-if="places.base"
        label="Base across"
        :mm="places.base.traced.length"
        :at="[places.base.x + places.base.width / 2, places.base.y + 28]"
        @how="emit('how', baseFigure)"
      />
      <FigureTag
        :label="`Across, ${piece.target.size.face}`"
        sign="Ø "
        :mm="piece.target.form.diameter"
        :take="drag.take('diameter')"
        :at="[places.piece.middle, places.piece.y + 28]"
        @done="piece.endGesture()"
      />
      <FigureTag
        label="Height"
        :mm="piece.target.form.height"
        :take="drag.take('height')"
        :at="[places.piece.wetRight + 50, (places.piece.y + places.piece.top) / 2]"
        @done="piece.endGesture()"
      />
      <SizeHandle
        v-for="handle in handles"
        :key="handle.key"
        :label="handle.label"
        :axis="handle.axis"
        :value="piece.target.form[handle.key]"
        :value-text="lengths.length(piece.target.form[handle.key])"
        :at="
          handle.axis === 'across'
            ? [places.piece.right, (places.piece.y + places.piece.top) / 2]
            : [places.piece.middle, places.piece.top]
        "
        @start="startDrag(handle.key)"
        @move="(px) => drag.dragTo(handle.key, px, layout.scale)"
        @step="(mm) => drag.step(handle.key, mm)"
        @end="endDrag"
      />
      <TableLeans :places="places" :narrow="width < NARROW_TABLE" />
    </template>
  </div>
</template>

<style scoped>
.work-table {
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
.edge,
.roll text {
  fill: var(--ink-soft);
  font-size: 15px;
}
.roll text {
  text-anchor: end;
}
.roll path {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.5;
}
.edge.middle {
  text-anchor: middle;
  fill: var(--ink);
}
</style>
