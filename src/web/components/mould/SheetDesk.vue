<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref, shallowRef } from 'vue';
import { pathData, screenPx } from '../../../core/files/format/pathData.ts';
import { alongEdge, bounds } from '../../../core/geometry/outline/outline.ts';
import { vDrag, type DragVerbs } from '../../composables/vDrag.ts';
import { useLengths } from '../../composables/useLengths.ts';
import SheetFeet from './SheetFeet.vue';
import SheetVerbs from './SheetVerbs.vue';
import { useSheetDrawing, type Grip, type View } from './useSheetDrawing.ts';
import type { Point } from '../../../core/geometry/point.ts';

/** A sheet's flat outline as it is drawn: points are dragged, edges are drawn out into curves, holes and lines added. */
const drawing = useSheetDrawing();
const { form, chosen, line, edges, grip, trouble } = drawing;
const lengths = useLengths();
const box = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(box);

/** Room round the sheet (px). */
const AIR = 64;
/** A square of the cloth behind (mm). */
const SQUARE = 10;

const fitted = computed((): View => {
  const { minX, minY, maxX, maxY } = bounds(form.value?.outline ?? [[0, 0, 0]]);
  const scale = Math.max(
    0.1,
    Math.min(
      (width.value - 2 * AIR) / Math.max(1, maxX - minX),
      (height.value - 2 * AIR) / Math.max(1, maxY - minY),
      5,
    ),
  );
  return { scale, x: width.value / 2 - (scale * (minX + maxX)) / 2, y: height.value / 2 + (scale * (minY + maxY)) / 2 };
});
/** While a grip is dragged the view stands still. */
const held = shallowRef<View | null>(null);
const view = computed(() => held.value ?? fitted.value);
const px = ([x, y]: Point): Point => [view.value.x + view.value.scale * x, view.value.y - view.value.scale * y];
const origin = computed(() => [view.value.x, view.value.y] as const);
const closedPath = (outline: Parameters<typeof pathData>[0]) =>
  pathData(outline, { scale: view.value.scale, origin: origin.value, write: screenPx });
const openPath = (points: readonly Point[]) =>
  points
    .map(
      (point, index) =>
        `${index === 0 ? 'M' : 'L'}${px(point)
          .map((value) => value.toFixed(2))
          .join(' ')}`,
    )
    .join('');

const grips = computed((): { readonly grip: Grip; readonly mm: Point }[] => {
  if (!line.value) return [];
  const { vertices } = line.value;
  const points = vertices.map(([x, y], index) => ({ grip: { kind: 'point' as const, index }, mm: [x, y] as const }));
  const middles = Array.from({ length: edges.value }, (_, index) => ({
    grip: { kind: 'edge' as const, index },
    mm: alongEdge(vertices, index, 0.5),
  }));
  return [...middles, ...points];
});
const isHeld = (one: Grip) => one.kind === grip.value.kind && one.index === grip.value.index;
const label = ({ kind, index }: Grip) =>
  kind === 'point'
    ? `Point ${index + 1} of ${drawing.wordsOf(chosen.value)}: arrow keys move it`
    : `Edge ${index + 1} of ${drawing.wordsOf(chosen.value)}: arrow keys draw it out`;

/** Places are taken to half a millimetre. */
const GRAIN = 0.5;
const rounded = (mm: number) => Math.round(mm / GRAIN) * GRAIN;
let from: { readonly grip: Grip; readonly mm: Point } | null = null;
const pull = (one: { readonly grip: Grip; readonly mm: Point }): DragVerbs => ({
  start: () => {
    grip.value = one.grip;
    from = one;
    held.value = view.value;
  },
  move: (dx, dy) => {
    if (from)
      drawing.drag(from.grip, [
        rounded(from.mm[0] + dx / view.value.scale),
        rounded(from.mm[1] - dy / view.value.scale),
      ]);
  },
  end: () => {
    from = null;
    held.value = null;
    drawing.end();
  },
});
const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
function onKey(one: { readonly grip: Grip; readonly mm: Point }, event: KeyboardEvent): void {
  grip.value = one.grip;
  if (event.key === 'Delete' || event.key === 'Backspace') {
    event.preventDefault();
    if (one.grip.kind === 'point') drawing.dropPoint();
    else drawing.straighten();
    return;
  }
  const by = ARROWS[event.key];
  if (!by) return;
  event.preventDefault();
  const step = event.shiftKey ? 10 : GRAIN;
  drawing.drag(one.grip, [one.mm[0] + step * by[0], one.mm[1] + step * by[1]]);
}

const size = computed(() => bounds(form.value?.outline ?? [[0, 0, 0]]));
</script>

<template>
  <div class="sheet-desk">
    <div ref="box" class="cloth">
      <svg v-if="width > 0 && form" :width="width" :height="height" role="img" aria-label="The flat sheet, inside up">
        <defs>
          <pattern
            id="mm"
            :x="view.x"
            :y="view.y"
            :width="SQUARE * view.scale"
            :height="SQUARE * view.scale"
            patternUnits="userSpaceOnUse"
          >
            <path :d="`M0 0H${SQUARE * view.scale}M0 0V${SQUARE * view.scale}`" />
          </pattern>
        </defs>
        <rect :width="width" :height="height" fill="url(#mm)" />
        <path class="slab" :class="{ on: chosen.kind === 'outline' }" :d="closedPath(form.outline)" />
        <path
          v-for="(hole, index) in form.holes ?? []"
          :key="`hole ${index}`"
          class="hole"
          :class="{ on: drawing.isChosen({ kind: 'hole', index }) }"
          :d="closedPath(hole)"
          @click="drawing.choose({ kind: 'hole', index })"
        />
        <path
          v-for="(vein, index) in form.lines ?? []"
          :key="`line ${index}`"
          class="vein"
          :class="{ on: drawing.isChosen({ kind: 'line', index }) }"
          :d="openPath(vein)"
          @click="drawing.choose({ kind: 'line', index })"
        />
      </svg>
      <div
        v-for="one in grips"
        :key="`${one.grip.kind} ${one.grip.index}`"
        v-drag="pull(one)"
        class="grip"
        :class="[one.grip.kind, { chosen: isHeld(one.grip) }]"
        role="button"
        tabindex="0"
        :aria-label="label(one.grip)"
        :style="{ transform: `translate(${px(one.mm)[0]}px, ${px(one.mm)[1]}px)` }"
        @keydown="onKey(one, $event)"
        @focus="grip = one.grip"
        @blur="drawing.end()"
      />
      <SheetFeet :drawing="drawing" :view="view" @hold="(still) => (held = still ? view : null)" />
      <p class="size">
        <strong>{{ lengths.figure(size.maxX - size.minX) }} × {{ lengths.length(size.maxY - size.minY) }}</strong>
        <span>flat, inside up; squares of 10 mm</span>
      </p>
      <VAlert v-if="trouble" type="error">{{ lengths.words(trouble) }}</VAlert>
    </div>
    <SheetVerbs :drawing="drawing" />
  </div>
</template>

<style scoped>
.sheet-desk {
  display: grid;
  grid-template-rows: minmax(360px, 1fr) auto;
  min-height: 0;
}
.cloth {
  position: relative;
  overflow: hidden;
  background: var(--cloth);
}
svg {
  position: absolute;
  inset: 0;
}
pattern path {
  fill: none;
  stroke: var(--cloth-weave);
  stroke-width: 1;
}
.slab {
  fill: var(--slab);
  stroke: var(--slab-edge);
  stroke-width: 2;
}
.hole {
  fill: var(--cloth);
  stroke: var(--slab-edge);
  stroke-width: 2;
  cursor: pointer;
}
.vein {
  fill: none;
  stroke: var(--slab-edge);
  stroke-width: 2;
  stroke-dasharray: 8 5;
  cursor: pointer;
}
.on {
  stroke: var(--press);
  stroke-width: 3;
}
.grip {
  position: absolute;
  top: 0;
  left: 0;
  width: 44px;
  height: 44px;
  margin: -22px 0 0 -22px;
  border-radius: 50%;
  cursor: move;
  touch-action: none;
}
.grip::after {
  content: '';
  position: absolute;
  inset: 13px;
  border-radius: 50%;
  background: var(--press);
  border: 2px solid var(--panel);
}
.grip.edge::after {
  inset: 15px;
  border-radius: 3px;
  background: var(--panel);
  border-color: var(--press);
  transform: rotate(45deg);
}
.grip.chosen::after {
  outline: 2px solid var(--press);
  outline-offset: 3px;
}
.size {
  position: absolute;
  left: 14px;
  bottom: 8px;
  font-size: 15px;
  color: var(--ink-soft);
}
@media (max-width: 699px) {
  .size span {
    display: none;
  }
}
.size span {
  margin-left: 8px;
}
.size strong {
  font-size: 22px;
  color: var(--ink);
}
</style>
