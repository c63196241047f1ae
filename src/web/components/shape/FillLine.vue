<script setup lang="ts">
import { LENGTH_TOLERANCE } from '../../../core/numbers.ts';
import { computed, ref, watchEffect } from 'vue';
import { capacityTo, readyToFill } from '../../../core/piece/capacityTo.ts';
import { afterPaint } from '../../composables/afterPaint.ts';
import { useOpenedParts } from '../../composables/openedParts.ts';
import { vDrag } from '../../composables/vDrag.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import { reachAt, type ShapePlaces } from './shapePlaces.ts';

/** How full the piece is: a level that is dragged or moved by keys, and what it holds up to there. */
const props = defineProps<{ places: ShapePlaces }>();

/** A cup is usually filled to about this far below its rim (fired mm). */
const BELOW_RIM = 10;

/** Room that words take: of a letter, of their margins, and of the grip that they stand beside (px). */
const WORDS = { letter: 9, margins: 14, grip: 14 };

const piece = usePiece();
const lengths = useLengths();
/** Height of the level over the inner floor, as a share; null until it is moved. */
const moved = ref<number | null>(null);
const floor = computed(() => props.places.fired.hollow[0]?.[1] ?? 0);
const brim = computed(() => props.places.fired.body.top);
const depth = computed(() => Math.max(LENGTH_TOLERANCE, brim.value - floor.value));
const share = computed(() => moved.value ?? Math.max(0.5, 1 - BELOW_RIM / depth.value));
const level = computed(() => floor.value + share.value * depth.value);
/** What it holds follows the drawing: a key redraws the piece first. */
const drawn = afterPaint(() => ({ target: piece.target, level: level.value - props.places.fired.body.foot }));
/** Of a draped piece it takes long to find: the first time it is found in tasks of its own. */
const stands = useOpenedParts();
watchEffect(() => stands('hollow') && readyToFill(drawn.value.target).places?.());
watchEffect(() => stands('hollow face') && readyToFill(drawn.value.target).mesh?.());
const holds = computed(() =>
  stands('filled') ? lengths.volume(capacityTo(drawn.value.target, drawn.value.level)) : '',
);
const line = computed(() => {
  const { middle, ground, scale, fired } = props.places;
  const half = reachAt(fired.hollow, level.value) * scale;
  const y = ground - level.value * scale;
  return { left: middle - half, right: middle + half, y };
});

/** In full where the line has room for it, without "to here" on a shorter one; beside it where not even that fits. */
const room = (text: string) => WORDS.letter * text.length + WORDS.margins;
const words = computed(() => {
  const full = holds.value && `${holds.value} to here`;
  return line.value.right - line.value.left < room(full) ? holds.value : full;
});
const beside = computed(() => {
  const wide = room(words.value);
  return line.value.right - line.value.left < wide && line.value.left > wide + WORDS.grip;
});

function moveTo(next: number): void {
  moved.value = Math.max(0, Math.min(1, next));
}

let from = 0;
const drag = {
  start: () => void (from = share.value),
  move: (_: number, dy: number) => moveTo(from - dy / props.places.scale / depth.value),
};

function onKey(event: KeyboardEvent): void {
  const step = lengths.steps.value.key / depth.value;
  const next: Record<string, number> = {
    ArrowUp: share.value + step,
    ArrowRight: share.value + step,
    ArrowDown: share.value - step,
    ArrowLeft: share.value - step,
    PageUp: share.value + 10 * step,
    PageDown: share.value - 10 * step,
    Home: 0,
    End: 1,
  };
  const to = next[event.key];
  if (to === undefined) return;
  event.preventDefault();
  moveTo(to);
}
</script>

<template>
  <div
    v-drag="drag"
    class="fill"
    role="slider"
    tabindex="0"
    aria-label="Filled to here"
    aria-orientation="vertical"
    :aria-valuemin="0"
    :aria-valuemax="100"
    :aria-valuenow="Math.round(100 * share)"
    :aria-valuetext="[holds, `${lengths.length(level - floor)} deep`].filter(Boolean).join(`, `)"
    :style="{ transform: `translate(${line.left}px, ${line.y}px)`, width: `${line.right - line.left}px` }"
    @keydown="onKey"
  >
    <span :class="{ beside }">{{ words }}</span>
  </div>
</template>

<style scoped>
.fill {
  position: absolute;
  top: -22px;
  left: 0;
  height: 44px;
  cursor: ns-resize;
  touch-action: none;
  background: linear-gradient(90deg, var(--press) 60%, transparent 60%) 0 50% / 12px 2px repeat-x;
}
.fill::after {
  content: '';
  position: absolute;
  left: -9px;
  top: 13px;
  width: 18px;
  height: 18px;
  border: 2px solid var(--panel);
  border-radius: 50%;
  background: var(--press);
}
span {
  position: absolute;
  top: 26px;
  left: 50%;
  transform: translateX(-50%);
  padding: 0 6px;
  font-weight: 700;
  font-size: 16px;
  white-space: nowrap;
  color: var(--press);
}
span.beside {
  top: 10px;
  left: -14px;
  transform: translateX(-100%);
}
</style>
