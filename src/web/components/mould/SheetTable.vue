<script setup lang="ts">
import { nextTick, ref } from 'vue';
import OneOf from '../fields/OneOf.vue';
import ShapeTable from '../shape/ShapeTable.vue';
import SheetDesk from './SheetDesk.vue';

/** A bent sheet in stage Shape: from the side, or its flat outline as it is drawn. */
const emit = defineEmits<{ flat: [] }>();
const WAYS = [
  { value: 'piece', words: 'The piece' },
  { value: 'draw', words: 'Draw its outline' },
] as const;
const shown = ref<(typeof WAYS)[number]['value']>('piece');
const table = ref<HTMLElement | null>(null);

/** A low table scrolls to its drawing, away from the pressed button. */
async function show(way: (typeof WAYS)[number]['value']): Promise<void> {
  shown.value = way;
  await nextTick();
  table.value?.parentElement?.scrollTo({ top: 0 });
}
</script>

<template>
  <div ref="table" class="sheet-table" :class="{ drawn: shown === 'draw' }">
    <SheetDesk v-if="shown === 'draw'" />
    <ShapeTable v-else @flat="emit('flat')" />
    <OneOf class="ways" label="The sheet" :value="shown" :choices="WAYS" @choose="show" />
  </div>
</template>

<style scoped>
.sheet-table {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
}
/* A low table scrolls: the desk keeps its height, with the ways below it. */
.drawn {
  grid-template-rows: minmax(min-content, 1fr) auto;
}
.ways {
  padding: 4px 18px;
  background: var(--panel);
  border-top: 1px solid var(--line);
}
</style>
