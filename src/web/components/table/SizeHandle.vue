<script setup lang="ts">
import { useDrag } from '../../composables/useDrag.ts';

/** A round handle that changes one size: dragged, or moved by the arrow keys. */
const props = defineProps<{
  label: string;
  valueText: string;
  value: number;
  axis: 'across' | 'up';
  at: readonly [number, number];
}>();
const emit = defineEmits<{ start: []; move: [px: number]; step: [mm: number]; end: [] }>();

/** Steps of the arrow keys (mm): one, and with shift ten. */
const STEP = 1;
const LONG_STEP = 10;

const drag = useDrag({
  move: (dx, dy) => emit('move', props.axis === 'across' ? dx : -dy),
  end: () => emit('end'),
});

function onDown(event: PointerEvent): void {
  emit('start');
  (event.currentTarget as HTMLElement).focus();
  drag.start(event);
}

function onKey(event: KeyboardEvent): void {
  const steps: Record<string, number> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 };
  const step = steps[event.key];
  if (step === undefined) return;
  event.preventDefault();
  emit('step', step * (event.shiftKey ? LONG_STEP : STEP));
}
</script>

<template>
  <div
    class="handle"
    :class="axis"
    role="slider"
    tabindex="0"
    :aria-label="label"
    :aria-valuenow="value"
    :aria-valuetext="valueText"
    :aria-orientation="axis === 'up' ? 'vertical' : 'horizontal'"
    :style="{ transform: `translate(${at[0]}px, ${at[1]}px)` }"
    @pointerdown="onDown"
    @keydown="onKey"
    @blur="emit('end')"
  />
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
.across {
  cursor: ew-resize;
}
.up {
  cursor: ns-resize;
}
</style>
