<script setup lang="ts">
import { computed, useId } from 'vue';
import { pathData, plain } from '../../../core/format/pathData.ts';
import type { Page } from '../../../core/sheet/pages.ts';

/** One printed page as it will come out, small. */
const props = defineProps<{ page: Page; number: number; total: number }>();
const id = useId();
const origin = computed(() => [0, props.page.height] as const);
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
          <template v-for="(item, at) in layer.items" :key="at">
            <path
              v-if="item.kind === 'path'"
              :class="[item.layer, item.dash, item.fill]"
              :d="pathData(item.outline, 1, origin, plain, item.open ? 'open' : 'closed')"
            />
            <line
              v-else-if="item.kind === 'line'"
              :class="[item.layer, item.dash]"
              :x1="item.from[0]"
              :y1="page.height - item.from[1]"
              :x2="item.to[0]"
              :y2="page.height - item.to[1]"
            />
            <text
              v-else
              :class="item.weight"
              :x="item.at[0]"
              :y="page.height - item.at[1]"
              :font-size="item.size"
              :text-anchor="item.anchor"
            >
              {{ item.text }}
            </text>
          </template>
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
path,
line {
  fill: none;
  stroke: #2b1f1a;
  stroke-width: 0.35;
}
.cut {
  stroke-width: 0.9;
}
.dash {
  stroke-dasharray: 2 1.2;
}
.chain {
  stroke-dasharray: 6 1.5 1 1.5;
}
.shade {
  fill: #d9bd91;
}
text {
  fill: #2b1f1a;
}
.bold {
  font-weight: 700;
}
figcaption {
  color: var(--ink-soft);
  padding-top: 4px;
}
</style>
