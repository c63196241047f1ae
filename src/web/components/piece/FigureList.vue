<script setup lang="ts">
import { computed } from 'vue';
import { useOpenedParts } from '../../composables/openedParts.ts';
import { useLengths } from '../../composables/useLengths.ts';
import type { Figure } from './figures.ts';

/** Figures, largest first; each one can be pressed to see how it came about. */
const props = defineProps<{ heading: string; figures: readonly Figure[]; small?: boolean }>();
defineEmits<{ how: [figure: Figure] }>();
const lengths = useLengths();

/** The largest are mounted first; the others follow in a separate task while the page opens. */
const FIRST = 5;
const stands = useOpenedParts();
const shown = computed(() => (stands('more figures') ? props.figures : props.figures.slice(0, FIRST)));
</script>

<template>
  <section class="figures" :class="{ small }">
    <h2>{{ heading }}</h2>
    <VBtn
      v-for="figure in shown"
      :key="figure.label"
      variant="text"
      class="row"
      :data-figure="figure.id"
      @click="$emit('how', figure)"
    >
      <span class="label">{{ figure.label }}</span>
      <span class="amount" :class="{ wide: figure.phrase.length > 1 || figure.minor }">
        <strong>{{ lengths.phrase(figure.phrase) }}</strong>
        <span v-if="figure.unit === 'length'" class="sign">{{ lengths.sign() }}</span>
        <span class="unseen">, how this came about</span>
      </span>
    </VBtn>
  </section>
</template>

<style scoped>
.row {
  width: 100%;
  min-height: 46px;
  padding: 3px 2px;
  border-bottom: 1px solid var(--line);
  border-radius: 0;
  color: var(--ink) !important;
  font-weight: 400;
  text-align: left;
}
.row :deep(.v-btn__content) {
  flex: 1;
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 0 10px;
}
.row:hover .label {
  text-decoration: underline dotted 2px;
  text-underline-offset: 4px;
}
.label {
  color: var(--ink-soft);
}
/* Two long figures in inches stand on a line of their own. */
.amount {
  margin-left: auto;
  white-space: nowrap;
}
strong {
  font-size: 32px;
  line-height: 1.15;
  letter-spacing: -0.01em;
}
.wide strong {
  font-size: 22px;
}
.small .row {
  min-height: 44px;
}
.small strong {
  font-size: 21px;
}
.sign {
  margin-left: 4px;
  color: var(--ink-soft);
}
</style>
