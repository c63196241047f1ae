<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue';
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router';
import { isDraped } from '../../core/mould/draped.ts';
import type { FigureId } from '../../core/piece/explain/step.ts';
import AdditionFields from '../components/piece/AdditionFields.vue';
import CheckList from '../components/piece/CheckList.vue';
import ConflictNote from '../components/piece/ConflictNote.vue';
import CutDesk from '../components/piece/CutDesk.vue';
import CutFields from '../components/piece/CutFields.vue';
import FigureList from '../components/piece/FigureList.vue';
import FitFields from '../components/piece/FitFields.vue';
import FlatFields from '../components/piece/FlatFields.vue';
import HistoryDialog from '../components/piece/HistoryDialog.vue';
import HowDialog from '../components/piece/HowDialog.vue';
import PieceHeading from '../components/piece/PieceHeading.vue';
import ShapeFields from '../components/piece/ShapeFields.vue';
import WorkNote from '../components/piece/WorkNote.vue';
import StandingFigures from '../components/piece/StandingFigures.vue';
import StageRuler from '../components/piece/StageRuler.vue';
import type { Figure } from '../components/piece/figures.ts';
import { useFigures } from '../components/piece/useFigures.ts';
import RaiseBar from '../components/standing/RaiseBar.vue';
import { FIRST_CHOICES, type RaiseChoices } from '../components/standing/raiseChoices.ts';
import type { ViewName } from '../components/standing/standingScene.ts';
import {
  BlankDesk,
  DartFields,
  fetchSoon,
  MeshDialog,
  SheetTable,
  SlabDesk,
  SlabFields,
  SlabFigures,
  StandingView,
} from '../components/piece/laterParts.ts';
import WorkTable from '../components/table/WorkTable.vue';
import { useSolver } from '../composables/useSolver.ts';
import { useShortcuts } from '../composables/useShortcuts.ts';
import { STAGES, type Stage } from '../router.ts';
import { nextTask } from '../composables/nextTask.ts';
import { useBench } from '../stores/bench.ts';
import { useMouldReading } from '../stores/mouldReading.ts';
import { usePiece } from '../stores/piece.ts';
import { useClays, useKit } from '../stores/records.ts';

onUnmounted(fetchSoon());

/** One design and its stages. */
const route = useRoute();
const router = useRouter();
const piece = usePiece();
const bench = useBench();
const reading = useMouldReading();
const id = computed(() => String(route.params['id']));
const stage = computed<Stage>(() => STAGES.find((one) => one === route.params['stage']) ?? 'shape');
const draped = computed(() => isDraped(piece.target));
const how = ref<Figure | null>(null);
const history = ref(false);
const share = ref(0);
const choices = ref<RaiseChoices>(FIRST_CHOICES);
/** From where the raised piece is looked at; a new one each time, so that a view can be asked for again. */
const look = ref<{ readonly view: ViewName }>({ view: 'turned' });
/** A strip and a sheet are rolled and bent as they are: they have no parts to raise, and nothing is added to them. */
const bentAlone = computed(() => ['stand', 'sheet'].includes(piece.target.form.kind));
const raises = computed(() => !draped.value && !bentAlone.value);
const raised = computed(() => stage.value === 'flat' && share.value > 0 && raises.value);

const { planned, measure, finished } = useFigures();

/** The lower fields and figures are made in a task of their own: the table and what is beside it stand before them. */
const standing = ref(false);
watch(
  () => piece.state === 'ready',
  async (ready) => {
    standing.value = false;
    if (ready) await nextTask();
    standing.value = ready;
  },
  { immediate: true },
);

/** A figure that is pressed on the drawing stands in the list too. */
const askOnTable = (id: FigureId) => {
  how.value = measure.value.find((figure) => figure.id === id) ?? null;
};

const go = (to: Stage) => void router.replace({ name: 'piece', params: { id: id.value, stage: to } });
const flip = () => {
  const { slab } = piece.target;
  const faceUp = slab.faceUp === 'inside' ? 'outside' : 'inside';
  piece.change({ ...piece.target, slab: { ...slab, faceUp } });
};

/** Advice that the slab is too small is followed by one press. */
const { busy, trouble, solve, cancel } = useSolver();
const cutInPieces = async () => {
  const cut = await solve(piece.target, { kind: 'pieces', slab: bench.slab });
  if (cut) piece.change(cut);
};

const raiseOrLay = () => {
  if (!raises.value) return;
  if (stage.value !== 'flat') go('flat');
  share.value = share.value < 1 ? 1 : 0;
};

useShortcuts([
  { keys: 'ctrl+z', words: 'Undo', run: piece.undo },
  { keys: 'ctrl+shift+z or ctrl+y', words: 'Redo', run: piece.redo },
  { keys: 'ctrl+s', words: 'Save now (it saves by itself)', run: () => void piece.keep() },
  { keys: '1', words: 'Shape', run: () => go('shape') },
  { keys: '2', words: 'Flat', run: () => go('flat') },
  { keys: '3', words: 'Slab', run: () => go('slab') },
  { keys: '4', words: 'Cut', run: () => go('cut') },
  { keys: 'r', words: 'Raise the flat parts, or lay them down', run: raiseOrLay },
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
  <main v-else-if="piece.state !== 'ready'" class="plain">
    <h1>{{ piece.state === 'missing' ? 'This piece is not on the shelf' : 'The piece could not be fetched' }}</h1>
    <p>{{ piece.trouble }}</p>
    <RouterLink class="press" :to="{ name: 'shelf' }">Back to the shelf</RouterLink>
  </main>
  <main v-else class="piece">
    <PieceHeading @history="history = true" />
    <StageRuler :id="id" :stage="stage" />
    <ConflictNote />
    <div class="bench">
      <CutDesk v-if="stage === 'cut'" class="middle" />
      <SlabDesk v-else-if="stage === 'slab'" class="middle" />
      <BlankDesk v-else-if="stage === 'flat' && draped" class="middle" />
      <SheetTable
        v-else-if="stage === 'shape' && piece.target.form.kind === 'sheet'"
        class="middle"
        @how="askOnTable"
      />
      <div v-else class="middle raising">
        <StandingView v-if="raised" :share="share" :choices="choices" :look="look" />
        <WorkTable v-else @how="askOnTable" />
        <RaiseBar
          v-if="stage === 'flat' && raises"
          v-model:share="share"
          v-model:choices="choices"
          :can-hole="piece.target.fit?.hole !== undefined"
          @look="(view) => (look = { view })"
        />
      </div>
      <aside class="right" aria-label="Figures">
        <template v-if="stage === 'slab'"><SlabFigures /></template>
        <template v-else>
          <FigureList heading="To measure, wet" :figures="measure" @how="(figure) => (how = figure)" />
          <CheckList :checks="piece.beside.developed.checks" @remedy="cutInPieces" />
          <WorkNote :busy="busy" :trouble="trouble" @cancel="cancel" />
          <WorkNote
            v-if="stage !== 'shape'"
            doing="Reading the mould"
            :busy="reading.busy"
            :trouble="reading.trouble"
            @cancel="reading.stop"
          />
          <StandingFigures v-if="standing" :finished="finished" @how="(figure) => (how = figure)" />
        </template>
        <button v-if="stage !== 'cut'" type="button" class="press wide" @click="go('cut')">Print the templates</button>
      </aside>
      <aside class="left" aria-label="What to change">
        <template v-if="stage === 'shape'"
          ><ShapeFields /><template v-if="standing"
            ><AdditionFields v-if="!draped && !bentAlone" /><FitFields /></template
        ></template>
        <DartFields v-else-if="stage === 'flat' && draped" />
        <FlatFields v-else-if="stage === 'flat'" />
        <SlabFields v-else-if="stage === 'slab'" />
        <CutFields v-else />
      </aside>
    </div>
    <HowDialog v-model="how" :developed="planned" />
    <HistoryDialog v-model="history" />
    <MeshDialog />
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
  grid-template-areas: 'left middle right';
  align-items: stretch;
}
.left,
.right {
  contain: layout style;
}
.left {
  grid-area: left;
  padding: 16px 18px;
  border-right: 1px solid var(--line);
}
.middle {
  grid-area: middle;
  position: sticky;
  top: 0;
  height: calc(100vh - 106px);
  min-height: 480px;
}
.raising {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
}
.right {
  grid-area: right;
  padding: 16px 18px;
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
  .wide {
    display: none;
  }
  .middle {
    position: static;
    height: auto;
  }
}
@media (max-width: 1100px) {
  .bench {
    grid-template-columns: minmax(0, 1fr) 272px;
    grid-template-areas: 'middle right' 'left right';
  }
  .middle {
    position: relative;
  }
  .left {
    border-right: 0;
    border-top: 1px solid var(--line);
  }
}
@media (max-width: 700px) {
  .bench {
    display: block;
  }
  .middle {
    position: relative;
    height: auto;
    min-height: 420px;
  }
  .right {
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
</style>
