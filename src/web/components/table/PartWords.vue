<script setup lang="ts">
import { isPlate } from '../../../core/parts/part/part.ts';
import type { PartPlace } from './tablePlaces.ts';

/** Words at the straight edges of one flat part, and which way it is rolled. */
defineProps<{ place: PartPlace }>();
/** A shorter part has no room for them (px). */
const ROOM = 190;
/** The word of the foot's edge and the arrow of the roll stand side by side under a longer part (px). */
const ROLL_ROOM = 270;
const straight = ({ part }: PartPlace, edge: string) =>
  part.leans.some((lean) => lean.edge === edge && lean.word === 'straight down');
</script>

<template>
  <g v-if="!isPlate(place.part) && place.width > ROOM">
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
