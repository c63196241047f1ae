<script setup lang="ts">
import { computed } from 'vue';
import { sizeOf, type KitItem } from '../../../core/studio/kit/kit.ts';
import { useLengths } from '../../composables/useLengths.ts';

/** A thing of the kit, drawn from above (sticks and rollers from the end) at the scale of its kind. */
const props = defineProps<{ item: KitItem; widest: number }>();
const lengths = useLengths();

/** The largest thing of a kind is this wide (px); nothing is drawn smaller than `LEAST`. */
const ROOM = 110;
const LEAST = 16;

const px = computed(() => ROOM / props.widest);
const round = computed(() => ['cutter', 'former', 'round-shelf'].includes(props.item.kind));
const size = (key: string) => Math.max(LEAST, sizeOf(props.item, key) * px.value);
const box = computed((): readonly [number, number] => {
  const { kind } = props.item;
  if (kind === 'stick') return [64, Math.max(4, sizeOf(props.item, 'thickness') * 3)];
  if (kind === 'roller') return [ROOM, 26];
  if (round.value) return [size('diameter'), size('diameter')];
  if (kind === 'template')
    return [size('chord'), Math.max(LEAST, (sizeOf(props.item, 'rise') + sizeOf(props.item, 'along')) * px.value)];
  return [size('length'), size('width')];
});
/** An arc template as it lies: its long arc above, drawn through its two ends and its rise. */
const card = computed(() => {
  const [wide, high] = box.value;
  const rise = (high * sizeOf(props.item, 'rise')) / (sizeOf(props.item, 'rise') + sizeOf(props.item, 'along') || 1);
  const short = wide * 0.3;
  return `M0 ${rise}Q${wide / 2} ${-rise} ${wide} ${rise}L${wide - short / 2} ${high}Q${wide / 2} ${high - 1.3 * rise} ${short / 2} ${high}Z`;
});
const words = computed(() => {
  const { item } = props;
  if (item.kind === 'stick') return lengths.figure(sizeOf(item, 'thickness'));
  if (item.kind === 'roller') return lengths.figure(sizeOf(item, 'width'));
  if (item.kind === 'template') return `${lengths.figure(sizeOf(item, 'chord'))} across`;
  if (round.value) return `Ø ${lengths.figure(sizeOf(item, 'diameter'))}`;
  return `${lengths.figure(sizeOf(item, 'length'))} × ${lengths.figure(sizeOf(item, 'width'))}`;
});
</script>

<template>
  <svg :width="box[0] + 4" :height="box[1] + 4" aria-hidden="true" :class="item.kind">
    <g transform="translate(2 2)">
      <circle v-if="round" :cx="box[0] / 2" :cy="box[1] / 2" :r="box[0] / 2" />
      <template v-else-if="item.kind === 'roller'">
        <rect :width="ROOM" height="11" rx="5" />
        <rect y="14" :width="ROOM" height="11" rx="5" />
      </template>
      <path v-else-if="item.kind === 'template'" :d="card" />
      <ellipse v-else-if="item.kind === 'mould'" :cx="box[0] / 2" :cy="box[1] / 2" :rx="box[0] / 2" :ry="box[1] / 2" />
      <rect v-else :width="box[0]" :height="box[1]" rx="2" />
    </g>
  </svg>
  <strong>{{ words }}</strong>
</template>

<style scoped>
circle,
ellipse,
path,
rect {
  fill: var(--wood);
  stroke: var(--slab-edge);
  stroke-width: 1.5;
}
.cutter circle,
.former circle {
  fill: none;
  stroke-width: 3;
}
.shelf rect,
.round-shelf circle,
.kiln rect {
  fill: var(--slab-under);
}
.mould ellipse {
  fill: var(--slab);
}
.template path,
.printer rect,
.plotter rect {
  fill: var(--panel);
}
strong {
  font-size: 18px;
}
</style>
