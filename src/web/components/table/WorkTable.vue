<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, h, ref } from 'vue';
import type { FigureId } from '../../../core/forms/kind/step.ts';
import { isDraped } from '../../../core/forms/mould/draped.ts';
import { NARROW_TABLE } from '../../composables/tableLayout.ts';
import { useRehearsal } from '../../composables/useRehearsal.ts';
import { useZoom } from '../../composables/useZoom.ts';
import { usePiece } from '../../stores/piece.ts';
import TableDrawing from './TableDrawing.vue';
import ZoomButtons from '../frame/ZoomButtons.vue';
import { WordHelp } from '../piece/laterParts.ts';
import { layTable, leaningEdges } from './tablePlaces.ts';

/** The table: the flat parts at one scale with their dimensions, and the piece small beside them. */
const emit = defineEmits<{ how: [figure: FigureId]; shape: [] }>();

const piece = usePiece();
const table = ref<HTMLElement | null>(null);
const { near, style, nearer, farther, fit } = useZoom(table);
const { width, height } = useElementSize(table);

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
const layout = computed(() => layTable(piece.target, piece.developed, room.value));
const drawn = computed(() => (narrow.value ? layout.value.height + BELOW : height.value));

/** Whether an edge leans: what tuck and spread mean is told on the spot. */
const leans = computed(() => piece.developed.parts.some((part) => leaningEdges(part).length > 0));

// A piece from a mould is laid in a worker.
if (!isDraped(piece.target)) {
  useRehearsal((target, developed) =>
    h(TableDrawing, {
      target,
      developed,
      layout: layTable(target, developed, room.value),
      width: width.value,
      height: height.value,
    }),
  );
}
</script>

<template>
  <div ref="table" class="work-table" :style="{ height: narrow ? `${drawn}px` : undefined }">
    <div class="zoomed" :style="style">
      <TableDrawing
        v-if="width > 0"
        :target="piece.target"
        :developed="piece.developed"
        :layout="layout"
        :width="width"
        :height="drawn"
        @how="(figure) => emit('how', figure)"
        @shape="emit('shape')"
      />
    </div>
    <div class="corner">
      <WordHelp v-if="leans" word="lean" />
      <ZoomButtons :near="near" @nearer="nearer" @farther="farther" @fit="fit" />
    </div>
  </div>
</template>

<style scoped>
.corner {
  position: absolute;
  right: 8px;
  bottom: 4px;
  display: flex;
}
</style>
