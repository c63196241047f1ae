<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { scaleLinear } from 'd3';
import { computed, ref } from 'vue';
import { barFigures, barShrinkage, BAR_STATES, type BarState, type ShrinkBar } from '../../../core/studio/clay/bars.ts';

/** The bars of a clay, one a row, by how much each has shrunk at every state; the interval of the mean stands over them. */
const props = defineProps<{ bars: readonly ShrinkBar[]; shrinkage: number }>();

const box = ref<HTMLElement | null>(null);
const { width } = useElementSize(box);

/** Heights and margins (px). */
const ROW = 26;
const TOP = 34;
const SIDE = { left: 44, right: 26 } as const;
const BOTTOM = 34;
/** The scale never shows less than this much of shrinkage (fraction). */
const LEAST_SPAN = 0.02;

const figures = computed(() => barFigures(props.bars));
const fired = computed(() => figures.value.total.fired);
const height = computed(() => TOP + Math.max(1, props.bars.length) * ROW + BOTTOM);
const rows = computed(() =>
  props.bars.map((bar, index) => ({
    key: index,
    y: TOP + (index + 0.5) * ROW,
    aside: bar.aside === true,
    odd: figures.value.outlier === index,
    marks: BAR_STATES.flatMap((state): { state: BarState; at: number }[] => {
      const at = barShrinkage(bar, state);
      return at === null ? [] : [{ state, at }];
    }),
  })),
);
const x = computed(() => {
  const all = [
    props.shrinkage,
    ...(fired.value?.interval ?? []),
    ...rows.value.flatMap(({ marks }) => marks.map(({ at }) => at)),
  ];
  const [low, high] = [Math.min(0.04, ...all), Math.max(...all)];
  return scaleLinear()
    .domain([low, Math.max(high, low + LEAST_SPAN)])
    .nice(6)
    .range([SIDE.left, Math.max(SIDE.left + 1, width.value - SIDE.right)]);
});
const ticks = computed(() => x.value.ticks(Math.max(3, Math.floor(width.value / 90))));
const mean = computed(() => fired.value?.mean ?? props.shrinkage);
const percent = (share: number, digits = 1) => `${(100 * share).toFixed(digits)} %`;
const words = computed(() => {
  const count = fired.value?.count ?? 0;
  if (count === 0) return `No fired bar yet; the figure you entered is ${percent(props.shrinkage)}.`;
  const interval = fired.value?.interval;
  return `${count} fired bars, mean ${percent(mean.value)}${interval ? `, between ${percent(interval[0], 2)} and ${percent(interval[1], 2)}` : ''}.`;
});
</script>

<template>
  <div ref="box" class="plot">
    <svg v-if="width > 0" :width="width" :height="height" role="img" :aria-label="words">
      <g v-for="tick in ticks" :key="tick" class="tick">
        <line :x1="x(tick)" :x2="x(tick)" :y1="TOP - 6" :y2="height - BOTTOM" />
        <text :x="x(tick)" :y="height - 12">{{ Number((100 * tick).toFixed(1)) + ' %' }}</text>
      </g>
      <rect
        v-if="fired?.interval"
        class="interval"
        :x="x(fired.interval[0])"
        :width="Math.max(1, x(fired.interval[1]) - x(fired.interval[0]))"
        :y="TOP - 8"
        :height="height - TOP - BOTTOM + 8"
      />
      <line class="mean" :class="{ written: !fired }" :x1="x(mean)" :x2="x(mean)" :y1="TOP - 8" :y2="height - BOTTOM" />
      <text class="at-mean" :x="Math.min(x(mean), width - 70)" :y="TOP - 14">
        {{ fired ? 'mean' : 'as entered' }} {{ percent(mean, 2) }}
      </text>
      <g v-for="row in rows" :key="row.key" class="row" :class="{ aside: row.aside }">
        <text class="number" x="12" :y="row.y + 5">{{ row.key + 1 }}</text>
        <line
          v-if="row.marks.length"
          class="run"
          :x1="SIDE.left"
          :x2="x(row.marks.at(-1)?.at ?? 0)"
          :y1="row.y"
          :y2="row.y"
        />
        <template v-for="mark in row.marks" :key="mark.state">
          <circle v-if="mark.state === 'fired'" class="fired" :cx="x(mark.at)" :cy="row.y" r="6.5" />
          <rect
            v-else-if="mark.state === 'bisque'"
            class="bisque"
            :x="x(mark.at) - 4.5"
            :y="row.y - 4.5"
            width="9"
            height="9"
          />
          <path v-else class="dry" :d="`M${x(mark.at)} ${row.y - 6}l6 11h-12z`" />
        </template>
        <circle v-if="row.odd" class="odd" :cx="x(row.marks.at(-1)?.at ?? 0)" :cy="row.y" r="12" />
      </g>
    </svg>
    <p class="key" aria-hidden="true">
      <span
        ><svg width="14" height="14"><path class="dry" d="M7 1l6 11h-12z" /></svg> dry</span
      >
      <span
        ><svg width="14" height="14"><rect class="bisque" x="2" y="2" width="10" height="10" /></svg> bisque</span
      >
      <span
        ><svg width="14" height="14"><circle class="fired" cx="7" cy="7" r="6" /></svg> fired</span
      >
      <span
        ><svg width="24" height="14"><rect class="interval" width="24" height="14" /></svg> 95 % of the mean</span
      >
      <span v-if="figures.outlier !== null"
        ><svg width="18" height="18"><circle class="odd" cx="9" cy="9" r="7" /></svg> out of line</span
      >
    </p>
  </div>
</template>

<style scoped>
.plot {
  padding: 8px 0;
}
text {
  fill: var(--ink-soft);
  font-size: 14px;
  text-anchor: middle;
}
.number {
  fill: var(--ink);
  font-weight: 700;
}
.tick line {
  stroke: var(--line);
}
.interval {
  fill: var(--press);
  opacity: 0.22;
}
.mean {
  stroke: var(--press);
  stroke-width: 2.5;
}
.mean.written {
  stroke-dasharray: 6 5;
}
.at-mean {
  fill: var(--press);
  font-weight: 700;
  font-size: 15px;
}
.run {
  stroke: var(--slab-edge);
  stroke-width: 1.5;
  opacity: 0.35;
}
.fired {
  fill: var(--slab-edge);
}
.bisque {
  fill: var(--slab-under);
  stroke: var(--slab-edge);
}
.dry {
  fill: var(--slab);
  stroke: var(--slab-edge);
}
.odd {
  fill: none;
  stroke: var(--stop-edge);
  stroke-width: 2.5;
}
.aside {
  opacity: 0.35;
}
.key {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  color: var(--ink-soft);
}
.key span {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
</style>
