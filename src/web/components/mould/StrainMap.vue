<script setup lang="ts">
import { ROUNDING } from '../../../core/numbers.ts';
import type { Blank } from '../../../core/forms/kind/blank.ts';
import { useElementSize } from '@vueuse/core';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import type { Dart, StrainLimits } from '../../../core/target/mouldForm.ts';
import { vDrag, type DragVerbs } from '../../composables/vDrag.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useSettings } from '../../stores/settings.ts';
import { useMapPainter } from './useMapPainter.ts';
import { dartTips, dartTo } from './dartPlaces.ts';
import { figuresAt, flatView, formedView, paintOrder, type Projected } from './mapViews.ts';
import { mapColour, mapFigures, type MapQuantity } from './strainDrawing.ts';

/** What the clay must do, drawn on the flat blank or on the formed piece; figures under the pointer, darts by their tips. */
const props = defineProps<{
  blank: Blank;
  formed: boolean;
  quantity: MapQuantity;
  limits: StrainLimits;
  thickness: number;
  darts: readonly Dart[];
}>();
const emit = defineEmits<{ move: [index: number, dart: Dart]; moved: [] }>();

const settings = useSettings();
const lengths = useLengths();
const box = ref<HTMLElement | null>(null);
const canvas = ref<HTMLCanvasElement | null>(null);
const { width, height } = useElementSize(box);
/** Direction from which the formed piece is seen (degrees). */
const turn = ref({ round: -32, up: 38 });
const under = shallowRef<{ readonly x: number; readonly y: number; readonly words: string } | null>(null);

/** Room round the blank for the scale and the figures (px). */
const AIR = 56;
/** Size until the room is measured. */
const UNSEEN: Projected = {
  x: new Float64Array(),
  y: new Float64Array(),
  near: new Float64Array(),
  scale: 1,
  middle: [0, 0],
};
const limit = computed(() => (props.quantity === 'thickness' ? null : props.limits[props.quantity]));
const figures = computed(() =>
  mapFigures(props.blank, props.quantity, { limit: limit.value, thickness: props.thickness }),
);
const view = computed(() => ({ width: width.value, height: height.value, air: AIR }));
const seen = computed(() =>
  width.value === 0
    ? UNSEEN
    : props.formed
      ? formedView(props.blank, view.value, turn.value)
      : flatView(props.blank, view.value),
);
const order = computed(() => paintOrder(props.blank, seen.value, !props.formed));
const tips = computed(() => (props.formed || width.value === 0 ? [] : dartTips(props.blank, seen.value, props.darts)));

const { paint } = useMapPainter(canvas, () => ({
  blank: props.blank,
  view: seen.value,
  order: order.value,
  figures: figures.value,
  width: width.value,
  height: height.value,
  thin: props.formed,
}));
onMounted(paint);
// What is slow is computed when it is painted, in a separate task.
watch(
  [() => props.blank, () => props.formed, width, height, turn, () => props.quantity, limit, () => settings.light],
  paint,
  { flush: 'post' },
);

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
const shownAs = (value: number) =>
  props.quantity === 'thickness' ? lengths.length(value * props.thickness) : percent(value);
/** The scale's marks: its ends, and the limit. */
const marks = computed(() => {
  const { least, greatest } = figures.value;
  const place = (value: number) => (100 * (value - least)) / Math.max(ROUNDING, greatest - least);
  return [
    { at: 0, words: shownAs(least) },
    ...(limit.value === null ? [] : [{ at: place(limit.value), words: `limit ${percent(limit.value)}` }]),
    { at: 100, words: shownAs(greatest) },
  ].filter(({ at }, index, all) => index !== 2 || at - (all[1]?.at ?? 0) > 16 || all.length < 3);
});
const colours = Array.from({ length: 11 }, (_, index) => mapColour(index / 10)).join(', ');

function onPointer(event: PointerEvent): void {
  const bounds = canvas.value?.getBoundingClientRect();
  if (!bounds) return;
  const [x, y] = [event.clientX - bounds.left, event.clientY - bounds.top];
  const found = figuresAt(props.blank, seen.value, { order: order.value, px: x, py: y });
  under.value = found && {
    x,
    y,
    words: `gathers ${percent(found.gather)}, stretches ${percent(found.stretch)}, ${lengths.length(found.thickness * props.thickness)} left`,
  };
}

let before = turn.value;
const turning: DragVerbs = {
  start: () => void (before = turn.value),
  move: (dx, dy) => {
    if (props.formed) turn.value = { round: before.round + dx / 2, up: Math.max(5, Math.min(90, before.up + dy / 2)) };
  },
};
const TURNS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-10, 0],
  ArrowRight: [10, 0],
  ArrowUp: [0, 10],
  ArrowDown: [0, -10],
};
function onKey(event: KeyboardEvent): void {
  const by = TURNS[event.key];
  if (!by || !props.formed) return;
  event.preventDefault();
  turn.value = { round: turn.value.round + by[0], up: Math.max(5, Math.min(90, turn.value.up + by[1])) };
}

/** The tip that is dragged, and where it was taken. */
let held: {
  readonly index: number;
  readonly at: readonly [number, number];
  readonly blank: Blank;
  readonly seen: typeof seen.value;
} | null = null;
const tipDrag = (index: number, at: readonly [number, number]): DragVerbs => ({
  start: () => void (held = { index, at, blank: props.blank, seen: seen.value }),
  move: (dx, dy) => {
    if (held) emit('move', held.index, dartTo(held.blank, held.seen, { px: held.at[0] + dx, py: held.at[1] + dy }));
  },
  end: () => {
    held = null;
    emit('moved');
  },
});
/** Arrow keys: deeper and shallower (mm), round the rim (degrees). */
function keyTip(index: number, event: KeyboardEvent): void {
  const dart = props.darts[index];
  const by = { ArrowUp: [0, 2], ArrowDown: [0, -2], ArrowLeft: [1, 0], ArrowRight: [-1, 0] }[event.key];
  if (!dart || !by) return;
  event.preventDefault();
  emit('move', index, { at: (dart.at + (by[0] ?? 0) + 360) % 360, depth: Math.max(5, dart.depth + (by[1] ?? 0)) });
}
</script>

<template>
  <div ref="box" class="strain-map" :data-scale="seen.scale">
    <canvas
      ref="canvas"
      v-drag="turning"
      role="img"
      tabindex="0"
      :class="{ formed }"
      :aria-label="`${formed ? 'The formed piece' : 'The flat blank'}: ${quantity}, from ${shownAs(figures.least)} to ${shownAs(figures.greatest)}`"
      @pointermove="onPointer"
      @pointerleave="under = null"
      @keydown="onKey"
    />
    <div
      v-for="tip in tips"
      :key="tip.index"
      v-drag="tipDrag(tip.index, tip.at)"
      class="tip"
      role="slider"
      tabindex="0"
      :aria-label="`Tip of dart ${String.fromCharCode(65 + tip.index)}: up and down cut it deeper, left and right move it`"
      :aria-valuenow="darts[tip.index]?.depth"
      :aria-valuetext="lengths.length(darts[tip.index]?.depth ?? 0)"
      :style="{ transform: `translate(${tip.at[0]}px, ${tip.at[1]}px)` }"
      @keydown="keyTip(tip.index, $event)"
      @blur="emit('moved')"
    >
      <span>{{ String.fromCharCode(65 + tip.index) }}</span>
    </div>
    <p
      v-if="under"
      class="under"
      :style="{ left: `${Math.min(under.x + 14, width - 230)}px`, top: `${Math.max(8, under.y - 44)}px` }"
    >
      {{ under.words }}
    </p>
    <div class="scale" aria-hidden="true">
      <div class="bar" :style="{ background: `linear-gradient(90deg, ${colours})` }" />
      <span v-for="mark in marks" :key="mark.words" class="mark" :style="{ left: `${mark.at}%` }">{{
        mark.words
      }}</span>
    </div>
  </div>
</template>

<style scoped>
.strain-map {
  position: relative;
  overflow: hidden;
  min-height: 340px;
  background: var(--cloth);
}
canvas {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
canvas.formed {
  cursor: grab;
  touch-action: none;
}
.tip {
  position: absolute;
  top: 0;
  left: 0;
  width: 44px;
  height: 44px;
  margin: -22px 0 0 -22px;
  border-radius: 50%;
  cursor: move;
  touch-action: none;
  padding: 0 0 0 31px;
  font-family: 'Bitter', serif;
  font-size: 20px;
  font-weight: 600;
  line-height: 1;
}
.tip span {
  padding: 1px 4px;
  border-radius: 6px;
  color: var(--ink);
  background: var(--panel);
}
.tip::after {
  content: '';
  position: absolute;
  inset: 13px;
  border-radius: 50%;
  background: var(--press);
  border: 2px solid var(--panel);
}
.under {
  position: absolute;
  padding: 4px 10px;
  width: 220px;
  font-size: 15px;
  font-weight: 600;
  border-radius: 8px;
  color: var(--ink);
  background: var(--panel);
  pointer-events: none;
}
.scale {
  position: absolute;
  left: 28px;
  right: 28px;
  top: 14px;
  height: 40px;
  font-size: 15px;
  font-weight: 600;
  max-width: 420px;
}
.bar {
  position: absolute;
  inset: 0 0 auto;
  height: 14px;
  border: 1.5px solid var(--slab-edge);
}
.mark {
  position: absolute;
  top: 17px;
  transform: translateX(-50%);
  white-space: nowrap;
}
.mark:first-of-type {
  transform: none;
}
</style>
