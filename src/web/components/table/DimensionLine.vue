<script setup lang="ts">
import { computed } from 'vue';

/** A dimension line with its end ticks between two points on one level or one upright (px). */
const props = defineProps<{ x1: number; y1: number; x2: number; y2: number }>();

/** Half a tick (px). */
const TICK = 7;

const path = computed(() => {
  const { x1, y1, x2, y2 } = props;
  const [dx, dy] = y1 === y2 ? [0, TICK] : [TICK, 0];
  const tick = (x: number, y: number) => `M${x - dx} ${y - dy}L${x + dx} ${y + dy}`;
  return `M${x1} ${y1}L${x2} ${y2}${tick(x1, y1)}${tick(x2, y2)}`;
});
</script>

<template>
  <path class="dimension" :d="path" />
</template>

<style scoped>
.dimension {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.5;
}
</style>
