<script setup lang="ts">
import { computed } from 'vue';
import { pathData, screenPx } from '../../../core/files/format/pathData.ts';
import { elevation } from '../../../core/piece/elevation.ts';
import type { Target } from '../../../core/target/target.ts';

/** The standing piece from the side: fired, with the wet outline dashed over it, on one ground line. */
const props = defineProps<{ target: Target; scale: number; at: readonly [number, number] }>();

const fired = computed(() => elevation(props.target, 'fired'));
const wet = computed(() => elevation(props.target, 'wet'));
const origin = computed(() => [props.at[0] - wet.value.left * props.scale, props.at[1]] as const);
const path = (outline: Parameters<typeof pathData>[0]) =>
  pathData(outline, { scale: props.scale, origin: origin.value, write: screenPx });
</script>

<template>
  <g class="elevation">
    <path class="fired" :d="path(fired.outer)" />
    <path class="hollow" :d="path(fired.hollow)" />
    <path v-for="(shape, index) in fired.added" :key="index" class="fired" :d="path(shape)" />
    <path class="wet" :d="path(wet.outer)" />
    <path v-for="(shape, index) in wet.added" :key="index" class="wet" :d="path(shape)" />
    <path v-for="(finger, index) in fired.fingers" :key="index" class="finger" :d="path(finger)" />
    <line class="ground" :x1="at[0] - 14" :x2="at[0] + wet.width * scale + 14" :y1="at[1]" :y2="at[1]" />
  </g>
</template>

<style scoped>
.fired {
  fill: var(--slab);
  stroke: var(--slab-edge);
  stroke-width: 2;
}
.hollow {
  fill: none;
  stroke: var(--slab-edge);
  stroke-width: 1;
  stroke-dasharray: 2 3;
}
.wet {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.5;
  stroke-dasharray: 7 4;
}
.finger {
  fill: none;
  stroke: var(--press);
  stroke-width: 1.5;
}
.ground {
  stroke: var(--ink-soft);
  stroke-width: 1.5;
}
</style>
