<script setup lang="ts">
import { ref, watch } from 'vue';
import type { RevisionCause, RevisionEntry } from '../../../contract/api.ts';
import { sizePhrase } from '../../../core/piece/formSizes.ts';
import { api } from '../../api.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useConnection } from '../../stores/connection.ts';
import { usePiece } from '../../stores/piece.ts';
import SheetDialog from '../frame/SheetDialog.vue';

/** Every kept revision, newest first; any of them can be put on top again. */
const open = defineModel<boolean>({ required: true });
const piece = usePiece();
const connection = useConnection();
const lengths = useLengths();
const revisions = ref<readonly RevisionEntry[] | null>(null);
const total = ref(0);
/** What revisions were, once it has been asked for. */
const seen = ref<Readonly<Record<number, string>>>({});
const trouble = ref('');

const CAUSES: Readonly<Record<RevisionCause, string>> = {
  created: 'begun',
  edited: 'changed',
  restored: 'put back from an older one',
  duplicated: 'begun as a copy',
};
const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

async function load(): Promise<void> {
  revisions.value = null;
  seen.value = {};
  trouble.value = '';
  try {
    await piece.keep();
    await more();
  } catch (error) {
    trouble.value = connection.note(error);
  }
}

/** The next page of the history. */
async function more(): Promise<void> {
  if (!piece.design) return;
  const found = await api.history(piece.design.id, revisions.value?.length ?? 0);
  revisions.value = [...(revisions.value ?? []), ...found.entries];
  total.value = found.total;
}

async function look(number: number): Promise<void> {
  if (!piece.design) return;
  try {
    const { form, slab } = await api.revision(piece.design.id, number);
    const words = `${lengths.phrase(sizePhrase(form))}, ${lengths.length(slab.wall)} slab`;
    seen.value = { ...seen.value, [number]: words };
  } catch (error) {
    trouble.value = connection.note(error);
  }
}

async function restore(number: number): Promise<void> {
  await piece.restore(number);
  open.value = false;
}

watch(
  open,
  (now) => {
    if (now) void load();
  },
  { immediate: true },
);
</script>

<template>
  <SheetDialog v-model="open" aria-label="History" scrollable>
    <section class="sheet-card" aria-labelledby="history-title">
      <h2 id="history-title">Every kept revision</h2>
      <VAlert v-if="trouble" type="error">{{ trouble }}</VAlert>
      <p v-else-if="!revisions">Fetching the history.</p>
      <ol v-else>
        <li v-for="revision in revisions" :key="revision.number">
          <div class="words">
            <strong>{{ revision.number }}</strong>
            <span>
              {{ CAUSES[revision.cause] }}, {{ when.format(new Date(revision.keptAt)) }}<br />
              <small v-if="seen[revision.number]">{{ seen[revision.number] }}</small>
              <VBtn v-else class="small" @click="look(revision.number)">Show its sizes</VBtn>
            </span>
          </div>
          <span v-if="revision.number === piece.design?.revision" class="now">on the table now</span>
          <VBtn v-else @click="restore(revision.number)">Put back</VBtn>
        </li>
      </ol>
      <VBtn v-if="revisions && revisions.length < total" @click="more">
        Show older ones ({{ total - revisions.length }})
      </VBtn>
      <VBtn @click="open = false">Close</VBtn>
    </section>
  </SheetDialog>
</template>

<style scoped>
ol {
  list-style: none;
  padding: 0;
  margin-bottom: 14px;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  padding: 8px 0;
  border-bottom: 1px dotted var(--line);
}
.words {
  display: flex;
  gap: 14px;
  align-items: center;
}
.words strong {
  min-width: 1.6em;
  font-size: 24px;
  text-align: right;
}
small,
.now {
  color: var(--ink-soft);
}
</style>
