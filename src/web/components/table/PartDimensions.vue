<script setup lang="ts">
import { isPlate } from '../../../core/part/part.ts';
import DimensionLine from './DimensionLine.vue';
import type { PartPlace } from './tablePlaces.ts';

/** Dimension lines and edge words of one flat part. */
defineProps<{ place: PartPlace }>();
/** The word of the foot's edge and the arrow of the roll stand side by side under a longer part (px). */
const ROLL_ROOM = 270;
const straight = ({ part }: PartPlace, edge: string) =>
  part.leans.some((lean) => lean.edge === edge && lean.word === 'straight down');
</script>

<template>
  <g>
    <template v-if="isPlate(place.part)">
      <DimensionLine
        :x1="place.traced.left"
        :x2="place.traced.left + place.traced.pxLength"
        :y1="place.y + 28"
        :y2="place.y + 28"
      />
    </template>
    <template v-else>
      <DimensionLine
        :x1="place.traced.left"
        :x2="place.traced.left + place.traced.pxLength"
        :y1="place.y - place.height - 30"
        :y2="place.y - place.height - 30"
      />
      <DimensionLine
        :x1="place.x + place.width + 48"
        :x2="place.x + place.width + 48"
        :y1="place.traced.top"
        :y2="place.traced.top + place.traced.pxHeight"
      />
      <template v-if="place.width > 190">
        <text v-if="straight(place, 'rim')" :transform="`translate(${place.x + 6} ${place.y - place.height - 8})`"
          >rim, straight down</text
        >
        <text v-if="straight(place, 'foot')" :transform="`translate(${place.x + 6} ${place.y + 20})`"
          >foot, straight down</text
        >
        <g
          v-if="place.width > ROLL_ROOM || !straight(place, 'foot')"
          class="roll"
          :transform="`translate(${place.x + place.width - 92} ${place.y + 15})`"
        >
          <text x="-8" y="5">roll</text>
          <path d="M0 0h84m-9 -5 9 5 -9 5" />
        </g>
      </template>
    </template>
  </g>
</template>

<style scoped>
text {
  fill: var(--ink-soft);
  font-size: 15px;
}
.roll text {
  text-anchor: end;
}
.roll path {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.5;
}
</style>
