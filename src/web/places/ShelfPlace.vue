<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { Design } from '../../contract/api.ts';
import type { FormKind } from '../../core/target/target.ts';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import OpenFile from '../components/shelf/OpenFile.vue';
import ShelfPiece from '../components/shelf/ShelfPiece.vue';
import TakenOff from '../components/shelf/TakenOff.vue';
import { shelfRows } from '../components/shelf/shelfRows.ts';
import { useBatchPlan } from '../components/shelf/useBatchPlan.ts';
import { useDrawnRows } from '../components/shelf/useDrawnRows.ts';
import { useShelfView } from '../components/shelf/useShelfView.ts';
import { useLengths } from '../composables/useLengths.ts';
import { useShortcuts } from '../composables/useShortcuts.ts';
import { ChosenBar, NewPieceDialog, SetDialog, ShelfTools } from '../laterFrame.ts';
import { useKit } from '../stores/records.ts';
import { useShelf } from '../stores/shelf.ts';

/** The designs, drawn at one scale side by side as on a shelf. */
const shelf = useShelf();
const router = useRouter();
const lengths = useLengths();
const boards = ref<HTMLElement | null>(null);
const fileTrouble = ref('');
const { width } = useElementSize(boards);

const {
  words,
  set,
  shownSet,
  sets,
  order,
  shown,
  choosing,
  chosen,
  chosenDesigns,
  sortBy,
  choose,
  turnChoosing,
  chooseAll,
} = useShelfView();
const laid = computed(() => shelfRows(shown.value, Math.max(160, width.value)));
const { rest, drawnRows, drawFirst } = useDrawnRows(() => laid.value.rows.map(({ items }) => items.length));
/** About how high a row is, so that the page is as long as all of them (px). */
const ROW_HEIGHT = 290;

/** A round length near a quarter of the shelf, for the scale bar (mm). */
const barLength = 100;

/** Dialogs and bars are mounted when they are first opened. */
const asked = ref({ newPiece: false, set: false });
const beginning = ref(false);
const busy = ref(false);
function startNew(): void {
  asked.value.newPiece = beginning.value = true;
}

async function begin(kind: FormKind): Promise<void> {
  if (busy.value) return;
  busy.value = true;
  const design = await shelf.begin(kind);
  busy.value = false;
  beginning.value = false;
  if (design) await router.push({ name: 'piece', params: { id: design.id }, state: { fresh: true } });
}

/** The piece that is being renamed, and the name typed so far. */
const naming = ref<{ id: string; name: string } | null>(null);

/** The pieces that are being put into a set. */
const setting = ref<readonly Design[]>([]);
const settingOpen = ref(false);
function startSet(designs: readonly Design[]): void {
  setting.value = designs;
  asked.value.set = settingOpen.value = true;
}
const setNow = computed(() => {
  const [first, ...others] = setting.value.map(({ target }) => target.set ?? null);
  return others.every((other) => other === first) ? (first ?? null) : null;
});

const { plan } = useBatchPlan();
async function planSlabs(each: number): Promise<void> {
  busy.value = true;
  const first = await plan(chosenDesigns.value, each);
  busy.value = false;
  if (first) await router.push({ name: 'piece', params: { id: first, stage: 'slab' } });
}

async function takeOffChosen(): Promise<void> {
  await shelf.takeOff(chosenDesigns.value);
  turnChoosing();
}

useShortcuts([{ keys: 'n', words: 'New piece', run: startNew }]);
onMounted(() => {
  void shelf.load();
  void useKit().load();
  void drawFirst();
});
</script>

<template>
  <main class="shelf">
    <header>
      <h1>On the shelf</h1>
      <p v-if="shelf.state === 'ready' && shelf.designs.length > 0">
        {{ shown.length }} {{ shown.length === 1 ? 'piece' : 'pieces' }}, drawn at one scale, as fired
      </p>
      <span class="begin">
        <VBtn :to="{ name: 'from' }">From what you own</VBtn>
        <OpenFile @trouble="(words) => (fileTrouble = words)" />
      </span>
      <VBtn variant="flat" class="new" @click="startNew">New piece</VBtn>
    </header>
    <ShelfTools
      v-if="shelf.state === 'ready' && shelf.designs.length > 1"
      v-model:words="words"
      v-model:set="set"
      class="tools"
      :sets="sets"
      :order="order"
      :choosing="choosing"
      @order="sortBy"
      @choose="turnChoosing"
    />
    <VAlert v-if="shelf.trouble || fileTrouble" type="error">{{ fileTrouble || shelf.trouble }}</VAlert>
    <div ref="boards" class="boards">
      <VSkeletonLoader
        v-if="shelf.state === 'loading'"
        class="waiting"
        type="image@4"
        loading-text="Fetching the pieces"
      />
      <EmptyPlace
        v-else-if="shelf.state === 'failed'"
        title="The pieces could not be fetched"
        words="They will be fetched again as soon as the server answers."
      />
      <EmptyPlace
        v-else-if="shelf.designs.length === 0"
        title="The shelf is empty"
        words="Choose a form and type its sizes: the pattern follows as you type."
      >
        <template #media><div class="bare-plank" /></template>
        <VBtn variant="flat" @click="startNew">New piece</VBtn>
      </EmptyPlace>
      <EmptyPlace
        v-else-if="shown.length === 0"
        :title="`Nothing here matches “${words}”${shownSet ? ` in ${shownSet}` : ''}`"
      >
        <VBtn @click="((words = ''), (set = null))">Show the whole shelf</VBtn>
      </EmptyPlace>
      <template v-else>
        <ul v-for="(row, index) in laid.rows.slice(0, drawnRows)" :key="index" class="row">
          <ShelfPiece
            v-for="item in row.items"
            :key="item.design.id"
            :design="item.design"
            :scale="laid.scale"
            :tallest="row.tallest"
            :width="item.width"
            :naming="naming?.id === item.design.id ? naming.name : null"
            :chosen="choosing ? chosen.includes(item.design.id) : null"
            @update:naming="(name) => (naming = name === null ? null : { id: item.design.id, name })"
            @rename="(name) => shelf.rename(item.design, name)"
            @duplicate="shelf.duplicate(item.design)"
            @take-off="shelf.takeOff([item.design])"
            @set="startSet([item.design])"
            @choose="choose(item.design.id)"
          />
          <li class="rest" aria-hidden="true" :style="{ paddingTop: `${row.tallest}px` }" />
        </ul>
        <div
          v-if="laid.rows.length > drawnRows"
          ref="rest"
          :style="{ height: `${(laid.rows.length - drawnRows) * ROW_HEIGHT}px` }"
        />
        <p class="scale"><span :style="{ width: `${barLength * laid.scale}px` }" /> {{ lengths.length(barLength) }}</p>
      </template>
    </div>
    <ChosenBar
      v-if="choosing"
      :chosen="chosenDesigns"
      :busy="busy"
      @plan="planSlabs"
      @set="startSet(chosenDesigns)"
      @take-off="takeOffChosen"
      @all="chooseAll"
    />
    <NewPieceDialog v-if="asked.newPiece" v-model="beginning" :busy="busy" @choose="begin" />
    <SetDialog
      v-if="asked.set"
      v-model="settingOpen"
      :names="setting.length === 1 ? `“${setting[0]?.name}”` : `${setting.length} pieces`"
      :sets="sets"
      :now="setNow"
      @put="(name) => shelf.putInSet(setting, name)"
    />
    <TakenOff />
  </main>
</template>

<style scoped>
.shelf {
  width: 100%;
  max-width: 1500px;
  margin: 0 auto;
  padding: 22px clamp(12px, 3vw, 40px) 60px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 6px 16px;
}
h1 {
  font-size: 28px;
}
header p {
  color: var(--ink-soft);
  margin: 0;
}
.begin {
  margin-left: auto;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.tools {
  min-height: 58px;
}
.boards {
  padding-top: 18px;
}
@media (max-width: 699px) {
  header {
    align-items: center;
  }
  header p {
    display: none;
  }
  .new {
    order: 1;
    margin-left: auto;
  }
  .begin {
    order: 2;
    flex-basis: 100%;
    margin: 0;
  }
}
.row {
  display: flex;
  list-style: none;
  padding: 14px 0 0;
  margin: 0 0 8px;
  content-visibility: auto;
  contain-intrinsic-size: auto 290px;
}
.rest {
  flex: 1;
  display: flex;
  flex-direction: column;
  justify-content: flex-start;
}
.rest::after {
  content: '';
  height: 17px;
  background: linear-gradient(var(--wood) 0 12px, var(--wood-deep) 12px);
}
.scale {
  display: flex;
  align-items: center;
  gap: 12px;
  color: var(--ink-soft);
}
.scale span {
  height: 12px;
  border: solid var(--ink);
  border-width: 0 2px;
  background: linear-gradient(var(--ink), var(--ink)) center / 100% 2px no-repeat;
}
.waiting :deep(.v-skeleton-loader__image) {
  flex: 1 1 180px;
  height: 190px;
  margin: 20px 14px;
  border-radius: 10px;
}
.bare-plank {
  width: 100%;
  height: 17px;
  margin-bottom: 20px;
  background: linear-gradient(var(--wood) 0 12px, var(--wood-deep) 12px);
}
</style>
