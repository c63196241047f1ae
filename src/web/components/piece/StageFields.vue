<script setup lang="ts">
import { computed } from 'vue';
import { isDraped } from '../../../core/forms/mould/draped.ts';
import { useOpenedParts } from '../../composables/openedParts.ts';
import type { Stage } from '../../router.ts';
import { usePiece } from '../../stores/piece.ts';
import AdditionFields from './AdditionFields.vue';
import FitFields from './FitFields.vue';
import { CutFields, DartFields, FlatFields, SlabFields } from './laterParts.ts';
import ShapeFields from './ShapeFields.vue';

/** What can be changed of a piece in a stage. */
defineProps<{ stage: Stage }>();
const stands = useOpenedParts();
const piece = usePiece();
const draped = computed(() => isDraped(piece.target));
/** A strip and a sheet are rolled and bent as they are: they have no parts to raise, and nothing is added to them. */
const bentAlone = computed(() => ['stand', 'sheet'].includes(piece.target.form.kind));
</script>

<template>
  <template v-if="stage === 'shape'">
    <ShapeFields />
    <AdditionFields v-if="stands('additions') && !draped && !bentAlone" />
    <FitFields v-if="stands('fits')" />
  </template>
  <DartFields v-else-if="stage === 'flat' && draped" />
  <FlatFields v-else-if="stage === 'flat'" />
  <SlabFields v-else-if="stage === 'slab'" />
  <CutFields v-else />
</template>
