<script setup lang="ts">
import { computed } from 'vue';
import type { Development } from '../../../core/piece/develop.ts';
import { explain } from '../../../core/piece/explain/explain.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import type { Figure } from './figures.ts';
import HoldField from './HoldField.vue';
import { WordHelp } from './laterParts.ts';
import SheetDialog from '../frame/SheetDialog.vue';

/** How one figure came about: each formula, the same with this piece's figures, and what comes out. */
const figure = defineModel<Figure | null>({ required: true });
/** The piece as the figures were taken from it, with the slabs of its plan. */
const props = defineProps<{ developed: Development }>();
const piece = usePiece();
const lengths = useLengths();

const title = computed(() => figure.value?.label ?? '');
const steps = computed(() =>
  figure.value
    ? explain(figure.value.id, { target: piece.target, developed: props.developed, band: figure.value.band })
    : [],
);
</script>

<template>
  <SheetDialog
    aria-label="How this figure came about"
    :model-value="figure !== null"
    @update:model-value="figure = null"
  >
    <section class="sheet-card" aria-labelledby="how-title">
      <h2 id="how-title">{{ title }}: how this came about</h2>
      <WordHelp v-if="figure?.id === 'bevelRun'" word="bevel run" />
      <p v-if="steps.length === 0">Measured on the flat part as it is drawn, over the line that the knife follows.</p>
      <ol v-else>
        <li v-for="(step, index) in steps" :key="index">
          <p class="rule">{{ step.rule }}</p>
          <p class="worked">
            {{ lengths.phrase(step.worked) }} <span class="equals">=</span>
            <strong>{{ lengths.phrase(step.gives) }}</strong>
          </p>
        </li>
      </ol>
      <HoldField v-if="figure?.id === 'capacityBrim'" @done="figure = null" />
      <p class="foot">
        Figures are shown rounded and worked unrounded. They rest on your shrinkage of
        {{ (piece.target.clay.shrinkage * 100).toFixed(1) }} %: an estimate until a test piece confirms it.
      </p>
      <VBtn @click="figure = null">Close</VBtn>
    </section>
  </SheetDialog>
</template>

<style scoped>
ol {
  padding-left: 22px;
}
li {
  padding: 8px 0;
}
.rule {
  color: var(--ink-soft);
  margin: 0;
}
.worked {
  margin: 2px 0 0;
  font-size: 20px;
}
.worked strong {
  font-size: 24px;
}
.foot {
  color: var(--ink-soft);
  margin: 12px 0;
}
</style>
