<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { pathData, screenPx } from '../../../core/files/format/pathData.ts';
import type { WorkStep } from '../../../core/studio/making/workStep.ts';
import { bounds, vertexAt, type Outline } from '../../../core/geometry/outline/outline.ts';
import type { Lean } from '../../../core/parts/part/lean.ts';
import type { Development } from '../../../core/piece/develop.ts';
import { elevation } from '../../../core/piece/elevation.ts';
import type { Target } from '../../../core/target/target.ts';

/** What a step is about, drawn: the part with its edges picked out, or the piece as it stands. */
const props = defineProps<{ step: WorkStep; target: Target; developed: Development }>();

const frame = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(frame);
const MARGIN = 26;

const part = computed(() => props.developed.parts.find(({ id }) => id === props.step.part) ?? null);
const side = computed(() => elevation(props.target, 'wet'));
const shapes = computed<readonly Outline[]>(() =>
  part.value ? [part.value.outline] : [...side.value.added, side.value.outer],
);
const box = computed(() => {
  const all = shapes.value.map(bounds);
  const [minX, minY] = [Math.min(...all.map((one) => one.minX)), Math.min(...all.map((one) => one.minY))];
  const [maxX, maxY] = [Math.max(...all.map((one) => one.maxX)), Math.max(...all.map((one) => one.maxY))];
  return { minX, minY, wide: Math.max(1, maxX - minX), high: Math.max(1, maxY - minY) };
});
const scale = computed(() =>
  Math.max(0, Math.min((width.value - 2 * MARGIN) / box.value.wide, (height.value - 2 * MARGIN) / box.value.high, 4)),
);
const origin = computed(() => {
  const { minX, minY, wide, high } = box.value;
  return [
    width.value / 2 - (minX + wide / 2) * scale.value,
    height.value / 2 + (minY + high / 2) * scale.value,
  ] as const;
});
const drawn = (outline: Outline, ends: 'closed' | 'open' = 'closed') =>
  pathData(outline, { scale: scale.value, origin: origin.value, write: screenPx, ends });

/** The vertices of an edge, in order. */
function along(outline: Outline, { edge, from, to }: Lean): Outline {
  const many = edge === 'round' ? outline.length : (to - from + outline.length) % outline.length;
  return Array.from({ length: many + 1 }, (_, index) => vertexAt(outline, from + index));
}
/** Edges that the knife leans along in this step, or the one that it names. */
const picked = computed(() => {
  const found = part.value;
  if (!found) return [];
  const { edge, act } = props.step;
  const leans = found.leans.filter((lean) =>
    edge === undefined ? act === 'cut' && lean.word !== 'straight down' : lean.edge === edge,
  );
  return leans.map((lean) => drawn(along(found.outline, lean), 'open'));
});
const letters = computed(() =>
  (part.value?.marks ?? []).flatMap((mark) =>
    mark.kind === 'letter'
      ? [
          {
            text: mark.text,
            x: origin.value[0] + mark.at[0] * scale.value,
            y: origin.value[1] - mark.at[1] * scale.value,
          },
        ]
      : [],
  ),
);
</script>

<template>
  <div ref="frame" class="step-drawing">
    <svg
      v-if="width > 0 && height > 60"
      :width="width"
      :height="height"
      role="img"
      :aria-label="part ? part.name : 'The piece'"
    >
      <path v-for="(shape, index) in shapes" :key="index" class="clay" :d="drawn(shape)" />
      <path v-for="(d, index) in picked" :key="`edge ${index}`" class="edge" :d="d" />
      <text v-for="(letter, index) in letters" :key="`letter ${index}`" class="letter" :x="letter.x" :y="letter.y">
        {{ letter.text }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
.step-drawing {
  min-height: 0;
  overflow: hidden;
}
.clay {
  fill: var(--slab);
  stroke: var(--slab-edge);
  stroke-width: 2;
}
.edge {
  fill: none;
  stroke: var(--press);
  stroke-width: 9;
  stroke-linecap: round;
}
.letter {
  font-family: 'Bitter', serif;
  font-size: 24px;
  text-anchor: middle;
  dominant-baseline: middle;
  fill: #2b1f1a;
}
</style>
