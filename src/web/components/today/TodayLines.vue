<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { scaleTime } from 'd3';
import { computed, ref } from 'vue';
import type { AgendaLine } from '../../../core/studio/making/agenda.ts';
import { momentWords } from '../make/momentWords.ts';

/** Everything in work on one line of time from now: waits hatched, windows in blue, what can be done at any time in wood. */
const props = defineProps<{ lines: readonly AgendaLine[]; now: number }>();
const emit = defineEmits<{ go: [line: AgendaLine] }>();

const HOUR = 3_600_000;
const ROW = 64;
const HEAD = 34;
const LEAST_BAR = 6;

const frame = ref<HTMLElement | null>(null);
const { width } = useElementSize(frame);
const from = computed(() => props.now - 1.5 * HOUR);
/** Two days at most are drawn: what opens later is told in words at the edge. */
const to = computed(() => {
  const ends = props.lines.map(({ window }) => window?.closes?.usual ?? window?.opens?.usual ?? props.now);
  return props.now + Math.min(48 * HOUR, Math.max(6 * HOUR, ...ends.map((end) => 1.1 * (end - props.now))));
});
const x = computed(() => scaleTime([from.value, to.value], [0, Math.max(1, width.value)]).clamp(true));
const ticks = computed(() => x.value.ticks(Math.max(2, Math.floor(width.value / 120))));
const nowX = computed(() => x.value(props.now));

const bars = computed(() =>
  props.lines.map((line) => {
    const { window, began, state } = line;
    if (!window?.opens)
      return { line, wait: null, open: null, free: { at: nowX.value, wide: Math.max(60, 0.06 * width.value) } };
    const opens = x.value(window.opens.usual);
    const closes = window.closes ? x.value(window.closes.usual) : width.value;
    return {
      line,
      wait: { at: x.value(began ?? props.now), wide: Math.max(LEAST_BAR, opens - x.value(began ?? props.now)) },
      open: state === 'missed' ? null : { at: opens, wide: Math.max(LEAST_BAR, closes - opens) },
      free: null,
    };
  }),
);
const many = ({ name, numbers }: AgendaLine) => (numbers.length > 1 ? `${name}, ${numbers.length}` : name);

function words({ state, window, then, step }: AgendaLine): string {
  if (state === 'missed') return 'missed: too stiff to join';
  if (!window?.opens) return step.title.toLowerCase();
  const opens = momentWords(window.opens.usual, props.now);
  const closes = window.closes && momentWords(window.closes.usual, props.now);
  if (state === 'waits')
    return closes
      ? `${then.title.toLowerCase()}, ${opens} to ${closes}`
      : `${step.title.toLowerCase()}, ready about ${opens}`;
  if (state === 'past') return `${then.title.toLowerCase()}: feel it first`;
  return closes ? `${then.title.toLowerCase()}, until about ${closes}` : `${step.title.toLowerCase()}: check it`;
}
</script>

<template>
  <div class="lines">
    <ol class="names">
      <li
        v-for="line in lines"
        :key="`${line.making} ${line.piece} ${line.step.id} ${line.numbers[0]}`"
        :style="{ height: `${ROW}px` }"
      >
        <VBtn variant="text" class="name" :class="line.state" @click="emit('go', line)">
          <span class="what serif">{{ many(line) }}</span>
          <span class="next">{{ words(line) }}</span>
        </VBtn>
      </li>
    </ol>
    <div ref="frame" class="time" aria-hidden="true">
      <svg v-if="width > 80" :width="width" :height="HEAD + ROW * lines.length">
        <defs>
          <pattern id="today-wait" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect class="hatch-ground" width="8" height="8" />
            <rect class="hatch" width="2.5" height="8" />
          </pattern>
        </defs>
        <g v-for="tick in ticks" :key="tick.getTime()">
          <line class="grid" :x1="x(tick)" :x2="x(tick)" :y1="HEAD - 8" :y2="HEAD + ROW * lines.length" />
          <text
            class="tick"
            :x="x(tick)"
            y="18"
            :text-anchor="x(tick) < 30 ? 'start' : x(tick) > width - 40 ? 'end' : 'middle'"
          >
            {{ momentWords(tick.getTime(), now) }}
          </text>
        </g>
        <g
          v-for="({ wait, open, free, line }, index) in bars"
          :key="index"
          :transform="`translate(0 ${HEAD + ROW * index + 14})`"
        >
          <rect v-if="wait" class="wait" :x="wait.at" :width="wait.wide" height="34" rx="6" />
          <rect
            v-if="open"
            class="open"
            :class="[line.state, { ready: !line.window?.closes }]"
            :x="open.at"
            :width="open.wide"
            height="34"
            rx="6"
          />
          <rect v-if="free" class="free" :x="free.at" :width="free.wide" height="34" rx="6" />
        </g>
        <line class="now" :x1="nowX" :x2="nowX" :y1="HEAD - 8" :y2="HEAD + ROW * lines.length" />
      </svg>
    </div>
  </div>
</template>

<style scoped>
.lines {
  display: grid;
  grid-template-columns: minmax(200px, 300px) minmax(0, 1fr);
  gap: 12px;
}
.names {
  margin: 34px 0 0;
  padding: 0;
  list-style: none;
}
.name {
  justify-content: start;
  width: 100%;
  height: 60px;
  padding: 2px 8px;
  text-align: left;
}
.name :deep(.v-btn__content) {
  display: grid;
  justify-items: start;
  min-width: 0;
  white-space: normal;
}
.what {
  font-size: 18px;
  font-weight: 600;
  color: var(--ink);
}
.next {
  font-size: 15px;
  font-weight: 400;
  line-height: 1.2;
  color: var(--ink-soft);
}
.missed .next,
.closing .next {
  font-weight: 700;
  color: var(--stop-edge);
}
.open .next {
  font-weight: 700;
  color: var(--press);
}
.grid {
  stroke: var(--line);
}
.tick {
  font-size: 15px;
  fill: var(--ink-soft);
}
.wait {
  fill: url(#today-wait);
}
.hatch-ground {
  fill: var(--cloth);
}
.hatch {
  fill: var(--line);
}
rect.open {
  fill: var(--panel, var(--ground));
  stroke: var(--press);
  stroke-width: 2;
}
rect.open.open,
rect.open.closing {
  fill: var(--press);
}
rect.open.waits,
rect.open.past {
  fill: var(--ground);
}
rect.ready {
  stroke: none;
  fill: var(--slab);
}
.free {
  fill: var(--wood);
}
.now {
  stroke: var(--stop-edge);
  stroke-width: 2.5;
}
@media (max-width: 699px) {
  .lines {
    grid-template-columns: minmax(0, 1fr);
  }
  .time {
    display: none;
  }
  .names {
    margin-top: 0;
  }
}
</style>
