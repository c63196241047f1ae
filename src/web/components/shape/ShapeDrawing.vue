<script setup lang="ts">
import { computed } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import type { Development } from '../../../core/piece/develop.ts';
import { kindOf } from '../../../core/forms/kinds.ts';
import type { Target } from '../../../core/target/target.ts';
import { wetAndFired } from '../../../core/piece/wetFired.ts';
import { useOpenedParts } from '../../composables/openedParts.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import { draggedSizes, type DraggedSize } from '../table/draggedSizes.ts';
import FigureTag from '../table/FigureTag.vue';
import PieceElevation from '../table/PieceElevation.vue';
import FillLine from './FillLine.vue';
import FitGhosts from './FitGhosts.vue';
import SizeGrips from './SizeGrips.vue';
import { shapeTags, type ShapePlaces } from './shapePlaces.ts';

/** The standing piece from the side as placed, fired and wet, with every size that can be dragged; `width` by `height` px. */
const props = defineProps<{
  target: Target;
  developed: Development;
  places: ShapePlaces;
  width: number;
  height: number;
  hand: number | null;
  /** Changes a size by its key (mm). */
  take: (key: string, mm: number) => readonly Fault[];
}>();
const stands = useOpenedParts();
const emit = defineEmits<{
  start: [key: string];
  drag: [handle: DraggedSize, px: number];
  step: [key: string, mm: number];
  end: [];
  done: [];
}>();

const lengths = useLengths();
const piece = usePiece();
/** The caption and what the piece must fit are drawn after the piece, so that a key redraws the piece first. */
const rested = computed(() => piece.beside.target);
/** Height of the drawn rim for its width: a ring seen from a little above. */
const RIM_TILT = 0.075;
const traits = computed(() => kindOf(props.target).traits);

const handles = computed(() => draggedSizes(props.target));
const tags = computed(() => shapeTags(handles.value, props.places));
const sign = (handle: DraggedSize) => (traits.value.round && handle.axis === 'across' ? 'Ø ' : '');
const lines = computed(() => tags.value.map(({ line }) => line).join(''));
const at = computed(() => [props.places.wetLeft, props.places.ground] as const);
const rings = computed(() => {
  if (!traits.value.open || props.target.lid) return [];
  const { fired, middle, ground, scale } = props.places;
  const ring = (left: number, right: number, z: number) => ({
    cx: middle + ((left + right) / 2) * scale,
    cy: ground - z * scale,
    rx: ((right - left) / 2) * scale,
    ry: ((right - left) / 2) * scale * RIM_TILT,
  });
  const mouth = fired.hollow[fired.hollow.length / 2 - 1];
  const inner = mouth ? [ring(-mouth[0] + fired.rim[0] + fired.rim[1], mouth[0], fired.rimHeight)] : [];
  return [
    { ...ring(fired.rim[0], fired.rim[1], fired.rimHeight), name: 'lip' },
    ...inner.map((one) => ({ ...one, name: 'mouth' })),
  ];
});
/** The wet sizes in words: rim, foot where it is another, and height; a narrow drawing has no room for them. */
const CAPTION_ROOM = { width: 520, height: 330 } as const;
const wetWords = computed(() => {
  const sizes = new Map(wetAndFired(rested.value).map(({ key, wet }) => [key, wet.map((mm) => lengths.figure(mm))]));
  const [rim, foot] = ['outside-rim', 'outside-foot'].map((key) => sizes.get(key)?.join(' × '));
  const across = foot && foot !== rim ? `${rim} / ${foot}` : rim;
  return [across, sizes.get('height')?.[0]].filter(Boolean).join(' × ');
});
const fills = computed(
  () => props.developed.finished.capacityBrim > 0 && props.places.fired.hollow.length > 2 && !props.target.lid,
);
</script>

<template>
  <svg :width="width" :height="height" role="img" :aria-label="`${target.name} from the side`">
    <text v-if="width > CAPTION_ROOM.width && height > CAPTION_ROOM.height" class="caption" x="18" y="28">
      fired; dashed, wet: {{ wetWords }}
    </text>
    <PieceElevation :target="target" :scale="places.scale" :at="at" />
    <ellipse
      v-for="ring in rings"
      :key="ring.name"
      :class="ring.name"
      :cx="ring.cx"
      :cy="ring.cy"
      :rx="ring.rx"
      :ry="ring.ry"
    />
    <FitGhosts :target="rested" :places="places" :hand="hand" />
    <path class="dimension" :d="lines" />
  </svg>
  <FillLine v-if="fills && stands('filling line')" :places="places" />
  <FigureTag
    v-for="tag in tags"
    :key="tag.handle.size.key"
    :label="tag.handle.size.label"
    :sign="sign(tag.handle)"
    :mm="tag.handle.size.value"
    :take="(mm) => take(tag.handle.size.key, mm)"
    :at="tag.at"
    @done="emit('done')"
  />
  <SizeGrips
    :handles="handles"
    :places="places"
    :width="width"
    @start="(key) => emit('start', key)"
    @drag="(handle, px) => emit('drag', handle, px)"
    @step="(key, mm) => emit('step', key, mm)"
    @end="emit('end')"
  />
</template>

<style scoped>
svg {
  display: block;
}
.caption {
  fill: var(--ink-soft);
  font-size: 15px;
}
.dimension {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.5;
}
.lip {
  fill: var(--slab);
  stroke: var(--slab-edge);
  stroke-width: 2;
}
.mouth {
  fill: var(--hollow);
  stroke: var(--slab-edge);
  stroke-width: 1.2;
}
</style>
