<script setup lang="ts">
import { useElementSize, useFullscreen, useWakeLock } from '@vueuse/core';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import DrawnItems from '../components/screen/DrawnItems.vue';
import ScreenMeasure from '../components/screen/ScreenMeasure.vue';
import { useLengths } from '../composables/useLengths.ts';
import { useScreenScale } from '../composables/useScreenScale.ts';
import { useShortcuts } from '../composables/useShortcuts.ts';
import { useShownPart } from '../composables/useShownPart.ts';
import { vDrag } from '../composables/vDrag.ts';

/** A part at true size on this screen, to be traced through thin paper; when locked, no touch moves it. */
const { piece, part, items, box, names, chosen } = useShownPart();
const { perMm, measured, keep } = useScreenScale();
const lengths = useLengths();
const place = ref<HTMLElement | null>(null);
const sheet = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(sheet);
const whole = useFullscreen(place);
const awake = useWakeLock();
const measuring = ref(false);
const locked = ref(false);
/** Length of a press that unlocks (ms): longer than a hand that brushes the screen. */
const HOLD = 1500;

/** The middle of the part from the middle of the sheet (mm), and its turn (degrees). */
const at = ref<readonly [number, number]>([0, 0]);
const turn = ref(0);
watch([() => part.value?.id, () => piece.state], () => ((at.value = [0, 0]), (turn.value = 0)));

/** Length of the bar that a ruler is laid on (mm). */
const BAR = 50;
const view = computed(() => ({
  wide: Math.max(1, width.value) / perMm.value,
  high: Math.max(1, height.value) / perMm.value,
}));
const middle = computed(() => [(box.value.minX + box.value.maxX) / 2, (box.value.minY + box.value.maxY) / 2] as const);
const larger = computed(() => {
  const reach = Math.hypot(box.value.maxX - box.value.minX, box.value.maxY - box.value.minY);
  const fits = box.value.maxX - box.value.minX <= view.value.wide && box.value.maxY - box.value.minY <= view.value.high;
  return width.value > 0 && !fits && reach > Math.min(view.value.wide, view.value.high);
});
let from: readonly [number, number] = [0, 0];
const drags = {
  start: () => (from = at.value),
  move: (dx: number, dy: number) => {
    if (!locked.value) at.value = [from[0] + dx / perMm.value, from[1] + dy / perMm.value];
  },
};
const turnBy = (by: number) => {
  if (!locked.value) turn.value = (((turn.value + by) % 360) + 360) % 360;
};

let timer: ReturnType<typeof setTimeout> | undefined;
const holding = ref(false);
function press(): void {
  holding.value = true;
  timer = setTimeout(() => ((locked.value = false), (holding.value = false)), HOLD);
}
function release(): void {
  holding.value = false;
  clearTimeout(timer);
}
function onKey(event: KeyboardEvent): void {
  const steps: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  };
  const step = steps[event.key];
  if (!step || locked.value) return;
  event.preventDefault();
  const by = event.shiftKey ? 10 : 1;
  at.value = [at.value[0] + by * step[0], at.value[1] + by * step[1]];
}
useShortcuts([
  { keys: 'r', words: 'Turn the part by 5°', run: () => turnBy(5) },
  { keys: 'x', words: 'Lock against touches, or unlock', run: () => (locked.value = !locked.value) },
]);
onMounted(() => void awake.request('screen').catch(() => undefined));
onBeforeUnmount(() => {
  clearTimeout(timer);
  void awake.release().catch(() => undefined);
});
</script>

<template>
  <main ref="place" class="place">
    <EmptyPlace v-if="piece.state === 'missing'" heading="h1" title="This piece is not on the shelf">
      <VBtn variant="flat" :to="{ name: 'shelf' }">Back to the shelf</VBtn>
    </EmptyPlace>
    <ScreenMeasure
      v-else-if="measuring"
      :per-mm="perMm"
      @keep="(value) => (keep(value), (measuring = false))"
      @close="measuring = false"
    />
    <template v-else>
      <header :inert="locked">
        <h1>{{ piece.target.name }}, true size</h1>
        <VSelect
          class="part"
          label="Part"
          :items="names"
          :model-value="part?.id ?? null"
          @update:model-value="(id: string | null) => (chosen = id)"
        />
        <VBtn aria-label="Turn by 5° to the left" @click="turnBy(-5)">↺ 5°</VBtn>
        <VBtn aria-label="Turn by 5° to the right" @click="turnBy(5)">↻ 5°</VBtn>
        <VBtn @click="turnBy(90)">90°</VBtn>
        <VBtn @click="measuring = true">Measure the screen</VBtn>
        <VBtn v-if="whole.isSupported.value" @click="whole.toggle">
          {{ whole.isFullscreen.value ? 'Leave the whole screen' : 'Whole screen' }}
        </VBtn>
        <VBtn variant="flat" @click="locked = true">Lock and trace</VBtn>
        <VBtn variant="text" :to="{ name: 'piece', params: { id: $route.params['id'], stage: 'cut' } }"
          >Back to Cut</VBtn
        >
      </header>
      <VAlert v-if="!measured" type="warning">
        This screen has not been measured: what is drawn is not true yet.
        <VBtn variant="flat" @click="measuring = true">Measure it with a bank card</VBtn>
      </VAlert>
      <VAlert v-else-if="larger" type="info">
        The part is larger than the screen: trace what is seen, move it along the marks, and go on.
      </VAlert>
      <div
        ref="sheet"
        v-drag="drags"
        class="sheet"
        :class="{ locked }"
        tabindex="0"
        role="group"
        aria-label="The part at true size: drag it, or move it with the arrows by 1 mm"
        @keydown="onKey"
      >
        <svg
          v-if="width > 0"
          :width="width"
          :height="height"
          :viewBox="`0 0 ${view.wide} ${view.high}`"
          role="img"
          :aria-label="part ? `${part.name} at true size` : ''"
        >
          <g
            :transform="`translate(${view.wide / 2 + at[0]} ${view.high / 2 + at[1]}) rotate(${turn}) translate(${-middle[0]} ${middle[1]})`"
          >
            <DrawnItems :items="items" :height="0" />
          </g>
          <g class="bar" :transform="`translate(6 ${view.high - 6})`">
            <rect x="-3" y="-8" :width="BAR + 6" height="11" />
            <path :d="`M0 -3V0H${BAR}V-3`" />
            <text :x="BAR / 2" y="-2" text-anchor="middle" font-size="4">
              {{ lengths.length(BAR) }}: lay a ruler here
            </text>
          </g>
        </svg>
        <VBtn
          v-if="locked"
          class="unlock"
          variant="flat"
          @pointerdown="press"
          @pointerup="release"
          @pointerleave="release"
          @keydown.enter="locked = false"
        >
          {{ holding ? 'Keep holding' : 'Hold to unlock' }}
        </VBtn>
      </div>
    </template>
  </main>
</template>

<style scoped>
.place {
  display: flex;
  flex: 1;
  flex-direction: column;
  min-height: 0;
  background: var(--ground);
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  padding: 10px clamp(12px, 3vw, 28px);
}
h1 {
  font-size: 22px;
  margin-right: auto;
}
.place > :deep(.v-alert) {
  flex: none;
}
.part {
  flex: 0 0 180px;
}
.sheet {
  position: relative;
  flex: 1;
  min-height: 320px;
  background: #fffdf8;
  overflow: hidden;
  touch-action: none;
  cursor: grab;
}
.sheet.locked {
  cursor: default;
}
.sheet svg {
  position: absolute;
  inset: 0;
}
.unlock {
  position: absolute;
  right: 14px;
  top: 14px;
}
svg :deep(path),
svg :deep(line) {
  fill: none;
  stroke: #2b1f1a;
  stroke-width: 0.3;
}
svg :deep(.cut) {
  stroke-width: 0.5;
}
svg :deep(.dash) {
  stroke-dasharray: 2 1.2;
}
svg :deep(.chain) {
  stroke-dasharray: 6 1.5 1 1.5;
}
svg :deep(text) {
  fill: #2b1f1a;
}
.bar rect {
  fill: #fffdf8;
}
</style>
