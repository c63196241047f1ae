<script setup lang="ts">
import { vDrag, type DragVerbs } from '../../composables/vDrag.ts';
import { computed } from 'vue';
import { pathData, screenPx } from '../../../core/files/format/pathData.ts';
import type { KeptPlacement } from '../../../core/studio/slabPlan/keptPlan.ts';
import type { LaidFaults } from '../../../core/studio/slabPlan/laidSlab.ts';
import type { Offcut } from '../../../core/studio/slabPlan/offcuts.ts';
import type { PlanPart } from '../../../core/studio/slabPlan/slabPlan.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useSlabPlan } from '../../stores/slabPlan.ts';

/** One slab from above, its length to the right, with the parts on it; they are dragged, turned and locked. */
const props = defineProps<{
  index: number;
  slab: {
    readonly thickness: number;
    readonly placements: readonly KeptPlacement[];
    readonly length: number;
    readonly width: number;
    readonly room: { readonly width: number; readonly length: number; readonly gap: number };
    readonly faults: LaidFaults | null;
  };
  scale: number;
  /** How often it is enlarged on the screen. */
  near: number;
  chosen: number | null;
}>();
const emit = defineEmits<{ choose: [index: number | null]; moved: [] }>();
const plan = useSlabPlan();
const lengths = useLengths();

/** Room for the dimensions round the slab (px). */
const AIR = { left: 8, top: 34, right: 96, bottom: 10 } as const;
const k = computed(() => props.scale);
const m = computed(() => plan.rules.margin);
const px = (mm: number) => mm * k.value;

interface Drawn {
  readonly key: number;
  readonly part: PlanPart;
  readonly place: KeptPlacement;
  readonly matrix: string;
  readonly at: readonly [number, number];
  readonly wrong: string;
}
const drawn = computed<Drawn[]>(() =>
  props.slab.placements.flatMap((place, key): Drawn[] => {
    const part = plan.parts.get(place.id);
    if (!part) return [];
    const angle = (place.turn * Math.PI) / 180;
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    const at = [px(place.y + m.value), px(place.x + m.value)] as const;
    const matrix = [k.value * s, k.value * c, -k.value * c, k.value * s, ...at]
      .map((value) => value.toFixed(4))
      .join(' ');
    const { faults } = props.slab;
    const wrong = faults?.off.has(key) ? 'off the slab' : faults?.crowded.has(key) ? 'too near' : '';
    return [{ key, part, place, matrix: `matrix(${matrix})`, at, wrong }];
  }),
);
const offcuts = computed(() => plan.offcuts[props.index] ?? []);
const roomy = (cut: Offcut) => px(cut.length) > 84 && px(cut.width) > 22;

/** The part that is dragged, as it lay. */
let held: { readonly key: number; readonly from: KeptPlacement } | null = null;
const dragOf = ({ key, place }: Drawn): DragVerbs => ({
  start: () => {
    emit('choose', key);
    if (!place.locked && !plan.making) held = { key, from: place };
  },
  move: (dx, dy) => {
    if (!held) return;
    const { from } = held;
    const scale = k.value * props.near;
    plan.move(props.index, held.key, {
      change: { x: from.x + dy / scale, y: from.y + dx / scale },
      group: `drag ${props.index} ${held.key}`,
    });
  },
  end: () => {
    if (held) emit('moved');
    held = null;
  },
});

/** The name of a part, with its turn and whether it is locked. */
const wordsOf = ({ part, place, wrong }: Drawn) =>
  [`${part.name} of ${part.piece}`, place.locked && 'locked', wrong].filter(Boolean).join(', ');

/** Steps of the keys: mm, and degrees. */
const STEP = 1;
const LONG_STEP = 10;
const TURN = 5;

function onKey(event: KeyboardEvent, { key, place }: Drawn): void {
  const by = event.shiftKey ? LONG_STEP : STEP;
  const moves: Readonly<Record<string, Partial<KeptPlacement>>> = {
    ArrowRight: { y: place.y + by },
    ArrowLeft: { y: place.y - by },
    ArrowDown: { x: place.x + by },
    ArrowUp: { x: place.x - by },
    '[': { turn: (place.turn + 360 - TURN) % 360 },
    ']': { turn: (place.turn + TURN) % 360 },
  };
  const change = event.key === 'Enter' ? { locked: !place.locked } : place.locked ? undefined : moves[event.key];
  if (!change || plan.making) return;
  event.preventDefault();
  plan.move(props.index, key, { change, group: `key ${props.index} ${key}` });
}
</script>

<template>
  <svg
    class="slab"
    :width="px(slab.length) + AIR.left + AIR.right"
    :height="px(slab.width) + AIR.top + AIR.bottom"
    :data-slab="index"
    role="group"
    :aria-label="`Slab ${index + 1}`"
  >
    <g :transform="`translate(${AIR.left} ${AIR.top})`">
      <rect class="clay" :width="px(slab.length)" :height="px(slab.width)" rx="3" @pointerdown="emit('choose', null)" />
      <rect class="margin" :x="px(m)" :y="px(m)" :width="px(slab.length - 2 * m)" :height="px(slab.width - 2 * m)" />
      <text class="across" :x="px(slab.length) / 2" y="-12">{{ lengths.figure(slab.length) }}</text>
      <text class="across side" :x="px(slab.length) + 10" :y="px(slab.width) / 2 + 7">
        {{ lengths.figure(slab.width) }}
      </text>
      <g v-for="(cut, number) in offcuts" :key="`cut-${number}`" class="offcut">
        <rect :x="px(cut.y + m)" :y="px(cut.x + m)" :width="px(cut.length)" :height="px(cut.width)" />
        <text v-if="roomy(cut)" :x="px(cut.y + m + cut.length / 2)" :y="px(cut.x + m + cut.width / 2) + 5">
          {{ cut.name }}: {{ lengths.figure(cut.length) }} × {{ lengths.figure(cut.width) }}
        </text>
        <text v-else :x="px(cut.y + m + cut.length / 2)" :y="px(cut.x + m + cut.width / 2) + 5">{{ cut.name }}</text>
      </g>
      <g
        v-for="one in drawn"
        :key="one.key"
        v-drag="dragOf(one)"
        class="part"
        :class="{ chosen: chosen === one.key, locked: one.place.locked, wrong: one.wrong }"
        :data-place="one.key"
        :data-at="`${one.place.x.toFixed(3)} ${one.place.y.toFixed(3)} ${one.place.turn.toFixed(2)}`"
        tabindex="0"
        role="button"
        :aria-pressed="chosen === one.key"
        :aria-label="`${wordsOf(one)}. Arrows move, [ and ] turn, Enter locks.`"
        @keydown="onKey($event, one)"
        @focus="emit('choose', one.key)"
      >
        <path :transform="one.matrix" :d="pathData(one.part.outline, { scale: 1, origin: [0, 0], write: screenPx })" />
        <text :x="one.at[0]" :y="one.at[1] + 5">{{ one.place.locked ? '▪ ' : '' }}{{ one.part.name }}</text>
        <text v-if="one.wrong" class="why" :x="one.at[0]" :y="one.at[1] + 22">{{ one.wrong }}</text>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.slab {
  display: block;
  max-width: none;
}
.clay {
  fill: var(--slab);
  stroke: var(--slab-edge);
  stroke-width: 1.5;
}
.margin {
  fill: none;
  stroke: var(--slab-edge);
  stroke-dasharray: 2 5;
  opacity: 0.5;
  pointer-events: none;
}
.across {
  fill: var(--ink);
  font-size: 20px;
  font-weight: 700;
  text-anchor: middle;
}
.side {
  text-anchor: start;
}
.part {
  cursor: grab;
  touch-action: none;
  outline-offset: -2px;
}
.part path {
  fill: var(--panel);
  stroke: var(--slab-edge);
  stroke-width: 1.6;
  vector-effect: non-scaling-stroke;
}
.part text,
.offcut text {
  fill: var(--ink);
  font-size: 14px;
  text-anchor: middle;
  pointer-events: none;
}
.part:focus {
  outline: none;
}
.part.chosen path,
.part:focus-visible path {
  stroke: var(--press);
  stroke-width: 3.5;
}
.part.locked path {
  fill: var(--slab-deep);
}
.part.locked {
  cursor: default;
}
.part.wrong path {
  fill: var(--stop);
  stroke: var(--stop-edge);
  stroke-width: 3;
}
.part .why {
  fill: var(--stop-edge);
  font-weight: 700;
}
.offcut rect {
  fill: none;
  stroke: var(--slab-edge);
  stroke-width: 1.2;
  stroke-dasharray: 7 5;
  opacity: 0.6;
  pointer-events: none;
}
.offcut text {
  font-size: 13px;
  fill: var(--ink);
}
</style>
