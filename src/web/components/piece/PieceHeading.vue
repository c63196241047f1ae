<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { usePiece } from '../../stores/piece.ts';

/** Name of the design, where the newest change is, undo, redo and history. */
defineEmits<{ history: [] }>();
const piece = usePiece();
const renaming = ref(false);
const name = ref('');
const field = ref<HTMLInputElement | null>(null);

const time = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const keptWords = computed(() => {
  const revision = piece.design?.revision ?? 0;
  switch (piece.keeping) {
    case 'kept':
      return `revision ${revision}, kept ${piece.design ? time.format(new Date(piece.design.updatedAt)) : ''}`;
    case 'changed':
    case 'keeping':
      return 'keeping';
    case 'held':
      return 'held in this browser until the server answers';
    case 'conflict':
      return 'changed in two places';
    case 'refused':
      return `not kept: ${piece.trouble}`;
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
</script>

<template>
  <Teleport defer to="#place-heading">
    <div class="heading">
      <h1 v-if="!renaming">
        <button type="button" title="Rename" @click="start">{{ piece.target.name }}</button>
      </h1>
      <input
        v-else
        ref="field"
        v-model="name"
        class="serif"
        aria-label="Name of the piece"
        maxlength="120"
        @blur="finish"
        @keydown.enter="finish"
        @keydown.esc.stop="renaming = false"
      />
      <span class="kept" role="status" :class="piece.keeping" data-testid="keeping">{{ keptWords }}</span>
      <span class="verbs">
        <button type="button" :disabled="piece.past.length === 0" @click="piece.undo()">Undo</button>
        <button type="button" :disabled="piece.future.length === 0" @click="piece.redo()">Redo</button>
        <button type="button" @click="$emit('history')">History</button>
      </span>
    </div>
  </Teleport>
</template>

<style scoped>
.heading {
  display: flex;
  align-items: center;
  column-gap: 14px;
}
h1 {
  min-width: 0;
  font-size: 20px;
}
h1 button {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
h1 button,
.verbs button {
  min-height: 44px;
  cursor: pointer;
}
input {
  min-height: 40px;
  width: min(22em, 100%);
  padding: 2px 10px;
  font-size: 20px;
  background: var(--panel);
  color: var(--ink);
  border-radius: 6px;
}
h1 button,
.verbs button {
  padding: 0 8px;
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
.verbs {
  margin-left: auto;
  display: flex;
  gap: 4px;
}
.verbs button:disabled {
  opacity: 0.45;
  cursor: default;
}
:focus-visible {
  outline-color: #ffd98a;
}
@media (max-width: 1180px) {
  .verbs {
    gap: 0;
  }
  .verbs button {
    padding: 0 6px;
  }
  .kept {
    max-width: 100px;
    font-size: 14px;
    line-height: 1.15;
    white-space: normal;
  }
}
@media (max-width: 700px) {
  .kept {
    max-width: none;
  }
  .heading {
    flex-wrap: wrap;
    column-gap: 4px;
  }
  h1 {
    flex-basis: 100%;
  }
  .kept {
    padding-left: 8px;
  }
}
</style>
