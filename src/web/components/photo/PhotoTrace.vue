<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import type { PlanePoint, Quad } from '../../../core/screen/homography.ts';
import { vDrag } from '../../composables/vDrag.ts';
import type { Photo } from './usePhoto.ts';

/** The photograph with what was traced drawn over it: corners of the sheet and points of the outline can be dragged. */
const props = defineProps<{ photo: Photo; grips: 'corners' | 'points' }>();
const canvas = ref<HTMLCanvasElement | null>(null);
const { width } = useElementSize(canvas);
const picture = computed(() => props.photo.photo.value?.picture ?? null);
watch([canvas, picture], () => {
  if (canvas.value && picture.value) canvas.value.getContext('2d')?.drawImage(picture.value, 0, 0);
}, { flush: 'post' }); // prettier-ignore
const scale = computed(() => (picture.value && width.value > 0 ? width.value / picture.value.width : 1));
const box = computed(() => `0 0 ${picture.value?.width ?? 1} ${picture.value?.height ?? 1}`);
const linePoints = (line: readonly PlanePoint[]) => line.map((point) => point.join(',')).join(' ');

interface Grip {
  readonly key: string;
  readonly label: string;
  readonly at: PlanePoint;
  readonly move: (to: PlanePoint) => void;
  readonly done: () => void;
}
const grips = computed((): readonly Grip[] => {
  const { photo } = props;
  if (props.grips === 'corners') {
    return (photo.corners.value ?? []).map((at, index) => ({
      key: `corner ${index}`,
      label: `Corner ${index + 1} of the sheet`,
      at,
      move: (to) => photo.moveCorner(index, to),
      done: () => void photo.trace(photo.corners.value as Quad),
    }));
  }
  return photo.outlines.value.flatMap((outline, line) =>
    outline.map((one, index) => ({
      key: `point ${line} ${index}`,
      label: `Point ${index + 1} of ${line === 0 ? 'the outline' : `hole ${line}`}`,
      at: photo.toPicture([one[0], one[1]]),
      move: (to: PlanePoint) => photo.movePoint(line, index, to),
      done: () => undefined,
    })),
  );
});

let from: PlanePoint = [0, 0];
const dragOf = (grip: Grip) => ({
  start: () => (from = grip.at),
  move: (dx: number, dy: number) => grip.move([from[0] + dx / scale.value, from[1] + dy / scale.value]),
  end: grip.done,
});
const ARROWS: Readonly<Record<string, PlanePoint>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }; // prettier-ignore
function press(grip: Grip, event: KeyboardEvent): void {
  const step = ARROWS[event.key];
  if (!step) return;
  event.preventDefault();
  const by = event.shiftKey ? 10 : 1;
  grip.move([grip.at[0] + by * step[0], grip.at[1] + by * step[1]]);
  grip.done();
}
</script>

<template>
  <div v-if="picture" class="over">
    <canvas ref="canvas" :width="picture.width" :height="picture.height" role="img" aria-label="The photograph" />
    <svg :viewBox="box" aria-hidden="true">
      <polygon v-if="photo.corners.value" class="sheet" :points="linePoints(photo.corners.value)" />
      <polygon v-for="(line, index) in photo.lines.value" :key="index" class="under" :points="linePoints(line)" />
      <polygon v-for="(line, index) in photo.lines.value" :key="`on ${index}`" class="on" :points="linePoints(line)" />
    </svg>
    <span
      v-for="grip in grips"
      :key="grip.key"
      v-drag="dragOf(grip)"
      class="grip"
      :class="grips.length > 12 ? 'many' : ''"
      tabindex="0"
      role="button"
      :aria-label="`${grip.label}: drag it, or press the arrow keys`"
      :style="{ left: `${grip.at[0] * scale}px`, top: `${grip.at[1] * scale}px` }"
      @keydown="press(grip, $event)"
    />
  </div>
</template>

<style scoped>
.over {
  position: relative;
  width: fit-content;
  max-width: 100%;
  overflow: hidden;
  touch-action: none;
}
canvas {
  display: block;
  max-width: 100%;
  max-height: calc(100dvh - 190px);
}
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
polygon {
  fill: none;
  vector-effect: non-scaling-stroke;
}
.sheet {
  stroke: var(--press);
  stroke-width: 2;
  stroke-dasharray: 8 6;
}
.under {
  stroke: #fff;
  stroke-width: 5;
}
.on {
  stroke: #b3261e;
  stroke-width: 2;
}
.grip {
  position: absolute;
  width: 44px;
  height: 44px;
  margin: -22px 0 0 -22px;
  cursor: grab;
}
.grip::after {
  content: '';
  position: absolute;
  inset: 13px;
  border: 2px solid #fff;
  border-radius: 50%;
  background: var(--press);
}
.grip.many::after {
  inset: 16px;
}
</style>
