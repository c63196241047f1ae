<script setup lang="ts">
import { ref } from 'vue';
import { api, Refused } from '../../api.ts';
import { useConnection } from '../../stores/connection.ts';
import { useMade } from '../../stores/made.ts';
import FileField from '../fields/FileField.vue';
import { counted } from './findingWords.ts';

/** All records as one table, out for any spreadsheet and in again. */
const connection = useConnection();
const made = useMade();
const said = ref('');
const trouble = ref('');

/** Why a table was refused: the first wrong line. */
function whyOf(error: unknown): string {
  const words = connection.note(error);
  const fault = error instanceof Refused ? error.reply.faults?.[0] : undefined;
  return fault ? `Nothing was taken: ${fault.path}, ${fault.value}: ${fault.rule}.` : words;
}

async function read(file: File): Promise<void> {
  trouble.value = '';
  said.value = 'Reading the table …';
  try {
    const { entries, unknown } = await api.readRecords(file);
    const left = unknown.length > 0 ? ` Not here, so left out: ${unknown.join(', ')}.` : '';
    said.value = `${counted(entries, 'entry', 'entries')} of the table ${entries === 1 ? 'is' : 'are'} kept; what was here already is kept once.${left}`;
    await made.load();
  } catch (error) {
    said.value = '';
    trouble.value = whyOf(error);
  }
}
</script>

<template>
  <section class="table" aria-label="All records as a table">
    <VBtn href="/api/made/records.csv" download="fawn-table-records.csv">All records as CSV</VBtn>
    <FileField
      label="Read a CSV in"
      name="records-csv"
      accept=".csv,text/csv"
      note="Makings of designs that are here, what was written down of them, and firings; each is kept once. Pictures stay in the data folder."
      :trouble="trouble"
      @read="read"
    />
    <p role="status">{{ said }}</p>
  </section>
</template>

<style scoped>
.table {
  display: grid;
  gap: 8px;
  margin-top: 18px;
}
p {
  margin: 0;
  color: var(--ink-soft);
  overflow-wrap: anywhere;
}
</style>
