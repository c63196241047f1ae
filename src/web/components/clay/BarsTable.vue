<script setup lang="ts">
import { ref } from 'vue';
import { readBarsCsv, writeBarsCsv } from '../../../contract/tableCsv.ts';
import type { ShrinkBar } from '../../../core/studio/clay/bars.ts';
import type { Fault } from '../../../core/errors.ts';
import { saveFile } from '../../composables/saveFile.ts';
import FileField from '../fields/FileField.vue';
import FoldAway from '../frame/FoldAway.vue';

/** Reads shrink bars from a table, and writes them as one. */
const props = defineProps<{ bars: readonly ShrinkBar[]; put: (bars: readonly ShrinkBar[]) => readonly Fault[] }>();
const trouble = ref('');

async function read(file: File): Promise<void> {
  const found = readBarsCsv(await file.text());
  if (found.kind === 'refused') {
    trouble.value = `${file.name} ${found.rule}.`;
    return;
  }
  const [fault] = props.put([...props.bars, ...found.rows]);
  trouble.value = fault
    ? `${file.name}: ${fault.path.replace(/^bars\.(\d+)\./, (_, index) => `bar ${Number(index) + 1}, `)} ${fault.rule}.`
    : '';
}
const save = () => saveFile('shrink-bars.csv', new Blob([writeBarsCsv(props.bars)], { type: 'text/csv' }));
</script>

<template>
  <FoldAway title="Bars in a table">
    <FileField
      label="Add bars from a CSV file"
      name="bars-csv"
      accept=".csv,.txt,text/csv"
      note="Columns wet, dry, bisque and fired in mm; run along or across. Undo takes them out again."
      :trouble="trouble"
      @read="read"
    />
    <VBtn :disabled="bars.length === 0" @click="save">Bars as a CSV file</VBtn>
  </FoldAway>
</template>
