<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { FigureId } from '../../../core/piece/explain/step.ts';
import { isDraped } from '../../../core/mould/draped.ts';
import { NARROW_TABLE } from '../../composables/tableLayout.ts';
import { useSize } from '../../composables/useSize.ts';
import { useBench } from '../../stores/bench.ts';
import { usePiece } from '../../stores/piece.ts';
import TableDrawing from './TableDrawing.vue';
import { layTable, type LaidTable } from './tablePlaces.ts';
import { useRehearsal } from './useRehearsal.ts';
import { useSizeDrag } from './useSizeDrag.ts';

/** The table: flat parts and the standing piece at one scale, with their dimensions. */
const emit = defineEmits<{ how: [figure: FigureId] }>();

const piece = usePiece();
const drag = useSizeDrag();
const table = ref<HTMLElement | null>(null);
const { width, height } = useSize(table);
/** While a handle is dragged the layout stands still, so that the handle stays under the pointer. */
const held = shallowRef<LaidTable | null>(null);

/** A narrow table grows as far as its drawings need; a wide one stays as it is laid out. */
const narrow = computed(() => width.value > 0 && width.value < NARROW_TABLE);
/** The lowest line of the table says which face is looked at (px). */
const CAPTION = 26;
/** What a narrow table has below its drawings (px). */
const BELOW = 24;
const room = computed(() => ({
  width: width.value,
  height: narrow.value ? Infinity : Math.max(0, height.value - CAPTION),
}));
const layout = computed(() => held.value ?? layTable(piece.target, piece.developed, room.value));
const drawn = computed(() => (narrow.value ? layout.value.height + BELOW : height.value));

const bench = useBench();
// A piece from a mould is laid in a worker.
if (!isDraped(piece.target))
  useRehearsal(() => ({ target: piece.target, bench: bench.bench, room: room.value, height: height.value }));

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
  <div ref="table" class="work-table" :style="{ height: narrow ? `${drawn}px` : undefined }">
    <TableDrawing
      v-if="width > 0"
      :target="piece.target"
      :developed="piece.developed"
      :layout="layout"
      :width="width"
      :height="drawn"
      :take="drag.take"
      @how="(figure) => emit('how', figure)"
      @start="startDrag"
      @drag="(handle, px) => drag.dragTo(handle, px, layout.scale)"
      @step="drag.step"
      @end="endDrag"
      @done="piece.endGesture()"
    />
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
</style>
