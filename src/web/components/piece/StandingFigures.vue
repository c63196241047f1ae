<script setup lang="ts">
import { isDraped } from '../../../core/forms/mould/draped.ts';
import { useOpenedParts } from '../../composables/openedParts.ts';
import { usePiece } from '../../stores/piece.ts';
import FormedFigures from '../mould/FormedFigures.vue';
import { NextMould, OwnClayMould } from './laterParts.ts';
import type { Figure } from './figures.ts';
import FigureList from './FigureList.vue';
import FinishedRange from './FinishedRange.vue';
import KitUse from './KitUse.vue';
import WetFired from './WetFired.vue';

/** What is known of the standing piece: its sizes wet and fired, how sure they are, and what of the kit it needs. */
defineProps<{ finished: readonly Figure[] }>();
defineEmits<{ how: [figure: Figure] }>();
const stands = useOpenedParts();
const piece = usePiece();
</script>

<template>
  <WetFired :target="piece.beside.target" />
  <template v-if="isDraped(piece.beside.target)">
    <FormedFigures v-if="stands('formed')" />
    <template v-if="stands('moulds')">
      <OwnClayMould />
      <NextMould />
    </template>
  </template>
  <FigureList heading="When it is fired" small :figures="finished" @how="(figure) => $emit('how', figure)" />
  <template v-if="stands('kit')">
    <FinishedRange />
    <KitUse />
  </template>
</template>
