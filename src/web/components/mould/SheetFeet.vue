<script setup lang="ts">
import { footLetter } from '../../../core/forms/bentSheet/placeFeet.ts';
import { vDrag, type DragVerbs } from '../../composables/vDrag.ts';
import { useLengths } from '../../composables/useLengths.ts';
import type { SheetDrawing, View } from './useSheetDrawing.ts';
import type { Point } from '../../../core/geometry/point.ts';

/** The feet under a sheet, by their letters: dragged, or moved by arrow keys. */
const props = defineProps<{ drawing: SheetDrawing; view: View }>();
const emit = defineEmits<{ hold: [still: boolean] }>();
const lengths = useLengths();
const { feet } = props.drawing;

/** Places are taken to half a millimetre; with the shift key a step is larger. */
const GRAIN = 0.5;
const LARGE = 10;
const rounded = (mm: number) => Math.round(mm / GRAIN) * GRAIN;

let held: { readonly index: number; readonly mm: Point } | null = null;
const pull = (index: number, mm: Point): DragVerbs => ({
  start: () => {
    held = { index, mm };
    emit('hold', true);
  },
  move: (dx, dy) => {
    const { scale } = props.view;
    if (held) props.drawing.moveFoot(held.index, [rounded(held.mm[0] + dx / scale), rounded(held.mm[1] - dy / scale)]);
  },
  end: () => {
    held = null;
    emit('hold', false);
    props.drawing.end();
  },
});
const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
function onKey(index: number, mm: Point, event: KeyboardEvent): void {
  const by = ARROWS[event.key];
  if (!by) return;
  event.preventDefault();
  const step = event.shiftKey ? LARGE : GRAIN;
  props.drawing.moveFoot(index, [mm[0] + step * by[0], mm[1] + step * by[1]]);
}
const at = ([x, y]: Point) =>
  `translate(${props.view.x + props.view.scale * x}px, ${props.view.y - props.view.scale * y}px)`;
</script>

<template>
  <div
    v-for="(foot, index) in feet"
    :key="index"
    v-drag="pull(index, foot.at)"
    class="foot"
    role="button"
    tabindex="0"
    :data-foot="index"
    :aria-label="`Foot ${footLetter(index)}, ${lengths.length(foot.length)} long when fired: arrow keys move it`"
    :style="{ transform: at(foot.at) }"
    @keydown="onKey(index, foot.at, $event)"
    @blur="drawing.end()"
  >
    {{ footLetter(index) }}
  </div>
</template>

<style scoped>
/* Under the sheet: a ring with its letter. */
.foot {
  position: absolute;
  top: 0;
  left: 0;
  display: grid;
  place-items: center;
  width: 44px;
  height: 44px;
  margin: -22px 0 0 -22px;
  border: 2px dashed var(--slab-edge);
  border-radius: 50%;
  font-family: 'Bitter', serif;
  font-size: 18px;
  cursor: move;
  touch-action: none;
}
</style>
