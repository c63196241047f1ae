<script setup lang="ts">
import { ref } from 'vue';
import type { FigureId } from '../../../core/piece/explain/step.ts';
import WorkTable from '../table/WorkTable.vue';
import SheetDesk from './SheetDesk.vue';

/** A bent sheet in stage Shape: on the table with its side view, or its flat outline as it is drawn. */
const emit = defineEmits<{ how: [figure: FigureId] }>();
const draws = ref(false);
</script>

<template>
  <div class="sheet-table">
    <SheetDesk v-if="draws" />
    <WorkTable v-else @how="(figure) => emit('how', figure)" />
    <div class="ways" role="group" aria-label="The sheet">
      <button type="button" :aria-pressed="!draws" @click="draws = false">On the table</button>
      <button type="button" :aria-pressed="draws" @click="draws = true">Draw its outline</button>
    </div>
  </div>
</template>

<style scoped>
.sheet-table {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
}
.ways {
  display: flex;
  padding: 4px 18px;
  background: var(--panel);
  border-top: 1px solid var(--line);
}
.ways button {
  min-height: 44px;
  padding: 0 12px;
  font-weight: 600;
  border-bottom: 3px solid transparent;
}
.ways button[aria-pressed='true'] {
  color: var(--press);
  border-bottom-color: var(--press);
}
</style>
