<script setup lang="ts">
import { mdiHistory, mdiRedo, mdiUndo } from '@mdi/js';
import { computed, nextTick, ref } from 'vue';
import { useDisplay } from 'vuetify';
import type { VTextField } from 'vuetify/components';
import { usePiece } from '../../stores/piece.ts';

/** Name of the design, where the newest change is, undo, redo and history. */
const emit = defineEmits<{ history: [] }>();
const piece = usePiece();
/** On a narrow screen the verbs are drawn, not written. */
const { mdAndDown: narrow } = useDisplay();
const renaming = ref(false);
const name = ref('');
const field = ref<VTextField | null>(null);

const time = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
/** All that the heading shows of the piece, so that it is rendered again only when one of these changes. */
const shownName = computed(() => piece.target.name);
const canUndo = computed(() => piece.past.length > 0);
const canRedo = computed(() => piece.future.length > 0);
const keptWords = computed(() => {
  const revision = piece.design?.revision ?? 0;
  switch (piece.keeping) {
    case 'kept':
      return `revision ${revision}, saved ${piece.design ? time.format(new Date(piece.design.updatedAt)) : ''}`;
    case 'changed':
    case 'keeping':
      return 'saving';
    case 'held':
      return 'held in this browser until the server answers';
    case 'conflict':
      return 'changed in two places';
    case 'refused':
      return `not saved: ${piece.trouble}`;
  }
  return '';
});

function start(): void {
  name.value = piece.target.name;
  renaming.value = true;
  void nextTick(() => field.value?.select());
}

function finish(): void {
  if (!renaming.value) return;
  renaming.value = false;
  const next = name.value.trim().slice(0, 120);
  if (next) piece.change({ ...piece.target, name: next });
}
const verbs = computed(() => [
  { words: 'Undo', icon: mdiUndo, off: !canUndo.value, run: () => piece.undo() },
  { words: 'Redo', icon: mdiRedo, off: !canRedo.value, run: () => piece.redo() },
  { words: 'History', icon: mdiHistory, off: false, run: () => emit('history') },
]);
</script>

<template>
  <Teleport defer to="#place-heading">
    <div class="heading">
      <div class="names">
        <h1 v-if="!renaming">
          <VBtn v-tooltip="'Rename'" variant="text" @click="start">{{ shownName }}</VBtn>
        </h1>
        <VTextField
          v-else
          ref="field"
          v-model="name"
          class="bare serif"
          aria-label="Name of the piece"
          maxlength="120"
          @blur="finish"
          @keydown.enter="finish"
          @keydown.esc.stop="renaming = false"
        />
        <span class="kept" role="status" :class="piece.keeping" data-testid="keeping">{{ keptWords }}</span>
      </div>
      <VBtn
        v-for="verb in verbs"
        :key="verb.words"
        v-tooltip="narrow ? verb.words : undefined"
        variant="text"
        :icon="narrow ? verb.icon : undefined"
        :text="narrow ? undefined : verb.words"
        :aria-label="verb.words"
        :disabled="verb.off"
        @click="verb.run"
      />
    </div>
  </Teleport>
</template>

<style scoped>
.heading {
  display: flex;
  align-items: center;
  column-gap: 2px;
}
.names {
  flex: 1;
  display: flex;
  align-items: center;
  gap: 0 14px;
  min-width: 0;
}
h1 {
  min-width: 0;
  font-size: 20px;
}
h1 .v-btn {
  max-width: 100%;
  padding: 0 8px;
  font-family: inherit;
  font-size: 20px;
}
h1 :deep(.v-btn__content) {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
h1 .v-btn :deep(.v-btn__content) {
  display: block;
}
.kept {
  color: var(--bar-soft);
  white-space: nowrap;
}
.refused {
  white-space: normal;
}
.held,
.conflict,
.refused {
  color: #ffd98a;
  font-weight: 600;
}
:focus-visible {
  outline-color: #ffd98a;
}
@media (max-width: 1199px) {
  .names {
    flex-direction: column;
    align-items: start;
  }
  .names > * {
    max-width: 100%;
  }
  h1 .v-btn {
    align-items: start;
    margin-bottom: -18px;
    padding: 0;
    font-size: 18px;
  }
  .kept {
    overflow: hidden;
    text-overflow: ellipsis;
    font-size: 14px;
    line-height: 1.2;
  }
}
</style>
