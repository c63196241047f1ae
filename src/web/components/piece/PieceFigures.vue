<script setup lang="ts">
import { useOpenedParts } from '../../composables/openedParts.ts';
import { useSolver } from '../../composables/useSolver.ts';
import type { Stage } from '../../router.ts';
import { useBench } from '../../stores/bench.ts';
import { useMouldReading } from '../../stores/mouldReading.ts';
import { usePiece } from '../../stores/piece.ts';
import CheckList from './CheckList.vue';
import FigureList from './FigureList.vue';
import type { Figure } from './figures.ts';
import { SlabFigures } from './laterParts.ts';
import StandingFigures from './StandingFigures.vue';
import WorkNote from './WorkNote.vue';

/** Figures to measure on a piece and advice on it: both, or one of them where there is little room. */
defineProps<{
  stage: Stage;
  shown: 'both' | 'measure' | 'advice';
  measure: readonly Figure[];
  finished: readonly Figure[];
}>();
const emit = defineEmits<{ how: [figure: Figure] }>();
const stands = useOpenedParts();
const piece = usePiece();
const bench = useBench();
const reading = useMouldReading();

/** One press follows the advice that the slab is too small. */
const { busy, trouble, solve, cancel } = useSolver();
async function cutInPieces(): Promise<void> {
  const cut = await solve(piece.target, { kind: 'pieces', slab: bench.slab });
  if (cut) piece.change(cut);
}
</script>

<template>
  <SlabFigures v-if="stage === 'slab'" />
  <template v-else>
    <FigureList
      v-show="shown !== 'advice'"
      heading="To measure, wet"
      :figures="measure"
      @how="(figure) => emit('how', figure)"
    />
    <div v-if="stands('advice')" v-show="shown !== 'measure'">
      <CheckList :checks="piece.beside.developed.checks" @remedy="cutInPieces" />
      <WorkNote :busy="busy" :trouble="trouble" @cancel="cancel" />
      <WorkNote
        v-if="stage !== 'shape'"
        doing="Reading the mould"
        :busy="reading.busy"
        :trouble="reading.trouble"
        @cancel="reading.stop"
      />
    </div>
    <div v-if="stands('finished')" v-show="shown !== 'advice'">
      <StandingFigures :finished="finished" @how="(figure) => emit('how', figure)" />
    </div>
  </template>
</template>
