<script setup lang="ts">
import { ref } from 'vue';
import { useLengths } from '../../composables/useLengths.ts';
import { useZoom } from '../../composables/useZoom.ts';
import type { useSlabPlan } from '../../stores/slabPlan.ts';
import ZoomButtons from '../frame/ZoomButtons.vue';
import SlabDrawing from './SlabDrawing.vue';

/** One slab of the plan with its name, brought nearer by wheel, pinch and buttons. */
defineProps<{
  index: number;
  slab: ReturnType<typeof useSlabPlan>['sized'][number];
  scale: number;
  chosen: number | null;
}>();
const emit = defineEmits<{ choose: [index: number | null]; moved: [] }>();
const lengths = useLengths();
const frame = ref<HTMLElement | null>(null);
const { near, style, nearer, farther, fit } = useZoom(frame);
</script>

<template>
  <figure>
    <figcaption>
      <span>
        <span class="serif">Slab {{ index + 1 }}</span
        >, {{ lengths.length(slab.thickness) }} thick,
        {{ slab.placements.length === 1 ? '1 part' : `${slab.placements.length} parts` }}
      </span>
      <ZoomButtons :near="near" @nearer="nearer" @farther="farther" @fit="fit" />
    </figcaption>
    <div ref="frame" class="frame">
      <div :style="style">
        <SlabDrawing
          :index="index"
          :slab="slab"
          :scale="scale"
          :near="near"
          :chosen="chosen"
          @choose="(at) => emit('choose', at)"
          @moved="emit('moved')"
        />
      </div>
    </div>
  </figure>
</template>

<style scoped>
figcaption {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 4px 14px;
  padding: 10px 0 4px;
  color: var(--ink-soft);
}
figcaption .serif {
  color: var(--ink);
}
.frame {
  overflow: hidden;
}
@media print {
  figure {
    break-inside: avoid;
  }
}
</style>
