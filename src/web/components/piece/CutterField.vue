<script setup lang="ts">
import { computed, ref } from 'vue';
import { cutBase, CUTTER_TOLERANCE, cuttersAround } from '../../../core/studio/reverse/cutter.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useBench } from '../../stores/bench.ts';
import { usePiece } from '../../stores/piece.ts';
import { useSettings } from '../../stores/settings.ts';
import CutterWay from './CutterWay.vue';
import FoldAway from '../frame/FoldAway.vue';

/** The round cutters of the set next to the base, and what each of them would mean. */
const piece = usePiece();
const settings = useSettings();
const bench = useBench();
const lengths = useLengths();
const trouble = ref('');

const cuts = computed(() => cutBase(piece.beside.developed.parts));
const around = computed(() => (cuts.value === null ? null : cuttersAround(cuts.value, bench.cutters)));
const nextTo = computed(() => [around.value?.below ?? null, around.value?.above ?? null].filter((one) => one !== null));
const fits = computed(() => nextTo.value.find((one) => Math.abs((cuts.value ?? 0) - one) < CUTTER_TOLERANCE));
/** A cutter cuts straight down. */
const leans = computed(() =>
  piece.beside.developed.parts.some(
    ({ role, leans: edges }) => role === 'base' && edges.some(({ word }) => word !== 'straight down'),
  ),
);
const holds = computed(() => {
  if (nextTo.value.length === 0) return 'none';
  if (fits.value !== undefined) return `${lengths.length(fits.value)} fits`;
  return `${lengths.apart(nextTo.value).join(' or ')} for ${lengths.length(cuts.value ?? 0)}`;
});
const set = computed(() => settings.cutters.map((mm) => lengths.figure(mm)).join(', '));

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
  <FoldAway v-if="cuts !== null" class="cutter" title="Cutter for the base" :holds="holds">
    <p v-if="fits !== undefined">
      Your <strong>{{ lengths.length(fits) }}</strong> cutter cuts the base.
    </p>
    <p v-if="leans">A cutter cuts straight down, and the base’s edge leans: slant it by hand after cutting.</p>
    <template v-if="fits === undefined">
      <CutterWay v-for="one in nextTo" :key="one" :cutter="one" :cuts="cuts" />
    </template>
    <VTextField
      v-if="bench.kitCutters.length === 0"
      class="words"
      name="cutters"
      label="Your round cutters"
      :model-value="set"
      :error-messages="trouble"
      @change="readSet"
    />
  </FoldAway>
</template>
