<script setup lang="ts">
import { computed } from 'vue';
import { isDraped } from '../../../core/mould/draped.ts';
import type { Stage } from '../../router.ts';
import { usePiece } from '../../stores/piece.ts';
import AdditionFields from './AdditionFields.vue';
import FitFields from './FitFields.vue';
import { CutFields, DartFields, FlatFields, SlabFields } from './laterParts.ts';
import ShapeFields from './ShapeFields.vue';

/** What can be changed of a piece in a stage; `whole` when the lower fields are made too. */
defineProps<{ stage: Stage; whole: boolean }>();
const piece = usePiece();
const draped = computed(() => isDraped(piece.target));
/** A strip and a sheet are rolled and bent as they are: they have no parts to raise, and nothing is added to them. */
const bentAlone = computed(() => ['stand', 'sheet'].includes(piece.target.form.kind));
</script>

<template>
  <template v-if="stage === 'shape'">
    <ShapeFields />
    <template v-if="whole">
      <AdditionFields v-if="!draped && !bentAlone" />
      <FitFields />
    </template>
  </template>
  <DartFields v-else-if="stage === 'flat' && draped" />
  <FlatFields v-else-if="stage === 'flat'" />
  <SlabFields v-else-if="stage === 'slab'" />
  <CutFields v-else />
</template>
