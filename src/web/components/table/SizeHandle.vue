<script setup lang="ts">
import { LIMITS } from '../../../core/target/target.ts';
import { vDrag } from '../../composables/vDrag.ts';
import { useLengths } from '../../composables/useLengths.ts';

/** A round handle that changes one size: dragged, or moved by keys in steps of the unit in use. */
const props = defineProps<{
  label: string;
  valueText: string;
  value: number;
  axis: 'across' | 'up';
  at: readonly [number, number];
  /** Its name beside it, where it is one of several that stand close. */
  words?: string;
}>();
const emit = defineEmits<{ start: []; move: [px: number]; step: [mm: number]; end: [] }>();

/** Shift and the Page keys move so many steps at a time. */
const LONG_STEP = 10;
const { greatest } = LIMITS.size;

const lengths = useLengths();
const drag = {
  start: () => emit('start'),
  move: (dx: number, dy: number) => emit('move', props.axis === 'across' ? dx : -dy),
  end: () => emit('end'),
};

function onKey(event: KeyboardEvent): void {
  const steps: Record<string, number> = {
    ArrowRight: 1,
    ArrowUp: 1,
    ArrowLeft: -1,
    ArrowDown: -1,
    PageUp: LONG_STEP,
    PageDown: -LONG_STEP,
  };
  const ends: Record<string, number> = { Home: lengths.steps.value.key, End: greatest };
  const step = steps[event.key];
  const end = ends[event.key];
  if (step === undefined && end === undefined) return;
  event.preventDefault();
  if (end !== undefined) emit('step', end - props.value);
  else if (step !== undefined) emit('step', step * lengths.steps.value.key * (event.shiftKey ? LONG_STEP : 1));
}
</script>

<template>
  <div
    v-drag="drag"
    class="handle"
    :class="axis"
    role="slider"
    tabindex="0"
    :aria-label="label"
    :aria-valuenow="value"
    :aria-valuemin="0"
    :aria-valuemax="greatest"
    :aria-valuetext="valueText"
    :aria-orientation="axis === 'up' ? 'vertical' : 'horizontal'"
    :style="{ transform: `translate(${at[0]}px, ${at[1]}px)` }"
    @keydown="onKey"
    @blur="emit('end')"
  >
    <span v-if="words" class="words">{{ words }}</span>
  </div>
</template>

<style scoped>
.handle {
  position: absolute;
  top: 0;
  left: 0;
  width: 44px;
  height: 44px;
  margin: -22px 0 0 -22px;
  border-radius: 50%;
  touch-action: none;
}
.handle::after {
  content: '';
  position: absolute;
  inset: 12px;
  border-radius: 50%;
  background: var(--press);
  border: 2px solid var(--panel);
}
.words {
  position: absolute;
  top: 36px;
  left: 50%;
  transform: translateX(-50%);
  max-width: 60px;
  font-size: 13px;
  line-height: 1.1;
  text-align: center;
  background: var(--cloth);
}
.across {
  cursor: ew-resize;
}
.up {
  cursor: ns-resize;
}
</style>
