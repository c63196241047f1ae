<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import type { PlanePoint, Quad } from '../../../core/files/screen/homography.ts';
import { useZoom } from '../../composables/useZoom.ts';
import { vDrag } from '../../composables/vDrag.ts';
import ZoomButtons from '../frame/ZoomButtons.vue';
import { GRIP } from '../shape/shapePlaces.ts';
import { closeGrips, nearerBy } from './closeGrips.ts';
import type { Photo } from './usePhoto.ts';

/**
 * The photograph with what was traced drawn over it: corners of the sheet and points of the outline can be dragged. Points that
 * stand too close for a finger are one grip, which brings the picture nearer.
 */
const props = defineProps<{ photo: Photo; grips: 'corners' | 'points' }>();
const canvas = ref<HTMLCanvasElement | null>(null);
const { width, height } = useElementSize(canvas);
/** Points of a traced outline may stand a dot apart. */
const NEAREST = 24;
const frame = ref<HTMLElement | null>(null);
const { near, style, nearer, farther, fit, bring, place } = useZoom(frame, NEAREST);
watch(() => props.photo.photo.value, fit);
const picture = computed(() => props.photo.photo.value?.picture ?? null);
watch(
  [canvas, picture],
  () => {
    if (canvas.value && picture.value) canvas.value.getContext('2d')?.drawImage(picture.value, 0, 0);
  },
  { flush: 'post' },
);
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

/** What is taken now stays a grip of its own, however close others come. */
const taken = ref('');
/** A place of the picture as it fits (px). */
const fitted = ([x, y]: PlanePoint): PlanePoint => [x * scale.value, y * scale.value];
const seen = computed(() =>
  grips.value
    .map((grip) => ({ grip, at: place(fitted(grip.at)) }))
    .filter(
      ({ grip, at: [x, y] }) => grip.key === taken.value || (x >= 0 && y >= 0 && x <= width.value && y <= height.value),
    ),
);
/** Grips that stand alone, and those that are joined. */
const groups = computed(() => {
  const own = seen.value.filter(({ grip }) => grip.key === taken.value);
  const others = seen.value.filter(({ grip }) => grip.key !== taken.value);
  // As near as it can be seen, no press would part them.
  const finger = near.value < NEAREST ? GRIP : 0;
  const joined = closeGrips(
    others.map(({ at }) => at),
    finger,
  ).map((group) => group.flatMap((index) => others[index] ?? []));
  return [...own.map((one) => [one]), ...joined];
});
const alone = computed(() => groups.value.flatMap((group) => (group.length === 1 ? group : [])));
const joined = computed(() =>
  groups.value.flatMap((group) => {
    const [first] = group;
    return first && group.length > 1 ? [{ key: first.grip.key, count: group.length, at: first.at, group }] : [];
  }),
);
function open(group: typeof seen.value): void {
  const places = group.map(({ grip }) => fitted(grip.at));
  const middle = (axis: 0 | 1) => places.reduce((sum, one) => sum + one[axis], 0) / places.length;
  bring(
    [middle(0), middle(1)],
    nearerBy(
      group.map(({ at }) => at),
      GRIP,
    ),
  );
}

let from: PlanePoint = [0, 0];
const dragOf = (grip: Grip) => ({
  start: () => {
    taken.value = grip.key;
    from = grip.at;
  },
  move: (dx: number, dy: number) =>
    grip.move([from[0] + dx / scale.value / near.value, from[1] + dy / scale.value / near.value]),
  end: grip.done,
});
const ARROWS: Readonly<Record<string, PlanePoint>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
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
  <div v-if="picture" class="whole">
    <div ref="frame" class="over" :style="{ '--near': near }">
      <div :style="style">
        <canvas ref="canvas" :width="picture.width" :height="picture.height" role="img" aria-label="The photograph" />
        <svg :viewBox="box" aria-hidden="true">
          <polygon v-if="photo.corners.value" class="sheet" :points="linePoints(photo.corners.value)" />
          <polygon v-for="(line, index) in photo.lines.value" :key="index" class="under" :points="linePoints(line)" />
          <polygon
            v-for="(line, index) in photo.lines.value"
            :key="`on ${index}`"
            class="on"
            :points="linePoints(line)"
          />
        </svg>
      </div>
      <span
        v-for="{ grip, at } in alone"
        :key="grip.key"
        v-drag="dragOf(grip)"
        class="grip"
        data-place
        tabindex="0"
        role="button"
        :aria-label="`${grip.label}: drag it, or press the arrow keys`"
        :style="{ left: `${at[0]}px`, top: `${at[1]}px` }"
        @focus="taken = grip.key"
        @blur="taken = ''"
        @keydown="press(grip, $event)"
      />
      <VBtn
        v-for="{ key, count, at, group } in joined"
        :key="`joined ${key}`"
        class="joined"
        variant="flat"
        :aria-label="`${count} points: bring them nearer`"
        :style="{ left: `${at[0]}px`, top: `${at[1]}px` }"
        @click="open(group)"
      >
        {{ count }}
      </VBtn>
    </div>
    <ZoomButtons :near="near" @nearer="nearer" @farther="farther" @fit="fit" />
  </div>
</template>

<style scoped>
.whole {
  display: grid;
  justify-items: end;
  gap: 6px;
}
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
  max-height: calc(100dvh - 250px);
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
  stroke-width: calc(2px / var(--near));
  stroke-dasharray: calc(8px / var(--near)) calc(6px / var(--near));
}
.under {
  stroke: #fff;
  stroke-width: calc(5px / var(--near));
}
.on {
  stroke: #b3261e;
  stroke-width: calc(2px / var(--near));
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
.joined {
  position: absolute;
  width: 44px;
  min-width: 0;
  height: 44px;
  margin: -22px 0 0 -22px;
  padding: 0;
  border: 2px solid #fff;
  border-radius: 50%;
}
</style>
