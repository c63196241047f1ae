<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { extent, scaleLinear, symbol, symbolCircle, symbolDiamond, symbolSquare, symbolTriangle } from 'd3';
import { computed, ref } from 'vue';
import type { CameOut, Finding } from '../../../core/studio/learning/findings.ts';
import { useLengths } from '../../composables/useLengths.ts';

/** What came out of the kiln beside what was drawn, piece by piece, in the firings that they were in. */
const props = defineProps<{ finding: Finding }>();
const lengths = useLengths();

const box = ref<HTMLElement | null>(null);
const { width } = useElementSize(box);
/** Height and margins (px). */
const HIGH = 340;
const SIDE = { left: 84, right: 14, top: 18, bottom: 52 } as const;
/** Where there is room the lines are named beside the plot, else on it (px). */
const ROOMY = 560;
const NAMES = 128;
/** Names nearer than this would lie on one another (px). */
const LINE = 20;
const SHAPES = [symbolCircle, symbolSquare, symbolDiamond, symbolTriangle];
const MARK = 150;
/** The scale never shows less than this (mm). */
const LEAST_SPAN = 1;

/** Those of the design that the heading is about, firing by firing. */
const shown = computed(() => {
  const { difference, cameOut } = props.finding;
  const own = cameOut.filter(
    ({ piece, drawn }) => piece.name === difference?.name && Math.abs(drawn - difference.drawn) < 0.01,
  );
  const first = own[0]?.what;
  return own.filter(({ what }) => what === first);
});
const nameOf = ({ piece }: CameOut) =>
  piece.firing ? [piece.firing.name, piece.firing.shelf].filter(Boolean).join(', ') : 'firing not written down';
const groups = computed(() => {
  const found = new Map<string, CameOut[]>();
  for (const one of shown.value) found.set(nameOf(one), [...(found.get(nameOf(one)) ?? []), one]);
  return [...found];
});
const drawn = computed(() => props.finding.difference?.drawn ?? 0);
const end = computed(() => width.value - (width.value < ROOMY ? SIDE.right : NAMES));
const y = computed(() => {
  const counted = shown.value.filter(({ aside }) => !aside).map(({ fired }) => fired);
  const [low = 0, high = 0] = extent([drawn.value, ...counted]) as [number, number];
  const more = Math.max(0.15 * (high - low), (LEAST_SPAN - (high - low)) / 2, 0.1);
  return scaleLinear([low - more, high + more], [HIGH - SIDE.bottom, SIDE.top]).nice(5);
});
const dots = computed(() => {
  const count = shown.value.length + groups.value.length - 1;
  const x = scaleLinear([-0.5, Math.max(1, count) - 0.5], [SIDE.left + 8, end.value]);
  let at = 0;
  return groups.value.map(([name, pieces], group) => {
    const first = at;
    const marks = pieces.map(({ fired, aside, piece }) => {
      const [low, high] = y.value.domain() as [number, number];
      const off = fired < low || fired > high;
      const mark = {
        x: x(at),
        y: y.value(Math.min(high, Math.max(low, fired))),
        aside,
        off,
        fired,
        number: piece.number,
      };
      at += 1;
      return mark;
    });
    const path = symbol(SHAPES[group % SHAPES.length], MARK)() ?? '';
    at += 1;
    return {
      name,
      path,
      marks,
      group,
      x: (x(first) + x(at - 2)) / 2,
      wide: Math.min(Math.max(90, x(at - 2) - x(first) + 60), (end.value - SIDE.left) / groups.value.length - 8),
    };
  });
});
const band = computed(() => {
  const { difference } = props.finding;
  return difference?.interval ? difference.interval.map((one) => y.value(drawn.value + one)) : null;
});
const came = computed(() => y.value(drawn.value + (props.finding.difference?.mean ?? 0)));
/** Heights of the names of both lines, apart from one another. */
const named = computed(() => {
  const [one, other] = [y.value(drawn.value), came.value];
  if (width.value < ROOMY)
    return other > one ? { drawn: one - 8, came: other + 20 } : { drawn: one + 20, came: other - 8 };
  const more = Math.max(0, (LINE - Math.abs(other - one)) / 2) * (other >= one ? 1 : -1);
  return { drawn: one + 5 - more, came: other + 5 + more };
});
const words = computed(
  () =>
    `${shown.value.length} pieces, drawn ${lengths.length(drawn.value)}, came out ${shown.value.map(({ fired }) => lengths.length(fired)).join(', ')}.`,
);
</script>

<template>
  <div ref="box" class="plot">
    <svg v-if="width > 0 && finding.difference" :width="width" :height="HIGH" role="img" :aria-label="words">
      <g v-for="tick in y.ticks(5)" :key="tick">
        <line class="tick" :x1="SIDE.left" :x2="end" :y1="y(tick)" :y2="y(tick)" />
        <text class="at" :x="SIDE.left - 10" :y="y(tick) + 5">{{ lengths.length(tick) }}</text>
      </g>
      <rect
        v-if="band"
        class="band"
        :x="SIDE.left"
        :width="end - SIDE.left"
        :y="band[1]"
        :height="Math.max(1, (band[0] ?? 0) - (band[1] ?? 0))"
      />
      <line class="drawn" :x1="SIDE.left" :x2="end" :y1="y(drawn)" :y2="y(drawn)" />
      <line class="came" :x1="SIDE.left" :x2="end" :y1="came" :y2="came" />
      <text class="named" :class="{ beside: width >= ROOMY }" :x="width >= ROOMY ? end + 8 : end - 6" :y="named.drawn">
        drawn {{ lengths.length(drawn) }}
      </text>
      <text
        class="named out"
        :class="{ beside: width >= ROOMY }"
        :x="width >= ROOMY ? end + 8 : end - 6"
        :y="named.came"
      >
        {{ width >= ROOMY ? 'came' : 'came out' }} {{ lengths.length(drawn + finding.difference.mean) }}
      </text>
      <g v-for="firing in dots" :key="firing.name">
        <g v-for="mark in firing.marks" :key="mark.number" :class="{ aside: mark.aside }">
          <path
            class="dot"
            :class="`of-${firing.group % 4}`"
            :d="firing.path"
            :transform="`translate(${mark.x} ${mark.y})`"
          />
          <path v-if="mark.aside" class="cross" :d="`M${mark.x - 7} ${mark.y - 7}l14 14m0 -14l-14 14`" />
        </g>
        <foreignObject :x="firing.x - firing.wide / 2" :y="HIGH - SIDE.bottom + 10" :width="firing.wide" height="42">
          <p class="firing">{{ firing.name }}</p>
        </foreignObject>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.tick {
  stroke: var(--line);
}
text {
  font-size: 15px;
  fill: var(--ink-soft);
  text-anchor: end;
}
.band {
  fill: var(--press);
  opacity: 0.18;
}
.drawn {
  stroke: var(--ink);
  stroke-width: 2;
}
.came {
  stroke: var(--press);
  stroke-width: 2;
  stroke-dasharray: 7 5;
}
.named {
  fill: var(--ink);
  font-weight: 700;
  paint-order: stroke;
  stroke: var(--cloth-plain, var(--panel));
  stroke-width: 4px;
}
.named.beside {
  text-anchor: start;
}
.named.out {
  fill: var(--press);
}
.dot {
  fill: var(--slab);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.of-1 {
  fill: var(--ink-soft);
}
.of-2 {
  fill: var(--press-soft);
}
.of-3 {
  fill: var(--panel);
}
.aside .dot {
  fill: none;
}
.cross {
  stroke: var(--stop-edge);
  stroke-width: 2.5;
}
.firing {
  margin: 0;
  text-align: center;
  font-size: 14px;
  line-height: 1.2;
  color: var(--ink-soft);
}
</style>
