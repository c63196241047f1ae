<script setup lang="ts">
import { computed } from 'vue';
import { useDisplay } from 'vuetify';
import type { FigureId } from '../../../core/forms/kind/step.ts';
import { useOpenedParts } from '../../composables/openedParts.ts';
import type { Stage } from '../../router.ts';
import { usePiece } from '../../stores/piece.ts';
import type { Figure } from './figures.ts';
import PieceFigures from './PieceFigures.vue';
import PieceStage from './PieceStage.vue';
import StageFields from './StageFields.vue';

/** A stage of the piece: what can be changed, the drawing, and figures with advice. */
const props = defineProps<{ stage: Stage; measure: readonly Figure[]; finished: readonly Figure[] }>();
const emit = defineEmits<{ how: [figure: Figure]; go: [stage: Stage]; print: [] }>();
const piece = usePiece();
const stands = useOpenedParts();
/** On a narrow screen the drawing stays in view, and one of these beside or under it. */
const { mdAndDown: narrow } = useDisplay();
const tab = defineModel<'change' | 'measure' | 'advice'>('tab', { required: true });
const warnings = computed(() => piece.beside.developed.checks.filter(({ level }) => level !== 'note').length);

/** A figure pressed on the drawing is in the list too. */
function askOnTable(id: FigureId): void {
  const figure = props.measure.find((one) => one.id === id);
  if (figure) emit('how', figure);
}
</script>

<template>
  <div class="bench" :class="{ narrow }">
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
      <PieceStage v-if="stands('drawing')" :stage="stage" @how="askOnTable" @go="(to) => emit('go', to)" />
    </div>
    <aside v-show="!narrow || tab !== 'change'" class="right" aria-label="Figures and advice">
      <PieceFigures
        v-if="stands('figures')"
        :stage="stage"
        :shown="!narrow ? 'both' : tab === 'advice' ? 'advice' : 'measure'"
        :measure="measure"
        :finished="finished"
        @how="(figure) => emit('how', figure)"
      />
      <VBtn v-if="stage !== 'cut'" variant="flat" class="wide" @click="emit('print')">Print the templates</VBtn>
    </aside>
  </div>
</template>

<style scoped>
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
