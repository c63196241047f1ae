<script setup lang="ts">
import { computed } from 'vue';
import { cutBase, nearestCutter } from '../../../core/reverse/cutter.ts';
import { useSolver } from '../../composables/useSolver.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useBench } from '../../stores/bench.ts';
import { usePiece } from '../../stores/piece.ts';
import { useSettings } from '../../stores/settings.ts';
import { roundedCutter } from './roundedCutter.ts';
import FoldAway from '../frame/FoldAway.vue';
import WorkNote from './WorkNote.vue';

/** The nearest round cutter of the set for the base, and the piece changed so that it fits. */
const piece = usePiece();
const settings = useSettings();
const bench = useBench();
const lengths = useLengths();
/** A base this near to a cutter is cut by it (mm): a cutter's own edge is no truer. */
const NEAR_ENOUGH = 0.3;

const { busy, trouble, solve, cancel } = useSolver();
const cuts = computed(() => cutBase(piece.developed.parts));
const nearest = computed(() => (cuts.value === null ? null : nearestCutter(cuts.value, bench.cutters)));
const fits = computed(
  () => cuts.value !== null && nearest.value !== null && Math.abs(cuts.value - nearest.value) < NEAR_ENOUGH,
);
const set = computed(() => settings.cutters.map((mm) => lengths.figure(mm)).join(', '));

async function change(): Promise<void> {
  if (nearest.value === null) return;
  const found = await solve(piece.target, { kind: 'cutter', diameter: nearest.value });
  if (found) piece.change(roundedCutter(found));
}

function readSet(event: Event): void {
  const parts = (event.target as HTMLInputElement).value
    .split(/[,;]+/)
    .map((text) => text.trim())
    .filter(Boolean);
  const read = parts.map((text) => lengths.read(text));
  const wrong = read.find((reading) => reading.kind !== 'length');
  trouble.value = wrong && 'rule' in wrong ? wrong.rule : '';
  if (wrong) return;
  settings.cutters = read.flatMap((reading) => (reading.kind === 'length' ? [reading.mm] : [])).sort((a, b) => a - b);
}
</script>

<template>
  <div v-if="cuts !== null" class="cutter">
    <p v-if="nearest !== null">
      <template v-if="fits"
        >Your <strong>{{ lengths.length(nearest) }}</strong> cutter cuts the base.</template
      >
      <template v-else>
        Base {{ lengths.length(cuts) }}; nearest cutter <strong>{{ lengths.length(nearest) }}</strong>.
      </template>
    </p>
    <VBtn v-if="nearest !== null && !fits" @click="change"> Change the piece for it </VBtn>
    <FoldAway v-if="bench.kitCutters.length === 0" title="Your round cutters">
      <VTextField class="bare" name="cutters" aria-label="Your round cutters" :model-value="set" @change="readSet" />
    </FoldAway>
    <WorkNote :busy="busy" :trouble="trouble" @cancel="cancel" />
  </div>
</template>

<style scoped>
.cutter {
  padding: 10px 0;
  border-bottom: 1.5px dotted var(--line);
}
</style>
