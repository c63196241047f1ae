<script setup lang="ts">
import { computed } from 'vue';
import { layersOf, type Fold } from './folds.ts';

/** A sheet with its folds dashed, and the part of it that is seen once it is folded. */
const props = defineProps<{ fold: Fold }>();

/** Size of the drawing (px). */
const SHEET = { width: 64, height: 44, air: 4 } as const;

const layers = computed(() => layersOf(props.fold));
const folds = computed(() => {
  const { width, height, air } = SHEET;
  const { layersAround, layersUp } = layers.value;
  const across = Array.from(
    { length: layersUp - 1 },
    (_, index) => `M${air} ${air + ((index + 1) * height) / layersUp}h${width}`,
  );
  const upright = Array.from(
    { length: layersAround - 1 },
    (_, index) => `M${air + ((index + 1) * width) / layersAround} ${air}v${height}`,
  );
  return [...across, ...upright].join('');
});
</script>

<template>
  <svg :width="SHEET.width + 2 * SHEET.air" :height="SHEET.height + 2 * SHEET.air" aria-hidden="true">
    <rect class="sheet" :x="SHEET.air" :y="SHEET.air" :width="SHEET.width" :height="SHEET.height" />
    <rect
      class="seen"
      :x="SHEET.air"
      :y="SHEET.air + SHEET.height - SHEET.height / layers.layersUp"
      :width="SHEET.width / layers.layersAround"
      :height="SHEET.height / layers.layersUp"
    />
    <path class="fold" :d="folds" />
  </svg>
</template>

<style scoped>
.sheet {
  fill: var(--panel);
  stroke: var(--ink);
}
.seen {
  fill: var(--slab);
}
.fold {
  fill: none;
  stroke: var(--ink);
  stroke-dasharray: 4 3;
}
</style>
