<script setup lang="ts">
import { computed, useId } from 'vue';
import { leanSection } from '../../../core/files/sheet/edgeWords.ts';
import { pathData, screenPx } from '../../../core/files/format/pathData.ts';

/** A slab cut through at a leaning edge, with the blade. The piece lies left of the cut, or right with `side`. */
const props = defineProps<{ lean: number; side?: 'left' | 'right' }>();

const tip = useId();
const SCALE = 3.2;
const HEIGHT = 32;
const items = computed(() => leanSection(props.lean, [1.5, 2.8]));
</script>

<template>
  <svg class="section" width="52" :height="HEIGHT" viewBox="0 0 52 32" aria-hidden="true">
    <marker :id="tip" class="tip" orient="auto" markerWidth="4" markerHeight="4" refX="2" refY="2">
      <path d="M4 0 0 2l4 2z" />
    </marker>
    <g :transform="side === 'right' ? 'matrix(-1 0 0 1 52 0)' : undefined">
      <template v-for="(item, index) in items" :key="index">
        <path
          v-if="item.kind === 'path'"
          class="slab"
          :d="pathData(item.outline, { scale: SCALE, origin: [0, HEIGHT], write: screenPx })"
        />
        <line
          v-else-if="item.kind === 'line'"
          class="blade"
          :marker-start="`url(#${tip})`"
          :x1="item.from[0] * SCALE"
          :y1="HEIGHT - item.from[1] * SCALE"
          :x2="item.to[0] * SCALE"
          :y2="HEIGHT - item.to[1] * SCALE"
        />
      </template>
    </g>
  </svg>
</template>

<style scoped>
.slab {
  fill: var(--slab-deep);
  stroke: var(--slab-edge);
  stroke-width: 1.2;
}
.tip path {
  fill: var(--press);
}
.blade {
  stroke: var(--press);
  stroke-width: 2.4;
  stroke-linecap: round;
}
</style>
