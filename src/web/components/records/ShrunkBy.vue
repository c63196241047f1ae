<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { extent, scaleLinear } from 'd3';
import { computed, ref } from 'vue';
import type { MadePiece } from '../../../core/studio/learning/madePiece.ts';
import { SHRUNK_BY, shrinkageBy, type ShrunkBy } from '../../../core/studio/learning/shrinkageBy.ts';
import { counted, percent } from './findingWords.ts';

/** How much pieces shrank, by firing or by place in the kiln: each mean with its 95 % interval, and what is worked with. */
const props = defineProps<{ pieces: readonly MadePiece[]; now: number }>();
const by = ref<ShrunkBy>('firing');
const NAMES: Readonly<Record<ShrunkBy, string>> = { firing: 'Firing', place: 'Place in the kiln' };

const box = ref<HTMLElement | null>(null);
const { width } = useElementSize(box);
const HEAD = 26;
/** Half a figure of the scale stands beyond its ends. */
const SIDE = 26;
/** Names stand beside their rows where there is room (px). */
const ROOMY = 520;
const NAMED = 190;

const rows = computed(() => shrinkageBy(props.pieces, by.value));
/** A row has its name over it where there is no room beside it. */
const row = computed(() => (width.value < ROOMY ? 70 : 52));
const middle = computed(() => (width.value < ROOMY ? 36 : 24));
const left = computed(() => (width.value < ROOMY ? SIDE : NAMED));
/** An interval of two pieces may be wider than anything else: it is drawn to the edge, and told whole in its words. */
const LEAST = 0.004;
const x = computed(() => {
  const values = rows.value.flatMap(({ figure }) => [
    figure.mean - (figure.deviation ?? 0) * 2,
    figure.mean + (figure.deviation ?? 0) * 2,
  ]);
  const [low = 0, high = 0] = extent([props.now, ...values]) as [number, number];
  const more = Math.max(0.1 * (high - low), (LEAST - (high - low)) / 2);
  return scaleLinear([low - more, high + more], [left.value, Math.max(left.value + 40, width.value - SIDE)])
    .nice(4)
    .clamp(true);
});
const ticks = computed(() => x.value.ticks(Math.max(2, Math.floor((width.value - left.value) / 110))));
const words = ({ figure: { mean, interval, count } }: (typeof rows.value)[number]) => {
  const range = interval ? [`${percent(interval[0], 2)} to ${percent(interval[1], 2)}`] : [];
  return [percent(mean, 2), ...range, counted(count, 'piece')].join(', ');
};
const told = computed(() => rows.value.map((one) => `${one.value}: ${words(one)}`).join('; '));
</script>

<template>
  <section class="shrunk" aria-labelledby="shrunk-heading">
    <div class="head">
      <h2 id="shrunk-heading">Shrinkage</h2>
      <VBtnToggle v-model="by" mandatory aria-label="Shrinkage by">
        <VBtn v-for="one in SHRUNK_BY" :key="one" :value="one">{{ NAMES[one] }}</VBtn>
      </VBtnToggle>
    </div>
    <div ref="box">
      <svg
        v-if="rows.length && width > 0"
        :width="width"
        :height="HEAD + row * rows.length"
        role="img"
        :aria-label="`${told}. Worked with: ${percent(now)}.`"
      >
        <g v-for="tick in ticks" :key="tick">
          <line class="tick" :x1="x(tick)" :x2="x(tick)" :y1="HEAD" :y2="HEAD + row * rows.length" />
          <text class="at" :x="x(tick)" y="16">{{ percent(tick) }}</text>
        </g>
        <line class="now" :x1="x(now)" :x2="x(now)" :y1="HEAD - 4" :y2="HEAD + row * rows.length" />
        <g v-for="(one, index) in rows" :key="one.value" :transform="`translate(0 ${HEAD + row * index})`">
          <text class="name" x="0" :y="width < ROOMY ? 20 : middle + 5">{{ one.value }}</text>
          <rect
            v-if="one.figure.interval"
            class="between"
            :x="x(one.figure.interval[0])"
            :width="Math.max(2, x(one.figure.interval[1]) - x(one.figure.interval[0]))"
            :y="middle - 6"
            height="12"
            rx="4"
          />
          <rect class="mean" :x="x(one.figure.mean) - 2" width="4" :y="middle - 11" height="22" />
          <text class="words" :x="width" :y="row - 6">{{ words(one) }}</text>
        </g>
      </svg>
      <p v-else-if="rows.length === 0" class="soft">
        No piece of a written-down {{ by === 'firing' ? 'firing' : 'place' }} was measured both wet and fired.
      </p>
    </div>
  </section>
</template>

<style scoped>
.shrunk {
  display: grid;
  gap: 10px;
  margin-top: 26px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
h2 {
  font-size: 19px;
}
.tick {
  stroke: var(--line);
}
.now {
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 7 5;
}
.between {
  fill: var(--press);
  opacity: 0.35;
}
.mean {
  fill: var(--ink);
}
text {
  font-size: 15px;
  fill: var(--ink);
}
.at,
.words {
  fill: var(--ink-soft);
  font-size: 14px;
}
.at {
  text-anchor: middle;
}
.words {
  text-anchor: end;
}
.name,
.words {
  paint-order: stroke;
  stroke: var(--cloth);
  stroke-width: 4px;
}
.soft {
  color: var(--ink-soft);
}
</style>
