<script setup lang="ts">
import { ref } from 'vue';
import { readKitCsv, writeKitCsv } from '../../../contract/tableCsv.ts';
import { saveFile } from '../../composables/saveFile.ts';
import { useKit } from '../../stores/records.ts';
import FileField from '../fields/FileField.vue';
import FoldAway from '../frame/FoldAway.vue';

/** Reads the kit from a table, and writes it as one. */
const kit = useKit();
const trouble = ref('');
const added = ref(0);

async function read(file: File): Promise<void> {
  const found = readKitCsv(await file.text());
  added.value = 0;
  trouble.value = found.kind === 'refused' ? `${file.name} ${found.rule}. Nothing was added.` : '';
  if (found.kind === 'refused') return;
  for (const item of found.rows) if (await kit.create(item)) added.value += 1;
}
function save(): void {
  saveFile('kit.csv', new Blob([writeKitCsv(kit.list.map(({ body }) => body))], { type: 'text/csv' }));
}
</script>

<template>
  <FoldAway title="The kit in a table">
    <FileField
      label="Add things from a CSV file"
      name="kit-csv"
      accept=".csv,.txt,text/csv"
      note="Columns kind, name, and the figures of each kind in mm. Save the kit as a CSV to see them all."
      :trouble="trouble"
      @read="read"
    />
    <p v-if="added" role="status">{{ added }} {{ added === 1 ? 'thing was' : 'things were' }} added.</p>
    <VBtn :disabled="kit.list.length === 0" @click="save">The kit as a CSV file</VBtn>
  </FoldAway>
</template>
