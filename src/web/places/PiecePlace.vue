<script setup lang="ts">
import { computed, onMounted, onUnmounted, reactive, ref, watch, watchEffect } from 'vue';
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router';
import { useDisplay } from 'vuetify';
import type { FigureId } from '../../core/forms/kind/step.ts';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import ConflictNote from '../components/piece/ConflictNote.vue';
import SaidFigures from '../components/piece/SaidFigures.vue';
import PieceFigures from '../components/piece/PieceFigures.vue';
import PieceHeading from '../components/piece/PieceHeading.vue';
import PieceStage from '../components/piece/PieceStage.vue';
import StageFields from '../components/piece/StageFields.vue';
import StageRuler from '../components/piece/StageRuler.vue';
import type { Figure } from '../components/piece/figures.ts';
import { useFigures } from '../components/piece/useFigures.ts';
import { fetchSoon, HistoryDialog, HowDialog, MakeStage, MeshDialog } from '../components/piece/laterParts.ts';
import { leadTo } from '../composables/useLead.ts';
import { useShortcuts } from '../composables/useShortcuts.ts';
import { STAGES, type Stage } from '../router.ts';
import { nextTask } from '../composables/nextTask.ts';
import { openInParts } from '../composables/openedParts.ts';
import { useMouldReading } from '../stores/mouldReading.ts';
import { usePiece } from '../stores/piece.ts';
import { useClays, useKit } from '../stores/records.ts';

/** One design and its stages. */
const route = useRoute();
const router = useRouter();
const piece = usePiece();
const reading = useMouldReading();
const id = computed(() => String(route.params['id']));
const missing = computed(() => piece.state === 'missing');
const stage = computed<Stage>(() => STAGES.find((one) => one === route.params['stage']) ?? 'shape');
/** On a narrow screen the drawing stays in view, and one of these beside or under it. */
const { mdAndDown: narrow } = useDisplay();
const tab = ref<'change' | 'measure' | 'advice'>('change');
const warnings = computed(() => piece.beside.developed.checks.filter(({ level }) => level !== 'note').length);
const how = ref<Figure | null>(null);
const history = ref(false);

const { planned, measure, finished } = useFigures();
/** A new piece waits for its first size. */
function startTyping(): void {
  window.history.replaceState({ ...window.history.state, fresh: false }, '');
  document.querySelector<HTMLInputElement>('.left input')?.focus();
}

/** Dialogs are made when they are asked for, or at rest, each in a task of its own. They stay, to close and give the keyboard back. */
const made = reactive(new Set<'how' | 'history' | 'mesh'>());
fetchSoon(async () => {
  for (const dialog of ['how', 'history', 'mesh'] as const) {
    made.add(dialog);
    await nextTask();
  }
});
watch([how, history, () => reading.asked], ([asked, past, mesh]) => {
  if (asked) made.add('how');
  if (past) made.add('history');
  if (mesh) made.add('mesh');
});

const stands = openInParts(
  () => piece.state === 'ready',
  () => (window.history.state as { fresh?: boolean } | null)?.fresh && startTyping(),
);

/** Worked out in a task of its own, before the list that shows it. */
watchEffect(() => stands('measured') && measure.value);

/** A figure that is pressed on the drawing stands in the list too. */
const askOnTable = (id: FigureId) => {
  how.value = measure.value.find((figure) => figure.id === id) ?? null;
};

const go = (to: Stage) => void router.replace({ name: 'piece', params: { id: id.value, stage: to } });
/** To the templates, the keyboard on the one that is printed. */
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
    <div v-else class="bench" :class="{ narrow }">
      <VTabs v-if="narrow" v-model="tab" class="tabs" grow height="48" aria-label="Beside the drawing">
        <VTab value="change">Change</VTab>
        <VTab value="measure">Measure</VTab>
        <VTab v-if="stage !== 'slab'" value="advice"
          >Advice<span v-if="warnings">: {{ warnings }}</span></VTab
        >
      </VTabs>
      <aside v-show="!narrow || tab === 'change'" class="left" aria-label="What to change">
        <StageFields v-if="stands('form')" :stage="stage" />
      </aside>
      <div class="stage" role="region" aria-label="Drawing" :tabindex="narrow ? 0 : undefined">
        <PieceStage v-if="stands('drawing')" :stage="stage" @how="askOnTable" @go="go" />
      </div>
      <aside v-show="!narrow || tab !== 'change'" class="right" aria-label="Figures and advice">
        <PieceFigures
          v-if="stands('figures')"
          :stage="stage"
          :shown="!narrow ? 'both' : tab === 'advice' ? 'advice' : 'measure'"
          :measure="measure"
          :finished="finished"
          @how="(figure) => (how = figure)"
        />
        <VBtn v-if="stage !== 'cut'" variant="flat" class="wide" @click="print">Print the templates</VBtn>
      </aside>
    </div>
    <HowDialog v-if="made.has('how')" v-model="how" :developed="planned" />
    <HistoryDialog v-if="made.has('history')" v-model="history" />
    <MeshDialog v-if="made.has('mesh')" />
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
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: 292px minmax(0, 1fr) 272px;
  grid-template-areas: 'left stage right';
  align-items: stretch;
}
.left,
.right {
  contain: layout style;
  padding: 16px 18px;
}
.left {
  grid-area: left;
  border-right: 1px solid var(--line);
}
.stage {
  grid-area: stage;
  position: sticky;
  top: 0;
  height: calc(100vh - 104px);
  min-height: 480px;
}
.right {
  grid-area: right;
  border-left: 1px solid var(--line);
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  align-content: start;
}
.wide {
  width: 100%;
}
@media print {
  .bench {
    display: block;
  }
  .left,
  .tabs,
  .wide {
    display: none;
  }
  .stage {
    position: static;
    height: auto;
  }
}
/* Narrower than this, what is beside the drawing takes turns; each scrolls for itself. */
@media screen and (max-width: 1199px) {
  .piece {
    height: calc(100dvh - 56px);
    min-height: 320px;
    flex: none;
  }
  .bench {
    min-height: 0;
    grid-template-columns: minmax(0, 1fr) minmax(300px, 36%);
    grid-template-rows: auto minmax(0, 1fr);
    grid-template-areas: 'stage tabs' 'stage panel';
  }
  .tabs {
    grid-area: tabs;
    border-bottom: 1px solid var(--line);
    border-left: 1px solid var(--line);
  }
  .left,
  .right {
    grid-area: panel;
    min-width: 0;
    overflow: auto;
    border-right: 0;
    border-left: 1px solid var(--line);
  }
  .stage {
    position: static;
    height: auto;
    min-height: 0;
    overflow: auto;
  }
}
@media screen and (max-width: 1199px) and (orientation: portrait) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 46fr) auto minmax(0, 54fr);
    grid-template-areas: 'stage' 'tabs' 'panel';
  }
  .tabs {
    border-top: 1px solid var(--line);
  }
}
</style>
