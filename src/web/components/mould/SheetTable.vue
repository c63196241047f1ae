<script setup lang="ts">
import { ref } from 'vue';
import type { FigureId } from '../../../core/piece/explain/step.ts';
import OneOf from '../fields/OneOf.vue';
import WorkTable from '../table/WorkTable.vue';
import SheetDesk from './SheetDesk.vue';

/** A bent sheet in stage Shape: on the table with its side view, or its flat outline as it is drawn. */
const emit = defineEmits<{ how: [figure: FigureId] }>();
const WAYS = [
  { value: 'table', words: 'On the table' },
  { value: 'draw', words: 'Draw its outline' },
] as const;
const shown = ref<(typeof WAYS)[number]['value']>('table');
</script>

<template>
  <div class="sheet-table">
    <SheetDesk v-if="shown === 'draw'" />
    <WorkTable v-else @how="(figure) => emit('how', figure)" />
    <OneOf class="ways" label="The sheet" :value="shown" :choices="WAYS" @choose="(way) => (shown = way)" />
  </div>
</template>

<style scoped>
.sheet-table {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
}
.ways {
  padding: 4px 18px;
  background: var(--panel);
  border-top: 1px solid var(--line);
}
</style>
