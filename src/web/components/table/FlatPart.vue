<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../../core/format/pathData.ts';
import { bounds } from '../../../core/outline/outline.ts';
import { middleOf, type Part } from '../../../core/part/part.ts';

/** One flat part on the cloth, its lower left corner at `at` (px). */
const props = defineProps<{ part: Part; scale: number; at: readonly [number, number] }>();

const box = computed(() => {
  const up = bounds(props.part.outline);
  const under = bounds(props.part.underside);
  return {
    minX: Math.min(up.minX, under.minX),
    minY: Math.min(up.minY, under.minY),
    width: Math.max(up.maxX, under.maxX) - Math.min(up.minX, under.minX),
    height: Math.max(up.maxY, under.maxY) - Math.min(up.minY, under.minY),
  };
});
const origin = computed(
  () => [props.at[0] - box.value.minX * props.scale, props.at[1] + box.value.minY * props.scale] as const,
);
const px = (x: number) => origin.value[0] + x * props.scale;
const py = (y: number) => origin.value[1] - y * props.scale;
const leans = computed(() => props.part.leans.some((lean) => lean.word !== 'straight down'));
const middle = computed(() => {
  const [x, y] = middleOf(props.part);
  return [px(x), py(y)] as const;
});
const roomy = computed(() => box.value.width * props.scale > 150 && box.value.height * props.scale > 64);
const second = computed(() => {
  if (roomy.value) return `${props.part.faceUp} face up`;
  return props.part.count > 1 ? `cut ${props.part.count}` : '';
});
</script>

<template>
  <g :data-part="part.id" class="flat-part">
    <path v-if="leans" class="under" :d="pathData(part.underside, scale, origin)" />
    <path class="cut" :d="pathData(part.outline, scale, origin)" />
    <template v-for="(mark, index) in part.marks" :key="index">
      <line
        v-if="mark.kind === 'line'"
        :class="['mark', mark.name]"
        :x1="px(mark.from[0])"
        :y1="py(mark.from[1])"
        :x2="px(mark.to[0])"
        :y2="py(mark.to[1])"
      />
      <text
        v-else-if="mark.kind === 'letter' || roomy"
        :class="mark.kind"
        :x="px(mark.at[0])"
        :y="py(mark.at[1]) + 4"
        >{{ mark.text }}</text
      >
    </template>
    <text class="name" :x="middle[0]" :y="middle[1] - (second ? 6 : -2)">
      {{ part.name }}<template v-if="roomy && part.count > 1">, cut {{ part.count }}</template>
    </text>
    <text v-if="second" class="face" :x="middle[0]" :y="middle[1] + 18">{{ second }}</text>
  </g>
</template>

<style scoped>
.under {
  fill: var(--slab-under);
  stroke: var(--slab-edge);
  stroke-width: 1.2;
  stroke-dasharray: 5 4;
}
.cut {
  fill: var(--slab);
  stroke: var(--slab-edge);
  stroke-width: 2;
}
.mark {
  stroke: var(--slab-edge);
  stroke-width: 1;
  stroke-dasharray: 12 4 3 4;
  opacity: 0.55;
}
text {
  fill: var(--ink);
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--slab);
  stroke-width: 5px;
  stroke-linejoin: round;
}
.name,
.letter {
  font-family: 'Bitter', serif;
  font-weight: 600;
  font-size: 20px;
}
.face,
.words {
  font-size: 15px;
}
.mark.panel {
  stroke-dasharray: none;
  opacity: 0.4;
}
.mark.repeat {
  stroke-dasharray: none;
}
.mark.place {
  stroke-width: 2;
  stroke-dasharray: 9 5;
  opacity: 0.9;
}
</style>
