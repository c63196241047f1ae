<script setup lang="ts">
import { ref, watch } from 'vue';
import type { Revision, RevisionCause } from '../../../contract/api.ts';
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
const revisions = ref<readonly Revision[] | null>(null);
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
  trouble.value = '';
  try {
    await piece.keep();
    if (piece.design) revisions.value = await api.history(piece.design.id);
  } catch (error) {
    trouble.value = connection.note(error);
  }
}

async function restore(number: number): Promise<void> {
  await piece.restore(number);
  open.value = false;
}

watch(open, (now) => {
  if (now) void load();
});
</script>

<template>
  <SheetDialog v-model="open" scrollable>
    <section class="sheet-card" aria-labelledby="history-title">
      <h2 id="history-title">Every kept revision</h2>
      <p v-if="trouble" role="alert">{{ trouble }}</p>
      <p v-else-if="!revisions">Fetching the history.</p>
      <ol v-else>
        <li v-for="revision in revisions" :key="revision.number">
          <div class="words">
            <strong>{{ revision.number }}</strong>
            <span>
              {{ lengths.phrase(sizePhrase(revision.target.form)) }},
              {{ lengths.length(revision.target.slab.wall) }} slab<br />
              <small>{{ CAUSES[revision.cause] }}, {{ when.format(new Date(revision.keptAt)) }}</small>
            </span>
          </div>
          <span v-if="revision.number === piece.design?.revision" class="now">on the table now</span>
          <button v-else type="button" class="quiet" @click="restore(revision.number)">Put back</button>
        </li>
      </ol>
      <button type="button" class="quiet" @click="open = false">Close</button>
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
