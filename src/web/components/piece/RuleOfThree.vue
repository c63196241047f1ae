<script setup lang="ts">
import { computed } from 'vue';
import { ruleOfThree } from '../../../core/studio/reverse/ruleOfThree.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import FoldAway from '../frame/FoldAway.vue';

/** What "three times the diameter" would cut for this piece, beside the neutral girth. */
const piece = usePiece();
const lengths = useLengths();
const rows = computed(() => ruleOfThree(piece.target));
const NAMES = { wrap: 'Wrap', rim: 'Rim', foot: 'Foot' } as const;
const off = (mm: number) =>
  Math.abs(mm) < 0.05 ? 'just right' : `${lengths.length(Math.abs(mm))} too ${mm > 0 ? 'long' : 'short'}`;
</script>

<template>
  <FoldAway v-if="rows.length > 0" title="Three times the diameter?">
    <p v-for="row in rows" :key="row.edge">
      {{ NAMES[row.edge] }}: 3 × {{ lengths.figure(row.outside) }} = {{ lengths.length(row.bench) }}, which is
      <strong>{{ off(row.off) }}</strong>. True is π times the middle of the wall, {{ lengths.length(row.girth) }}.
    </p>
    <p class="why">
      The bench rule takes the outside. It comes out right for one thickness only; a seam that is stretched or squeezed
      takes up the rest.
    </p>
  </FoldAway>
</template>

<style scoped>
p {
  margin-bottom: 8px;
}
.why {
  color: var(--ink-soft);
}
</style>
