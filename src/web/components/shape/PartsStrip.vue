<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { pathData, screenPx } from '../../../core/files/format/pathData.ts';
import { bounds } from '../../../core/geometry/outline/outline.ts';
import type { Part } from '../../../core/parts/part/part.ts';

/** The flat parts at one scale, small: pressed to go to them. */
const props = defineProps<{ parts: readonly Part[] }>();
const emit = defineEmits<{ open: [] }>();
const box = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(box);

/** Air between parts, and round them (px). */
const AIR = 10;
/** Approximate width of a letter (px): a name that is wider than its part is left out. */
const LETTER = 8.5;

/** The name of a part and how often it is cut, shortened to fit on the part. */
function wordsOn({ name, count }: Part, wide: number): string {
  const whole = count > 1 ? `${name}, cut ${count}` : name;
  return [whole, name].find((words) => words.length * LETTER < wide) ?? '';
}

const laid = computed(() => {
  const sizes = props.parts.map(({ outline }) => bounds(outline));
  const across = sizes.reduce((sum, { minX, maxX }) => sum + maxX - minX, 0);
  const high = Math.max(1, ...sizes.map(({ minY, maxY }) => maxY - minY));
  const scale = Math.max(
    0.01,
    Math.min((height.value - 2 * AIR) / high, (width.value - AIR * (sizes.length + 1)) / across),
  );
  const whole = across * scale + AIR * (sizes.length - 1);
  let x = Math.max(AIR, (width.value - whole) / 2);
  return props.parts.map((part, index) => {
    const { minX, maxX, minY, maxY } = sizes[index] ?? bounds(part.outline);
    const [wide, tall] = [(maxX - minX) * scale, (maxY - minY) * scale];
    const y = (height.value + tall) / 2;
    const at = [x - minX * scale, y + minY * scale] as const;
    const holes = (part.holes ?? []).map((hole) => pathData(hole, { scale, origin: at, write: screenPx })).join('');
    const place = {
      part,
      holes,
      d: pathData(part.outline, { scale, origin: at, write: screenPx }),
      x: x + wide / 2,
      y: y - tall / 2,
      words: wordsOn(part, wide),
    };
    x += wide + AIR;
    return place;
  });
});
</script>

<template>
  <VBtn class="strip" variant="text" @click="emit('open')">
    <span ref="box" class="drawn">
      <svg v-if="width > 0" :width="width" :height="height" aria-hidden="true">
        <g v-for="place in laid" :key="place.part.id" :data-part="place.part.id">
          <path class="cut" :d="place.d" />
          <path v-if="place.holes" class="hole" :d="place.holes" />
          <text v-if="place.words" :x="place.x" :y="place.y + 6">{{ place.words }}</text>
        </g>
      </svg>
    </span>
    <span class="go">Flat parts</span>
  </VBtn>
</template>

<style scoped>
.strip {
  height: 132px;
  padding: 6px 16px;
  border-top: 1px solid var(--line);
  border-radius: 0;
  background: var(--panel);
}
.strip :deep(.v-btn__content) {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 16px;
  width: 100%;
  height: 100%;
}
.drawn {
  height: 118px;
  overflow: hidden;
}
.cut {
  fill: var(--slab);
  stroke: var(--slab-edge);
  stroke-width: 1.5;
}
.hole {
  fill: var(--panel);
  stroke: var(--slab-edge);
}
text {
  fill: var(--ink);
  font-family: 'Bitter', serif;
  font-size: 15px;
  text-anchor: middle;
}
.go {
  padding: 10px 16px;
  border: 1.5px solid var(--press);
  border-radius: 10px;
}
/* A low window has room for the piece alone. */
@media (max-height: 520px) {
  .strip {
    display: none;
  }
}
@media (max-width: 1199px) {
  .strip {
    height: 68px;
  }
  .drawn {
    height: 56px;
  }
}
</style>
