<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { ArchiveClash, ArchiveOffer } from '../../../contract/archive.ts';
import { api, Refused } from '../../api.ts';
import { useConnection } from '../../stores/connection.ts';
import { useShelf } from '../../stores/shelf.ts';
import FileField from '../fields/FileField.vue';
import SheetDialog from '../frame/SheetDialog.vue';

/** The whole studio as one file to carry away, and such a file again: added to what is here, or put in its place. */
const connection = useConnection();
const shelf = useShelf();
const offer = shallowRef<ArchiveOffer | null>(null);
const open = ref(false);
const sending = ref<AbortController | null>(null);
const busy = ref(false);
const trouble = ref('');
const done = ref('');
/** Where both differ, which of them the archive replaces, and whether it replaces everything. */
const decided = ref<readonly string[]>([]);
const exactly = ref(false);

const KINDS: Readonly<Record<ArchiveClash['kind'], string>> = {
  design: 'piece',
  record: 'clay, kit or plan',
  making: 'making',
};
const COUNTED = [
  ['designs', 'piece', 'pieces'],
  ['records', 'clay, kit or plan', 'clays, kit and plans'],
  ['makings', 'making', 'makings'],
  ['photographs', 'photograph', 'photographs'],
] as const;
const holds = computed(() =>
  COUNTED.map(([key, one, many]) => {
    const count = offer.value?.counts[key] ?? 0;
    return `${count} ${count === 1 ? one : many}`;
  }).join(', '),
);
const name = ({ kind, id }: Pick<ArchiveClash, 'kind' | 'id'>) => `${kind} ${id}`;
const day = (iso: string) => new Date(iso).toLocaleString();

/** Why a file was not taken: what is wrong with it, in the server's words. */
function words(error: unknown): string {
  const rule = error instanceof Refused ? error.reply.faults?.[0]?.rule : undefined;
  return rule ? `The file ${rule}. Nothing was changed.` : connection.note(error);
}

async function send(file: File): Promise<void> {
  trouble.value = done.value = '';
  const stop = (sending.value = new AbortController());
  try {
    offer.value = await api.openArchive(file, stop.signal);
    decided.value = [];
    exactly.value = false;
    open.value = true;
  } catch (error) {
    if (!stop.signal.aborted) trouble.value = words(error);
  } finally {
    sending.value = null;
  }
}

async function take(): Promise<void> {
  const waiting = offer.value;
  if (!waiting) return;
  busy.value = true;
  try {
    const archive = waiting.clashes
      .filter((one) => decided.value.includes(name(one)))
      .map(({ kind, id }) => ({ kind, id }));
    await api.takeArchive(waiting.token, exactly.value ? { mode: 'exactly' } : { mode: 'merge', archive });
    done.value = exactly.value ? 'The studio is as the archive has it.' : 'The archive was added.';
    offer.value = null;
    open.value = false;
    // This page still holds the studio from before.
    await shelf.load();
    setTimeout(() => location.reload(), 1500);
  } catch (error) {
    trouble.value = connection.note(error);
  } finally {
    busy.value = false;
  }
}

function leave(): void {
  const waiting = offer.value;
  open.value = false;
  offer.value = null;
  if (waiting) void api.leaveArchive(waiting.token).catch(() => undefined);
}
</script>

<template>
  <section aria-labelledby="archive-heading">
    <h2 id="archive-heading">The whole studio</h2>
    <p>
      One zip file with every piece and its history, clays, kit, plans, makings and photographs, as JSON that you can
      read.
    </p>
    <div class="both">
      <VBtn variant="flat" href="/api/archive" download>Download the studio</VBtn>
      <FileField
        label="Open a studio file"
        name="archive"
        accept=".zip,application/zip"
        note="It is read and checked first; nothing changes until you say so."
        :trouble="trouble"
        @read="send"
      />
    </div>
    <p v-if="sending" class="sending">
      <VProgressLinear indeterminate aria-label="Reading the studio file" />
      <VBtn @click="sending.abort()">Stop</VBtn>
    </p>
    <VAlert v-if="done" type="info" role="status">{{ done }}</VAlert>
    <SheetDialog v-model="open" aria-label="Studio file" persistent>
      <VForm v-if="offer" class="sheet-card" @submit.prevent="take">
        <h2>A studio of {{ day(offer.madeAt) }}</h2>
        <p class="holds">{{ holds }}</p>
        <VRadioGroup v-model="exactly" hide-details>
          <VRadio :value="false" label="Add it to what is here" />
          <VRadio :value="true" label="Put it in place of all that is here" />
        </VRadioGroup>
        <VAlert v-if="exactly" type="warning">
          Everything that is here now is taken away. Download the studio first, so that you can come back.
        </VAlert>
        <template v-else-if="offer.clashes.length">
          <p>Both have these, but not alike. Tick those to take from the archive; the rest stay as they are here.</p>
          <div class="clashes">
            <VCheckbox
              v-for="one in offer.clashes"
              :key="name(one)"
              v-model="decided"
              :value="name(one)"
              :label="`${one.name} (${KINDS[one.kind]}): here ${day(one.here)}, archive ${day(one.archive)}`"
              hide-details
            />
          </div>
        </template>
        <VAlert v-if="trouble" type="error">{{ trouble }}</VAlert>
        <p class="buttons">
          <VBtn variant="flat" type="submit" :disabled="busy">
            {{ busy ? 'Taking it' : exactly ? 'Replace the studio' : 'Add it' }}
          </VBtn>
          <VBtn variant="text" :disabled="busy" @click="leave">Cancel</VBtn>
        </p>
      </VForm>
    </SheetDialog>
  </section>
</template>

<style scoped>
section {
  margin-top: 30px;
}
p {
  margin: 4px 0 8px;
  color: var(--ink-soft);
}
.both {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 24px;
  align-items: start;
}
.holds {
  font-size: 18px;
  color: var(--ink);
}
.sending {
  display: flex;
  gap: 12px;
  align-items: center;
  max-width: 560px;
}
.clashes {
  max-height: 40vh;
  overflow: auto;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding-top: 14px;
}
</style>
