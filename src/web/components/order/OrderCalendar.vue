<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { scaleLinear } from 'd3';
import { computed, ref } from 'vue';
import { KILN_WORDS } from '../../../core/studio/order/kilnDays.ts';
import type { KeptOrder } from '../../../core/studio/order/keptOrder.ts';
import type { BlockSpot, LaidBlock } from '../../../core/studio/order/order.ts';
import { vDrag } from '../../composables/vDrag.ts';
import { blockAct, blockHours, blockMany, blockName } from './blockWords.ts';
import { dayRows, momentOn, type DayRow } from './calendarRows.ts';

/** Days under one another, hours across: free hours pale, what the hands do in clay, what the kiln does hatched. Blocks are dragged. */
const props = defineProps<{
  order: KeptOrder;
  now: number;
  chosen: BlockSpot | null;
  isHeld: (spot: BlockSpot) => boolean;
}>();
const emit = defineEmits<{
  choose: [block: LaidBlock];
  move: [block: LaidBlock, start: number];
  letGo: [block: LaidBlock];
}>();

const HEAD = 30;
const FULL = 52;
const BARE = 30;
const NAMES = 104;
/** Blocks are put to the quarter of an hour (min). */
const STEP = 15;
const MINUTE = 60_000;
const DAY = 24 * 60;

const frame = ref<HTMLElement | null>(null);
const { width } = useElementSize(frame);
const rows = computed(() => dayRows(props.order, props.now));
const heightOf = ({ blocks, kiln, free }: DayRow) => (blocks.length + kiln.length + free.length > 0 ? FULL : BARE);
const tops = computed(() =>
  rows.value.reduce<number[]>((found, row, at) => [...found, (found[at] ?? HEAD) + heightOf(row)], [HEAD]),
);
const height = computed(() => tops.value.at(-1) ?? HEAD);
/** Hours of the day that are drawn: those that are free, and those that something is done in. */
const span = computed(() => {
  const hands = rows.value.flatMap(({ free, blocks }) => [...free, ...blocks]);
  if (hands.length === 0) return [9 * 60, 17 * 60] as const;
  const hour = 60;
  return [
    Math.max(0, Math.floor(Math.min(...hands.map(({ from }) => from)) / hour) * hour),
    Math.min(DAY, Math.ceil(Math.max(...hands.map(({ to }) => to)) / hour) * hour + hour),
  ] as const;
});
const x = computed(() => scaleLinear([...span.value], [NAMES, Math.max(NAMES + 1, width.value - 6)]).clamp(true));
const ticks = computed(() => {
  const [from, to] = span.value;
  const every = (width.value - NAMES) / ((to - from) / 60) < 44 ? 120 : 60;
  return Array.from({ length: Math.floor((to - from) / every) + 1 }, (_, index) => from + index * every);
});
const name = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const keyOf = ({ line, set, block }: BlockSpot) => `${line} ${set} ${block}`;
const isChosen = (block: LaidBlock) => props.chosen !== null && keyOf(props.chosen) === keyOf(block);
const isLate = ({ end }: LaidBlock) => end > (props.order.laid?.dryBy ?? Infinity) + MINUTE;
/** Room for words in a bar (px a letter). */
const LETTER = 8.2;
function short(words: string, wide: number): string {
  const most = Math.floor((wide - 12) / LETTER);
  if (most < 3) return '';
  return words.length <= most ? words : `${words.slice(0, most - 1).trimEnd()}…`;
}
/** The short ones lie on top: a long one never covers them. */
const onTop = ({ blocks }: DayRow) => [...blocks].sort((one, other) => other.to - other.from - (one.to - one.from));

/** A block that is on its way to another place: how far (px). */
const moving = ref<{ readonly key: string; readonly dx: number; readonly dy: number } | null>(null);

/** Where a block lands: the row under it, at the quarter of an hour. */
function landing(block: LaidBlock, row: number, { dx, dy }: { dx: number; dy: number }): number {
  const y = (tops.value[row] ?? 0) + FULL / 2 + dy;
  const below = tops.value.findIndex((top, at) => at > row && top > y);
  const target =
    dy < 0 ? Math.max(0, tops.value.findIndex((top) => top > y) - 1) : below > 0 ? below - 1 : rows.value.length - 1;
  const own = rows.value[row];
  const day = rows.value[target]?.day ?? own?.day ?? new Date(block.start);
  const from = own?.blocks.find((one) => one.block === block)?.from ?? 0;
  const minutes =
    Math.round(
      (from + (dx / Math.max(1, x.value(span.value[1]) - x.value(span.value[0]))) * (span.value[1] - span.value[0])) /
        STEP,
    ) * STEP;
  return momentOn(day, Math.max(0, Math.min(DAY - STEP, minutes)));
}

/** Where a block is drawn: on its way, it follows the pointer. */
function placeOf(block: LaidBlock, from: number, row: number): string {
  const by = moving.value?.key === keyOf(block) ? moving.value : { dx: 0, dy: 0 };
  return `translate(${x.value(from) + by.dx} ${(tops.value[row] ?? 0) + 6 + by.dy})`;
}

const verbs = (block: LaidBlock, row: number) => ({
  start: () => emit('choose', block),
  move: (dx: number, dy: number) => (moving.value = block.done ? null : { key: keyOf(block), dx, dy }),
  end: () => {
    const now = moving.value;
    moving.value = null;
    if (now && !block.done && Math.hypot(now.dx, now.dy) > 6) emit('move', block, landing(block, row, now));
  },
});

const KEYS: Readonly<Record<string, readonly [days: number, minutes: number]>> = {
  ArrowLeft: [0, -STEP],
  ArrowRight: [0, STEP],
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
};

function press(event: KeyboardEvent, block: LaidBlock): void {
  const by = KEYS[event.key];
  if (event.key === 'Enter' || event.key === ' ') emit('choose', block);
  else if (block.done) return;
  else if (event.key === 'Delete' || event.key === 'Backspace') emit('letGo', block);
  else if (by) {
    const at = new Date(block.start);
    const minutes = Math.round((60 * at.getHours() + at.getMinutes()) / STEP) * STEP + by[1];
    emit('choose', block);
    emit('move', block, momentOn(new Date(at.getFullYear(), at.getMonth(), at.getDate() + by[0]), minutes));
  } else return;
  event.preventDefault();
  event.stopPropagation();
}
</script>

<template>
  <div ref="frame" class="calendar">
    <svg v-if="width > 80" :width="width" :height="height" role="group" aria-label="The order, day by day">
      <defs>
        <pattern id="order-kiln" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect class="kiln-ground" width="9" height="9" />
          <rect class="kiln-hatch" width="3" height="9" />
        </pattern>
      </defs>
      <g v-for="tick in ticks" :key="tick">
        <text class="tick" :x="x(tick)" y="18" :text-anchor="x(tick) > width - 20 ? 'end' : 'middle'">
          {{ tick / 60 }}
        </text>
      </g>
      <g v-for="(row, at) in rows" :key="row.day.getTime()" :transform="`translate(0 ${tops[at]})`">
        <line class="rule" x1="0" :x2="width" y1="0" y2="0" />
        <text class="day" :class="{ bare: heightOf(row) === BARE }" x="2" :y="heightOf(row) / 2 + 6">
          {{ name.format(row.day) }}
        </text>
        <rect
          v-for="free in row.free"
          :key="free.from"
          class="free"
          :x="x(free.from)"
          :width="x(free.to) - x(free.from)"
          y="3"
          :height="FULL - 6"
          rx="6"
        />
        <g v-for="one in row.kiln" :key="`${one.kind} ${one.from}`">
          <title>{{ KILN_WORDS[one.kind] }}</title>
          <rect
            :class="one.kind === 'bisque' || one.kind === 'glaze' ? 'kiln' : 'hands'"
            :x="x(one.from)"
            :width="Math.max(2, x(one.to) - x(one.from))"
            :y="one.kind === 'bisque' || one.kind === 'glaze' ? heightOf(row) / 2 - 8 : 6"
            :height="one.kind === 'bisque' || one.kind === 'glaze' ? 16 : FULL - 12"
            rx="4"
          />
          <text v-if="one.kind !== 'bisque' && one.kind !== 'glaze'" class="in" :x="x(one.from) + 6" :y="FULL / 2 + 5">
            {{ short(KILN_WORDS[one.kind], x(one.to) - x(one.from)) }}
          </text>
        </g>
      </g>
      <template v-for="(row, at) in rows" :key="`blocks ${row.day.getTime()}`">
        <g
          v-for="{ block, from, to } in onTop(row)"
          :key="keyOf(block)"
          v-drag="verbs(block, at)"
          class="block"
          :class="{
            chosen: isChosen(block),
            held: isHeld(block),
            late: isLate(block),
            done: block.done,
            moving: moving?.key === keyOf(block),
          }"
          :data-block="keyOf(block)"
          role="button"
          tabindex="0"
          :aria-pressed="isChosen(block)"
          :aria-label="`${blockName(order, block)}, ${name.format(row.day)}, ${blockHours(block, isHeld(block))}${isLate(block) ? ', late' : ''}`"
          :transform="placeOf(block, from, at)"
          @keydown="press($event, block)"
        >
          <rect class="touch" y="-6" :width="Math.max(14, x(to) - x(from))" :height="FULL" />
          <rect class="bar" :width="Math.max(5, x(to) - x(from) - 1)" :height="FULL - 12" rx="6" />
          <circle v-if="isHeld(block)" class="pin" cx="0" cy="0" r="5" />
        </g>
        <!-- Words beside the block that they belong to: its name says them in full. -->
        <g
          v-for="{ block, from, to } in onTop(row)"
          :key="`words ${keyOf(block)}`"
          class="over"
          aria-hidden="true"
          :transform="placeOf(block, from, at)"
        >
          <text class="in" x="6" :y="FULL / 2 - 9">{{ short(blockAct(order, block), x(to) - x(from)) }}</text>
          <text class="in many" x="6" :y="FULL / 2 + 9">{{ short(blockMany(order, block), x(to) - x(from)) }}</text>
        </g>
      </template>
    </svg>
  </div>
</template>

<style scoped>
.calendar {
  min-width: 0;
  overflow: hidden;
}
.tick,
.day {
  font-size: 15px;
  fill: var(--ink-soft);
}
.day {
  fill: var(--ink);
}
.day.bare {
  fill: var(--ink-soft);
}
.rule {
  stroke: var(--line);
}
.free {
  fill: var(--ground);
}
.kiln {
  fill: url(#order-kiln);
}
.kiln-ground {
  fill: var(--care);
}
.kiln-hatch {
  fill: var(--care-edge);
  opacity: 0.5;
}
.hands {
  fill: var(--wood);
}
.in {
  font-size: 15px;
  fill: var(--ink);
  pointer-events: none;
}
.many {
  fill: var(--ink-soft);
}
.over {
  pointer-events: none;
}
.block {
  cursor: grab;
  touch-action: none;
}
.touch {
  fill: transparent;
}
.bar {
  fill: var(--slab);
  stroke: var(--slab-edge, var(--line));
}
.block:focus-visible {
  outline: none;
}
.block:focus-visible .bar,
.chosen .bar {
  stroke: var(--press);
  stroke-width: 3;
}
.done {
  cursor: default;
}
.done .bar {
  fill: none;
  stroke-dasharray: 4 3;
}
.late .bar {
  stroke: var(--stop-edge);
  stroke-width: 2.5;
}
.moving {
  cursor: grabbing;
  opacity: 0.85;
}
.pin {
  fill: var(--press);
}
</style>
