<script setup lang="ts">
import { useElementSize, useFullscreen, useWakeLock } from '@vueuse/core';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import OneOf from '../components/fields/OneOf.vue';
import { useLengths } from '../composables/useLengths.ts';
import { useShownPart } from '../composables/useShownPart.ts';
import { vDrag } from '../composables/vDrag.ts';
import { SHEETS, useLightFit } from '../components/light/useLightFit.ts';
import { inverse, mapped, type PlanePoint } from '../../core/files/screen/homography.ts';
import { thrownLines } from '../../core/files/screen/thrown.ts';

/**
 * A part projected on the clay from above the table. The user drags four corners of light onto the corners of a sheet of paper
 * on the slab; this gives the map from mm on the clay to px of the picture.
 */
const { piece, part, items, box, names, chosen } = useShownPart();
const lengths = useLengths();
const place = ref<HTMLElement | null>(null);
const picture = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(picture);
const whole = useFullscreen(place);
const awake = useWakeLock();

const { sheet, corners, sound, map, middle, frame, pixel, moveCorner } = useLightFit(width, height);
const fitting = ref(true);
/** The middle of the part from the middle of the sheet (mm), and its turn (degrees). */
const at = ref<PlanePoint>([0, 0]);
const turn = ref(0);
const pieceMiddle = computed<PlanePoint>(() => [
  (box.value.minX + box.value.maxX) / 2,
  (box.value.minY + box.value.maxY) / 2,
]);
const lying = computed(() => {
  const angle = (turn.value * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const [x, y] = pieceMiddle.value;
  return {
    at: [middle.value[0] + at.value[0] - x * cos + y * sin, middle.value[1] + at.value[1] - x * sin - y * cos] as const,
    turn: angle,
  };
});
const lines = computed(() =>
  map.value && !fitting.value
    ? thrownLines(
        items.value.filter(({ layer }) => layer !== 'lean'),
        lying.value,
        map.value,
      )
    : [],
);
let from: PlanePoint = [0, 0];
const dragsOf = (index: number) => ({
  start: () => (from = corners.value[index] as PlanePoint),
  move: (dx: number, dy: number) => moveCorner(index, [from[0] + dx / width.value, from[1] + dy / height.value]),
});
const dragsPart = {
  start: () => (from = at.value),
  move: (dx: number, dy: number) => {
    const back = map.value && inverse(map.value);
    if (fitting.value || !back || !map.value) return;
    const [x, y] = mapped(map.value, [middle.value[0] + from[0], middle.value[1] + from[1]]);
    const to = mapped(back, [x + dx, y + dy]);
    at.value = [to[0] - middle.value[0], to[1] - middle.value[1]];
  },
};
const ARROWS: Readonly<Record<string, PlanePoint>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
function nudge(event: KeyboardEvent, index: number | null): void {
  const step = ARROWS[event.key];
  if (!step) return;
  event.preventDefault();
  const by = event.shiftKey ? 10 : 1;
  if (index === null) at.value = [at.value[0] + by * step[0], at.value[1] - by * step[1]];
  else {
    const [x, y] = corners.value[index] as PlanePoint;
    moveCorner(index, [x + (by * step[0]) / width.value, y + (by * step[1]) / height.value]);
  }
}
const CORNERS = ['lower left', 'lower right', 'upper right', 'upper left'] as const;
onMounted(() => void awake.request('screen').catch(() => undefined));
onBeforeUnmount(() => void awake.release().catch(() => undefined));
</script>

<template>
  <main ref="place" class="place">
    <EmptyPlace v-if="piece.state === 'missing'" heading="h1" title="This piece is not on the shelf">
      <VBtn variant="flat" :to="{ name: 'shelf' }">Back to the shelf</VBtn>
    </EmptyPlace>
    <template v-else>
      <header>
        <h1>{{ piece.target.name }}, by light</h1>
        <template v-if="fitting">
          <OneOf label="Sheet on the slab" :value="sheet" :choices="SHEETS" @choose="(one) => (sheet = one)" />
          <VBtn variant="flat" :disabled="!map" @click="fitting = false">The corners fit: throw the part</VBtn>
        </template>
        <template v-else>
          <VSelect
            class="part"
            label="Part"
            :items="names"
            :model-value="part?.id ?? null"
            @update:model-value="(id: string | null) => (chosen = id)"
          />
          <VBtn aria-label="Turn by 5° to the left" @click="turn += 5">↺ 5°</VBtn>
          <VBtn aria-label="Turn by 5° to the right" @click="turn -= 5">↻ 5°</VBtn>
          <VBtn @click="fitting = true">Fit the corners again</VBtn>
        </template>
        <VBtn v-if="whole.isSupported.value" @click="whole.toggle">
          {{ whole.isFullscreen.value ? 'Leave the whole screen' : 'Whole screen' }}
        </VBtn>
        <VBtn variant="text" :to="{ name: 'piece', params: { id: $route.params['id'], stage: 'cut' } }"
          >Back to Cut</VBtn
        >
      </header>
      <p class="said" role="status">
        <template v-if="!sound">The corners are crossed: put each on its own corner of the sheet.</template>
        <template v-else-if="fitting"
          >Lay a sheet of {{ sheet === 'a4' ? 'A4' : 'Letter' }} on the slab, long edge across. Drag each corner of
          light on its corner of the sheet: the lines then cross in its middle.</template
        >
        <template v-else-if="pixel !== null"
          >One dot of light is {{ lengths.length(pixel) }} wide on the clay. Take the sheet away and score along the
          light.</template
        >
      </p>
      <div
        ref="picture"
        v-drag="dragsPart"
        class="picture"
        tabindex="0"
        role="group"
        aria-label="What is thrown on the table"
        @keydown.self="(event: KeyboardEvent) => !fitting && nudge(event, null)"
      >
        <svg v-if="width > 0" :width="width" :height="height" :viewBox="`0 0 ${width} ${height}`" aria-hidden="true">
          <template v-if="fitting">
            <polyline v-for="(points, index) in frame" :key="index" class="frame" :points="points" />
          </template>
          <component
            :is="line.closed ? 'polygon' : 'polyline'"
            v-for="(line, index) in lines"
            :key="index"
            :class="line.layer"
            :points="line.points.map((point) => point.join(',')).join(' ')"
          />
        </svg>
        <template v-if="fitting">
          <VBtn
            v-for="(corner, index) in corners"
            :key="index"
            v-drag="dragsOf(index)"
            class="corner"
            variant="plain"
            icon
            :style="{ left: `${100 * corner[0]}%`, top: `${100 * corner[1]}%` }"
            :aria-label="`Corner of light, ${CORNERS[index]}: drag it, or move it with the arrows`"
            @keydown="(event: KeyboardEvent) => nudge(event, index)"
          />
        </template>
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
  padding: 10px clamp(12px, 3vw, 28px) 0;
}
h1 {
  font-size: 22px;
  margin-right: auto;
}
.part {
  flex: 0 0 180px;
}
.said {
  padding: 4px clamp(12px, 3vw, 28px) 8px;
  font-size: 17px;
}
/* The projector shows light wherever the page is not black. */
.picture {
  position: relative;
  flex: 1;
  min-height: 320px;
  background: #000;
  overflow: hidden;
  touch-action: none;
}
.picture svg {
  position: absolute;
  inset: 0;
}
polyline,
polygon {
  fill: none;
  stroke: #cfe6ee;
  stroke-width: 1;
}
.cut {
  stroke: #fff;
  stroke-width: 2;
}
.frame {
  stroke: #f4d27a;
}
.corner.v-btn {
  position: absolute;
  width: 48px;
  height: 48px;
  opacity: 1;
  margin: -24px;
  border: 2px solid #f4d27a;
  border-radius: 50%;
  background: none;
  cursor: move;
}
.corner::before,
.corner::after {
  content: '';
  position: absolute;
  background: #f4d27a;
}
.corner::before {
  left: 21.5px;
  top: 8px;
  width: 1px;
  height: 28px;
}
.corner::after {
  left: 8px;
  top: 21.5px;
  width: 28px;
  height: 1px;
}
.corner:focus-visible {
  outline: 3px solid #fff;
}
</style>
