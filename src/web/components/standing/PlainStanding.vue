<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { elevation } from '../../../core/piece/elevation.ts';
import type { SizeState } from '../../../core/target/target.ts';
import { usePiece } from '../../stores/piece.ts';
import PieceElevation from '../table/PieceElevation.vue';

/** The side view, for a browser that cannot draw in three dimensions. */
defineProps<{ state: SizeState }>();
const piece = usePiece();
const box = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(box);
const wet = computed(() => elevation(piece.target, 'wet'));
const scale = computed(() => Math.min((0.7 * width.value) / wet.value.width, (0.6 * height.value) / wet.value.height));
const at = computed(
  () =>
    [
      (width.value - wet.value.width * scale.value) / 2,
      (height.value + wet.value.height * scale.value) / 2 - 20,
    ] as const,
);
</script>

<template>
  <div ref="box" class="plain-standing">
    <svg v-if="width > 0" :width="width" :height="height" role="img" :aria-label="`Side view of ${piece.target.name}`">
      <PieceElevation :target="piece.target" :scale="scale" :at="at" />
    </svg>
    <p>This browser cannot draw in three dimensions (WebGL is off). Here is the side view: fired, and wet dashed.</p>
  </div>
</template>

<style scoped>
.plain-standing {
  position: absolute;
  inset: 0;
}
p {
  position: absolute;
  inset: auto 18px 14px;
  text-align: center;
}
</style>
