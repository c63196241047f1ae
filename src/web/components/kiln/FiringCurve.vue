<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { line, scaleLinear } from 'd3';
import { computed, ref } from 'vue';
import { gapsOf, peakOf, scheduleCurve, type CurvePoint, type Segment } from '../../../core/studio/kiln/schedule.ts';

/** A firing over its hours: the schedule as it was meant, and what the kiln did. */
const props = defineProps<{ segments: readonly Segment[]; curve: readonly CurvePoint[] }>();
const box = ref<HTMLElement | null>(null);
const { width } = useElementSize(box);
const HIGH = 260;
const SIDE = { left: 64, right: 16, top: 24, bottom: 38 } as const;

const meant = computed(() => scheduleCurve(props.segments));
const end = computed(() => Math.max(60, meant.value.at(-1)?.[0] ?? 0, props.curve.at(-1)?.[0] ?? 0));
const top = computed(() => Math.max(100, peakOf(meant.value)?.celsius ?? 0, peakOf(props.curve)?.celsius ?? 0));
const x = computed(() =>
  scaleLinear([0, end.value / 60], [SIDE.left, Math.max(SIDE.left + 1, width.value - SIDE.right)]),
);
const y = computed(() => scaleLinear([0, top.value], [HIGH - SIDE.bottom, SIDE.top]).nice(5));
const path = (points: readonly CurvePoint[]) =>
  line<CurvePoint>(
    ([minutes]) => x.value(minutes / 60),
    ([, celsius]) => y.value(celsius),
  )(points) ?? '';
/** What was read, in pieces where the kiln went quiet. */
const read = computed(() => {
  const gaps = new Set(gapsOf(props.curve).map(([, to]) => to));
  const pieces: CurvePoint[][] = [];
  for (const point of props.curve) {
    if (pieces.length === 0 || gaps.has(point[0])) pieces.push([]);
    pieces.at(-1)?.push(point);
  }
  return pieces.map(path);
});
const hours = (minutes: number) => `${Math.floor(minutes / 60)} h ${String(Math.round(minutes % 60)).padStart(2, '0')}`;
const words = computed(() => {
  const [asked, got] = [peakOf(meant.value), peakOf(props.curve)];
  const read = got ? `Read: ${got.celsius} °C after ${hours(got.minutes)}.` : 'Nothing read yet.';
  return `Meant: ${asked?.celsius ?? 0} °C, ${hours(meant.value.at(-1)?.[0] ?? 0)} in all. ${read}`;
});
</script>

<template>
  <figure ref="box">
    <svg v-if="width > 0" :width="width" :height="HIGH" role="img" :aria-label="words">
      <g v-for="tick in y.ticks(4)" :key="`y${tick}`">
        <line class="tick" :x1="SIDE.left" :x2="width - SIDE.right" :y1="y(tick)" :y2="y(tick)" />
        <text class="left" :x="SIDE.left - 8" :y="y(tick) + 5">{{ tick }} °C</text>
      </g>
      <text
        v-for="tick in x.ticks(Math.max(3, Math.floor(width / 110)))"
        :key="`x${tick}`"
        class="under"
        :x="x(tick)"
        :y="HIGH - 12"
      >
        {{ tick }} h
      </text>
      <path class="meant" :d="path(meant)" />
      <path v-for="(piece, index) in read" :key="index" class="read" :d="piece" />
    </svg>
    <figcaption>{{ words }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
.tick {
  stroke: var(--line);
}
text {
  fill: var(--ink-soft);
  font-size: 14px;
}
.left {
  text-anchor: end;
}
.under {
  text-anchor: middle;
}
path {
  fill: none;
  stroke-width: 2.5;
}
.meant {
  stroke: var(--ink);
  stroke-dasharray: 7 5;
}
.read {
  stroke: var(--press);
}
figcaption {
  color: var(--ink-soft);
}
</style>
