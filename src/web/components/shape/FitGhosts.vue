<script setup lang="ts">
import { computed } from 'vue';
import { firedLength } from '../../../core/units/shrinkage.ts';
import type { Target } from '../../../core/target/target.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { holeHeight } from '../standing/holeHeight.ts';
import { RACK_REACH, type ShapePlaces } from './shapePlaces.ts';

/** What the piece must fit, drawn with it at its own scale: the rack board with its hole, the shelf above, a hand. */
const props = defineProps<{ target: Target; places: ShapePlaces; hand: number | null }>();
const lengths = useLengths();

/** Thickness of a rack board as it is drawn (mm). */
const BOARD = 9;

const rack = computed(() => {
  const hole = props.target.fit?.hole;
  if (hole === undefined) return null;
  const { middle, ground, scale } = props.places;
  const y = ground - holeHeight(props.target, hole, 1 - props.target.clay.shrinkage) * scale;
  const [half, reach] = [(hole / 2) * scale, RACK_REACH * scale];
  return {
    y,
    high: BOARD * scale,
    left: middle - half,
    right: middle + half,
    reach,
    words: `hole ${lengths.length(hole)}`,
  };
});
const shelf = computed(() => {
  const clear = props.target.fit?.shelf;
  if (clear === undefined) return null;
  const { ground, scale, wetLeft, wetRight } = props.places;
  return {
    y: ground - clear * scale,
    left: wetLeft - 40,
    right: wetRight + 20,
    words: `shelf, ${lengths.length(clear)} clear`,
  };
});
/** A hand as wide as it is over the knuckles, on its way in. */
const hand = computed(() => {
  if (props.hand === null) return null;
  const { middle, ground, scale, fired } = props.places;
  const half = (props.hand / 2) * scale;
  const top = ground - fired.body.top * scale;
  const deep = Math.min(firedLength(60, props.target.clay.shrinkage), fired.body.top * 0.6) * scale;
  return {
    x: middle - half,
    y: top - 26,
    width: 2 * half,
    height: deep + 26,
    words: `hand ${lengths.length(props.hand)}`,
  };
});
</script>

<template>
  <g class="ghosts">
    <g v-if="rack">
      <path
        class="board"
        :d="`M${rack.left} ${rack.y}h${-rack.reach}v${rack.high}h${rack.reach}zM${rack.right} ${rack.y}h${rack.reach}v${rack.high}h${-rack.reach}z`"
      />
      <text :x="rack.left - 4" :y="rack.y - 8" class="end">{{ rack.words }}</text>
    </g>
    <g v-if="shelf">
      <path class="board" :d="`M${shelf.left} ${shelf.y}H${shelf.right}v-8H${shelf.left}z`" />
      <text :x="shelf.left" :y="shelf.y - 14">{{ shelf.words }}</text>
    </g>
    <g v-if="hand">
      <rect class="hand" :x="hand.x" :y="hand.y" :width="hand.width" :height="hand.height" :rx="hand.width * 0.28" />
      <text :x="hand.x + hand.width / 2" :y="hand.y + hand.height - 12" class="middle">{{ hand.words }}</text>
    </g>
  </g>
</template>

<style scoped>
.board {
  fill: var(--press-soft);
  fill-opacity: 0.7;
  stroke: var(--press);
  stroke-width: 1.5;
}
.hand {
  fill: none;
  stroke: var(--press);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
text {
  fill: var(--press);
  font-size: 15px;
  font-weight: 600;
}
.end {
  text-anchor: end;
}
.middle {
  text-anchor: middle;
}
</style>
