<script setup lang="ts">
import { useId } from 'vue';
import type { Page } from '../../../core/files/sheet/pages.ts';
import DrawnItems from '../screen/DrawnItems.vue';

/** One printed page as it will come out, small. */
defineProps<{ page: Page; number: number; total: number }>();
const id = useId();
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${page.width} ${page.height}`"
      role="img"
      :aria-label="`Page ${number} of ${total}, ${page.parts.map(({ id }) => id).join(' and ')}`"
    >
      <rect class="paper" :width="page.width" :height="page.height" />
      <template v-for="(layer, index) in page.layers" :key="index">
        <clipPath v-if="layer.clip" :id="`${id}-${index}`">
          <rect
            :x="layer.clip.minX"
            :y="page.height - layer.clip.maxY"
            :width="layer.clip.maxX - layer.clip.minX"
            :height="layer.clip.maxY - layer.clip.minY"
          />
        </clipPath>
        <g :clip-path="layer.clip ? `url(#${id}-${index})` : undefined">
          <DrawnItems :items="layer.items" :height="page.height" />
        </g>
      </template>
    </svg>
    <figcaption>{{ number }} of {{ total }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  text-align: center;
}
svg {
  display: block;
  width: 100%;
  filter: drop-shadow(0 2px 4px rgb(43 31 26 / 25%));
}
.paper {
  fill: #fffdf8;
}
svg :deep(path),
svg :deep(line) {
  fill: none;
  stroke: #2b1f1a;
  stroke-width: 0.35;
}
svg :deep(.cut) {
  stroke-width: 0.9;
}
svg :deep(.dash) {
  stroke-dasharray: 2 1.2;
}
svg :deep(.chain) {
  stroke-dasharray: 6 1.5 1 1.5;
}
svg :deep(.shade) {
  fill: #d9bd91;
}
svg :deep(text) {
  fill: #2b1f1a;
}
svg :deep(.bold) {
  font-weight: 700;
}
figcaption {
  color: var(--ink-soft);
  padding-top: 4px;
}
</style>
