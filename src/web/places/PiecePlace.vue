<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch, watchEffect } from 'vue';
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import ConflictNote from '../components/piece/ConflictNote.vue';
import PieceBench from '../components/piece/PieceBench.vue';
import PieceDialogs from '../components/piece/PieceDialogs.vue';
import PieceHeading from '../components/piece/PieceHeading.vue';
import SaidFigures from '../components/piece/SaidFigures.vue';
import StageRuler from '../components/piece/StageRuler.vue';
import type { Figure } from '../components/piece/figures.ts';
import { MakeStage } from '../components/piece/laterParts.ts';
import { useFigures } from '../components/piece/useFigures.ts';
import { openInParts } from '../composables/openedParts.ts';
import { leadTo } from '../composables/useLead.ts';
import { useShortcuts } from '../composables/useShortcuts.ts';
import { STAGES, type Stage } from '../router.ts';
import { usePiece } from '../stores/piece.ts';
import { useClays, useKit } from '../stores/records.ts';

/** One design and its stages. */
const route = useRoute();
const router = useRouter();
const piece = usePiece();
const id = computed(() => String(route.params['id']));
const missing = computed(() => piece.state === 'missing');
const stage = computed<Stage>(() => STAGES.find((one) => one === route.params['stage']) ?? 'shape');
const how = ref<Figure | null>(null);
const history = ref(false);
/** The panel beside the drawing on a narrow screen; it is kept while Make is open. */
const tab = ref<'change' | 'measure' | 'advice'>('change');

const { planned, measure, finished } = useFigures();
/** A new piece focuses its first size. */
function startTyping(): void {
  window.history.replaceState({ ...window.history.state, fresh: false }, '');
  document.querySelector<HTMLInputElement>('.left input')?.focus();
}

const stands = openInParts(
  () => piece.state === 'ready',
  () => (window.history.state as { fresh?: boolean } | null)?.fresh && startTyping(),
);

/** Computed in its own task, before the list that shows it. */
watchEffect(() => stands('measured') && measure.value);

const go = (to: Stage) => void router.replace({ name: 'piece', params: { id: id.value, stage: to } });
/** Goes to the templates and focuses the printed one. */
function print(): void {
  go('cut');
  void leadTo({ field: 'pdf' });
}
const flip = () => {
  const { slab } = piece.target;
  const faceUp = slab.faceUp === 'inside' ? 'outside' : 'inside';
  piece.change({ ...piece.target, slab: { ...slab, faceUp } });
};

useShortcuts([
  { keys: 'ctrl+z', words: 'Undo', run: piece.undo },
  { keys: 'ctrl+shift+z or ctrl+y', words: 'Redo', run: piece.redo },
  { keys: 'ctrl+s', words: 'Save now (it saves by itself)', run: () => void piece.keep() },
  { keys: 'ctrl+p', words: 'To the templates', run: () => print() },
  { keys: '1', words: 'Shape', run: () => go('shape') },
  { keys: '2', words: 'Flat', run: () => go('flat') },
  { keys: '3', words: 'Slab', run: () => go('slab') },
  { keys: '4', words: 'Cut', run: () => go('cut') },
  { keys: '5', words: 'Make', run: () => go('make') },
  { keys: 'f', words: 'Turn the other face up', run: flip },
  { keys: 'h', words: 'History', run: () => (history.value = true) },
]);

watch(id, (now) => void piece.open(now), { immediate: true });
watch(
  () => piece.target.name,
  (name) => {
    document.title = `${name || 'Piece'} · Fawn Table`;
  },
);
onBeforeRouteLeave(async () => {
  await piece.keep();
});
onMounted(() => {
  void useClays().load();
  void useKit().load();
  window.addEventListener('pagehide', piece.keepLeaving);
});
onUnmounted(() => window.removeEventListener('pagehide', piece.keepLeaving));
</script>

<template>
  <main v-if="piece.state === 'loading'" class="plain" aria-busy="true"><p>Laying the piece on the table.</p></main>
  <main v-else-if="piece.state !== 'ready'">
    <EmptyPlace
      heading="h1"
      :title="missing ? 'This piece is not on the shelf' : 'The piece could not be fetched'"
      :words="missing ? 'It may have been taken off, or never have been here.' : piece.trouble"
    >
      <VBtn variant="flat" :to="{ name: 'shelf' }">Back to the shelf</VBtn>
    </EmptyPlace>
  </main>
  <main v-else class="piece">
    <PieceHeading @history="history = true" />
    <StageRuler :id="id" :stage="stage" />
    <ConflictNote />
    <SaidFigures v-if="stands('said')" :figures="measure" />
    <MakeStage v-if="stage === 'make'" />
    <PieceBench
      v-else
      v-model:tab="tab"
      :stage="stage"
      :measure="measure"
      :finished="finished"
      @how="(figure) => (how = figure)"
      @go="go"
      @print="print"
    />
    <PieceDialogs v-model:how="how" v-model:history="history" :developed="planned" />
  </main>
</template>

<style scoped>
.plain {
  padding: 60px 24px;
  display: grid;
  gap: 14px;
  justify-items: start;
  max-width: 640px;
  margin: 0 auto;
}
.piece {
  display: flex;
  flex-direction: column;
  flex: 1;
}
/* Narrower than this, the panels beside the drawing take turns, and each scrolls by itself. */
@media screen and (max-width: 1199px) {
  .piece {
    height: calc(100dvh - 56px);
    min-height: 320px;
    flex: none;
  }
}
</style>
