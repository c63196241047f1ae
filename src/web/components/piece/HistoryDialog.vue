<script setup lang="ts">
import { ref, watch } from 'vue';
import type { RevisionCause, RevisionEntry } from '../../../contract/api.ts';
import { sizePhrase } from '../../../core/forms/roughSize.ts';
import { api } from '../../api.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useConnection } from '../../stores/connection.ts';
import { usePiece } from '../../stores/piece.ts';
import SheetDialog from '../frame/SheetDialog.vue';

/** Every saved revision, newest first; any of them can be put on top again. */
const open = defineModel<boolean>({ required: true });
const piece = usePiece();
const connection = useConnection();
const lengths = useLengths();
const revisions = ref<readonly RevisionEntry[] | null>(null);
const total = ref(0);
/** The revisions, once they were fetched. */
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
  revisions.value = [...(revisions.value ?? []), ...found.lines];
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
      <h2 id="history-title">Every saved revision</h2>
      <VAlert v-if="trouble" type="error">{{ trouble }}</VAlert>
      <VSkeletonLoader v-else-if="!revisions" type="list-item-two-line@3" loading-text="Fetching the history" />
      <VTimeline v-else class="revisions" side="end" align="start" density="compact" role="list">
        <VTimelineItem
          v-for="revision in revisions"
          :key="revision.number"
          role="listitem"
          dot-color="primary"
          size="x-small"
          :fill-dot="revision.number === piece.design?.revision"
        >
          <div class="revision">
            <strong>{{ revision.number }}</strong>
            <span>
              {{ CAUSES[revision.cause] }}, {{ when.format(new Date(revision.keptAt)) }}
              <small v-if="revision.number === piece.design?.revision">, on the table now</small>
              <small v-if="seen[revision.number]" class="sizes">{{ seen[revision.number] }}</small>
              <span class="verbs">
                <VBtn v-if="!seen[revision.number]" variant="text" @click="look(revision.number)">Show its sizes</VBtn>
                <VBtn v-if="revision.number !== piece.design?.revision" @click="restore(revision.number)"
                  >Put back</VBtn
                >
              </span>
            </span>
          </div>
        </VTimelineItem>
      </VTimeline>
      <VBtn v-if="revisions && revisions.length < total" @click="more">
        Show older ones ({{ total - revisions.length }})
      </VBtn>
      <VBtn @click="open = false">Close</VBtn>
    </section>
  </SheetDialog>
</template>

<style scoped>
.revisions {
  margin: 8px 0 14px;
}
.revisions :deep(.v-timeline-item__body) {
  width: 100%;
}
.revision {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  align-items: baseline;
  gap: 12px;
}
.revision strong {
  min-width: 1em;
  font-size: 24px;
}
.sizes {
  display: block;
}
.verbs {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-left: -16px;
}
small {
  color: var(--ink-soft);
}
</style>
