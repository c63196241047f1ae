<script setup lang="ts">
import { reactive, watch } from 'vue';
import type { Development } from '../../../core/piece/develop.ts';
import { nextTask } from '../../composables/nextTask.ts';
import { useMouldReading } from '../../stores/mouldReading.ts';
import type { Figure } from './figures.ts';
import { fetchSoon, HistoryDialog, HowDialog, MeshDialog } from './laterParts.ts';

/**
 * The dialogs of a piece. They are mounted when first opened, or while the page is at rest, one after another, and stay mounted.
 */
defineProps<{ developed: Development }>();
const how = defineModel<Figure | null>('how', { required: true });
const history = defineModel<boolean>('history', { required: true });
const reading = useMouldReading();
const made = reactive(new Set<'how' | 'history' | 'mesh'>());

fetchSoon(async () => {
  for (const dialog of ['how', 'history', 'mesh'] as const) {
    made.add(dialog);
    await nextTask();
  }
});
watch([how, history, () => reading.asked], ([asked, past, mesh]) => {
  if (asked) made.add('how');
  if (past) made.add('history');
  if (mesh) made.add('mesh');
});
</script>

<template>
  <HowDialog v-if="made.has('how')" v-model="how" :developed="developed" />
  <HistoryDialog v-if="made.has('history')" v-model="history" />
  <MeshDialog v-if="made.has('mesh')" />
</template>
