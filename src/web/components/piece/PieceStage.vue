<script setup lang="ts">
import { computed, ref } from 'vue';
import { isDraped } from '../../../core/forms/mould/draped.ts';
import type { FigureId } from '../../../core/forms/kind/step.ts';
import { useShortcuts } from '../../composables/useShortcuts.ts';
import type { Stage } from '../../router.ts';
import { usePiece } from '../../stores/piece.ts';
import { FIRST_CHOICES, type RaiseChoices } from '../standing/raiseChoices.ts';
import type { ViewName } from '../standing/standingScene.ts';
import ShapeTable from '../shape/ShapeTable.vue';
import WorkTable from '../table/WorkTable.vue';
import { BlankDesk, CutDesk, RaiseBar, SheetTable, SlabDesk, StandingView } from './laterParts.ts';

/** What is drawn of a piece in a stage: its parts on the table, raised, on the slab, on paper. */
const props = defineProps<{ stage: Stage }>();
const emit = defineEmits<{ how: [figure: FigureId]; go: [stage: Stage] }>();
const piece = usePiece();
const share = ref(0);
const choices = ref<RaiseChoices>(FIRST_CHOICES);
/** View of the raised piece; a new object each time, so that the same view can be chosen again. */
const look = ref<{ readonly view: ViewName }>({ view: 'turned' });
const draped = computed(() => isDraped(piece.target));
/** A strip and a sheet are rolled and bent as they are: they have no parts to raise. */
const kind = computed(() => piece.target.form.kind);
const raises = computed(() => !draped.value && !['stand', 'sheet'].includes(kind.value));
const raised = computed(() => props.stage === 'flat' && share.value > 0 && raises.value);

function raiseOrLay(): void {
  if (!raises.value) return;
  if (props.stage !== 'flat') emit('go', 'flat');
  share.value = share.value < 1 ? 1 : 0;
}

useShortcuts([{ keys: 'r', words: 'Raise the flat parts, or lay them down', run: raiseOrLay }]);
</script>

<template>
  <CutDesk v-if="stage === 'cut'" class="middle" />
  <SlabDesk v-else-if="stage === 'slab'" class="middle" />
  <BlankDesk v-else-if="stage === 'flat' && draped" class="middle" />
  <SheetTable v-else-if="stage === 'shape' && kind === 'sheet'" class="middle" @flat="emit('go', 'flat')" />
  <ShapeTable v-else-if="stage === 'shape'" class="middle" @flat="emit('go', 'flat')" />
  <div v-else class="middle raising">
    <StandingView v-if="raised" :share="share" :choices="choices" :look="look" />
    <WorkTable v-else @how="(figure) => emit('how', figure)" @shape="emit('go', 'shape')" />
    <RaiseBar
      v-if="raises"
      v-model:share="share"
      v-model:choices="choices"
      class="raise"
      :can-hole="piece.target.fit?.hole !== undefined"
      @look="(view) => (look = { view })"
    />
  </div>
</template>

<style scoped>
.middle {
  position: relative;
  height: 100%;
}
.raising {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
}
/* A low window scrolls over a drawing that can still be read. */
@media screen and (max-width: 1199px) {
  .middle {
    min-height: 380px;
  }
  .middle.shape-table {
    min-height: 300px;
  }
  .middle.sheet-table {
    min-height: 620px;
  }
  .raise {
    position: sticky;
    bottom: 0;
  }
}
@media print {
  .middle {
    height: auto;
  }
}
</style>
