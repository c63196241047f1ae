<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { line, scaleLinear } from 'd3';
import { computed, ref } from 'vue';
import type { Air } from '../../../core/studio/drying/air.ts';
import type { DryingCourse, DryingPart } from '../../../core/studio/drying/partDrying.ts';
import type { NamedPart } from '../../../core/studio/drying/stress.ts';
import { dryingAlike } from '../../../core/studio/making/waitingParts.ts';
import { courseOf } from '../../../core/studio/making/waitWindow.ts';
import { momentWords } from './momentWords.ts';
import type { WaitNow } from './useMaking.ts';

/** Moisture of a part as it dries: mean, surface and core, its window shaded, and now; and the mean of the parts of other thicknesses beside it. */
const props = defineProps<{ part: DryingPart; air: Air; wait: WaitNow; now: number; parts: readonly NamedPart[] }>();

const HOUR = 3_600_000;
const SPACE = { left: 46, right: 14, top: 14, bottom: 34 } as const;
const POINTS = 120;
const LONGEST = 400;

const frame = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(frame);

/** Hours that are drawn: a little past the window, or past now. */
const hours = computed(() => {
  const { window, began } = props.wait;
  const ends = [window.closes?.high, window.opens?.high, props.now].map((ms) => ((ms ?? began) - began) / HOUR);
  return Math.min(LONGEST, Math.max(1, 1.15 * Math.max(...ends)));
});
const courseBy = (thickness: number) => courseOf({ ...props.part, thickness }, props.air);
/** The model's hours at the pace that was learned. */
const onCourse = (course: DryingCourse, hour: number) => course.at(Math.min(LONGEST, hour / props.wait.factor.usual));
const course = computed(() => courseBy(props.part.thickness));
const at = (hour: number) => onCourse(course.value, hour);
const first = computed(() => at(0).mean);
const kinds = computed(() => dryingAlike(props.parts));
const others = computed(() =>
  kinds.value
    .filter(({ thickness }) => thickness !== props.part.thickness)
    .map(({ name, thickness }) => ({ name, course: courseBy(thickness) })),
);
const driest = computed(() =>
  Math.min(at(hours.value).surface, ...others.value.map((other) => onCourse(other.course, hours.value).mean)),
);
const x = computed(() =>
  scaleLinear([0, hours.value], [SPACE.left, Math.max(SPACE.left + 1, width.value - SPACE.right)]),
);
const y = computed(() =>
  scaleLinear(
    [Math.floor(driest.value * 20) / 20, Math.ceil(first.value * 20) / 20],
    [height.value - SPACE.bottom, SPACE.top],
  ),
);
const curve = (of: 'mean' | 'surface' | 'core', along = course.value) =>
  line<number>()
    .x((hour) => x.value(hour))
    .y((hour) => y.value(onCourse(along, hour)[of]))(
    Array.from({ length: POINTS + 1 }, (_, index) => (hours.value * index) / POINTS),
  ) ?? '';
/** Names stand on their lines, each a little further along than the one before. */
const names = computed(() => {
  if (others.value.length === 0) return [];
  const own = kinds.value.find(({ thickness }) => thickness === props.part.thickness);
  return [...(own ? [{ name: own.name, course: course.value }] : []), ...others.value].map(
    ({ name, course: along }, index) => {
      const hour = hours.value * Math.min(0.8, 0.3 + 0.22 * index);
      return { name, x: x.value(hour), y: y.value(onCourse(along, hour).mean) - 8 };
    },
  );
});
const pxOf = (ms: number) => x.value(Math.max(0, Math.min(hours.value, (ms - props.wait.began) / HOUR)));
const shade = computed(() => {
  const { opens, closes } = props.wait.window;
  if (!opens) return null;
  const [from, to] = [pxOf(opens.usual), closes ? pxOf(closes.usual) : x.value(hours.value)];
  return { from, wide: Math.max(2, to - from) };
});
const ticks = computed(() => x.value.ticks(Math.max(2, Math.floor(width.value / 190))));
const nowX = computed(() => pxOf(props.now));
const shareNow = computed(() => `${(100 * at(Math.max(0, (props.now - props.wait.began) / HOUR)).mean).toFixed(0)} %`);
</script>

<template>
  <figure class="wait-curve">
    <div ref="frame" class="frame">
      <svg
        v-if="width > 120 && height > 120"
        :width="width"
        :height="height"
        role="img"
        :aria-label="`Moisture now about ${shareNow} of the dry clay`"
      >
        <rect
          v-if="shade"
          class="window"
          :x="shade.from"
          :y="SPACE.top"
          :width="shade.wide"
          :height="height - SPACE.top - SPACE.bottom"
        />
        <g v-for="tick in y.ticks(4)" :key="`y ${tick}`">
          <line class="grid" :x1="SPACE.left" :x2="width - SPACE.right" :y1="y(tick)" :y2="y(tick)" />
          <text class="tick" text-anchor="end" :x="SPACE.left - 6" :y="y(tick) + 5">
            {{ (100 * tick).toFixed(0) }} %
          </text>
        </g>
        <text
          v-for="tick in ticks"
          :key="`x ${tick}`"
          class="tick"
          :text-anchor="tick === 0 ? 'start' : 'middle'"
          :x="x(tick)"
          :y="height - 10"
        >
          {{ momentWords(wait.began + tick * HOUR, now) }}
        </text>
        <path v-for="other in others" :key="other.name" class="other" :d="curve('mean', other.course)" />
        <path class="edge" :d="curve('surface')" />
        <path class="edge" :d="curve('core')" />
        <path class="mean" :d="curve('mean')" />
        <text v-for="one in names" :key="`name ${one.name}`" class="part" :x="one.x" :y="one.y">{{ one.name }}</text>
        <line class="now" :x1="nowX" :x2="nowX" :y1="SPACE.top" :y2="height - SPACE.bottom" />
        <text
          class="now-word"
          :text-anchor="nowX > width - 60 ? 'end' : 'start'"
          :x="nowX + (nowX > width - 60 ? -6 : 6)"
          :y="SPACE.top + 14"
        >
          now
        </text>
      </svg>
    </div>
    <figcaption>Water in the clay by the model; dashed, at its face and inside. Shaded: the window.</figcaption>
  </figure>
</template>

<style scoped>
.wait-curve {
  display: grid;
  grid-template-rows: minmax(140px, 1fr) auto;
  margin: 0;
}
.frame {
  position: relative;
  overflow: hidden;
}
svg {
  position: absolute;
  inset: 0;
}
.window {
  fill: var(--press-soft);
}
.grid {
  stroke: var(--line);
}
.tick {
  font-size: 15px;
  fill: var(--ink-soft);
}
path {
  fill: none;
}
.mean {
  stroke: var(--wood-deep);
  stroke-width: 3.5;
}
.other {
  stroke: var(--wood);
  stroke-width: 2.5;
}
.part {
  font-size: 15px;
  font-weight: 600;
  fill: var(--ink);
  stroke: var(--ground);
  stroke-width: 4px;
  paint-order: stroke;
}
.edge {
  stroke: var(--wood-deep);
  stroke-width: 1.5;
  stroke-dasharray: 3 4;
}
.now {
  stroke: var(--stop-edge);
  stroke-width: 2.5;
}
.now-word {
  font-size: 15px;
  font-weight: 700;
  fill: var(--stop-edge);
}
figcaption {
  font-size: 15px;
  color: var(--ink-soft);
  text-align: center;
}
@media (max-width: 699px) {
  figcaption {
    display: none;
  }
}
</style>
