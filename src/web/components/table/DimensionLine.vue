<script setup lang="ts">
import { computed } from 'vue';

/** A dimension line with its end ticks between two points on one level or one upright (px). */
const props = defineProps<{ x1: number; y1: number; x2: number; y2: number }>();

const level = computed(() => props.y1 === props.y2);
const ticks = computed(() => {
  const [dx, dy] = level.value ? [0, 7] : [7, 0];
  return [
    [props.x1 - dx, props.y1 - dy, props.x1 + dx, props.y1 + dy],
    [props.x2 - dx, props.y2 - dy, props.x2 + dx, props.y2 + dy],
  ];
});
</script>

<template>
  <g class="dimension">
    <line :x1="x1" :y1="y1" :x2="x2" :y2="y2" />
    <line v-for="(tick, index) in ticks" :key="index" :x1="tick[0]" :y1="tick[1]" :x2="tick[2]" :y2="tick[3]" />
  </g>
</template>

<style scoped>
line {
  stroke: var(--ink-soft);
  stroke-width: 1.5;
}
</style>
