<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { pathData } from '../../../core/files/format/pathData.ts';
import { laidOver, type PicturePoint } from '../../../core/studio/learning/laidOver.ts';
import { elevation } from '../../../core/piece/elevation.ts';
import type { Target } from '../../../core/target/target.ts';
import { vDrag, type DragVerbs } from '../../composables/vDrag.ts';
import { memory } from '../../memory.ts';
import SheetDialog from '../frame/SheetDialog.vue';

/** The drawing laid over a photograph at its scale: foot and rim are moved to where they are seen, all else follows. */
const open = defineModel<boolean>({ required: true });
const props = defineProps<{ photograph: string; src: string; target: Target; name: string }>();

const side = computed(() => elevation(props.target, 'fired'));
const height = computed(() => side.value.rimHeight);

type End = 'foot' | 'rim';
/** Where foot and rim are, as shares of the picture's width and height; kept by this browser for each photograph. */
type Ends = Readonly<Record<End, PicturePoint>>;
const FIRST: Ends = { foot: [0.5, 0.85], rim: [0.5, 0.25] };
const key = computed(() => `fawn-laid-over-${props.photograph}`);
function kept(): Ends {
  try {
    return { ...FIRST, ...(JSON.parse(memory.read(key.value) ?? '{}') as Partial<Ends>) };
  } catch {
    return FIRST;
  }
}
const ends = ref<Ends>(FIRST);
watch([open, key], () => (ends.value = kept()), { immediate: true });

const picture = ref<HTMLImageElement | null>(null);
const { width, height: high } = useElementSize(picture);
const at = (end: End): PicturePoint => [ends.value[end][0] * width.value, ends.value[end][1] * high.value];
const matrix = computed(() => (width.value > 0 ? laidOver(at('foot'), at('rim'), height.value) : null));
const shapes = computed(() => [side.value.outer, ...side.value.added].map((shape) => pathData(shape)));

const within = (share: number) => Math.min(1, Math.max(0, share));
function put(end: End, x: number, y: number): void {
  if (width.value > 0) ends.value = { ...ends.value, [end]: [within(x / width.value), within(y / high.value)] };
}
const keep = () => void memory.write(key.value, JSON.stringify(ends.value));
function drag(end: End): DragVerbs {
  let from: PicturePoint = [0, 0];
  return {
    start: () => (from = at(end)),
    move: (dx, dy) => put(end, from[0] + dx, from[1] + dy),
    end: keep,
  };
}
/** A press of an arrow moves an end by this (px). */
const STEP = 2;
const ARROWS: Readonly<Record<string, PicturePoint>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};
function press(end: End, event: KeyboardEvent): void {
  const by = ARROWS[event.key];
  if (!by) return;
  event.preventDefault();
  const [x, y] = at(end);
  put(end, x + by[0], y + by[1]);
  keep();
}
const verbs = { foot: drag('foot'), rim: drag('rim') };
const grips = [
  { end: 'foot', label: 'Middle of the foot' },
  { end: 'rim', label: 'Middle of the rim' },
] as const;
</script>

<template>
  <SheetDialog v-model="open" :aria-label="`The drawing over the photograph of ${name}`" max-width="720" scrollable>
    <section class="sheet-card">
      <h2>The drawing over the photograph</h2>
      <p>Drag the two points to the middle of the foot and of the rim. A photograph from table height tells most.</p>
      <div class="over">
        <img ref="picture" :src="src" :alt="`Photograph of ${name}`" />
        <svg v-if="matrix" :width="width" :height="high" :aria-label="`${name} as it was drawn`" role="img">
          <g :transform="`matrix(${matrix.join(' ')})`">
            <path v-for="(shape, index) in shapes" :key="index" class="under" :d="shape" />
            <path v-for="(shape, index) in shapes" :key="`drawn ${index}`" class="drawn" :d="shape" />
          </g>
        </svg>
        <template v-if="width > 0">
          <span
            v-for="{ end, label } in grips"
            :key="end"
            v-drag="verbs[end]"
            class="grip"
            tabindex="0"
            role="button"
            :aria-label="`${label}: drag it, or press the arrow keys`"
            :style="{ left: `${at(end)[0]}px`, top: `${at(end)[1]}px` }"
            @keydown="press(end, $event)"
          />
        </template>
      </div>
      <VBtn @click="open = false">Close</VBtn>
    </section>
  </SheetDialog>
</template>

<style scoped>
p {
  margin: 4px 0 12px;
  color: var(--ink-soft);
}
.over {
  position: relative;
  width: fit-content;
  margin: 0 auto 12px;
  overflow: hidden;
  touch-action: none;
}
img {
  display: block;
  max-width: 100%;
  max-height: 62vh;
}
svg {
  position: absolute;
  inset: 0;
  pointer-events: none;
}
path {
  fill: none;
  vector-effect: non-scaling-stroke;
}
.under {
  stroke: var(--panel);
  stroke-width: 5px;
  opacity: 0.7;
}
.drawn {
  stroke: var(--press);
  stroke-width: 2.5px;
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
  inset: 14px;
  background: var(--press);
  border: 2px solid var(--panel);
  border-radius: 50%;
}
</style>
