<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue';
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router';
import { useDisplay } from 'vuetify';
import type { Kept } from '../../contract/records.ts';
import type { Clay, ScrapEntry } from '../../core/studio/clay/clay.ts';
import { DEFAULT_SHRINKAGE, DEFAULT_WET_DENSITY } from '../../core/units/shrinkage.ts';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import { clayPercent } from '../components/clay/clayPercent.ts';
import BarPlot from '../components/clay/BarPlot.vue';
import BarRows from '../components/clay/BarRows.vue';
import ClayFields from '../components/clay/ClayFields.vue';
import ClayList from '../components/clay/ClayList.vue';
import ClayFigures from '../components/clay/ClayFigures.vue';
import { without } from '../without.ts';
import ScrapLedger from '../components/clay/ScrapLedger.vue';
import ChoiceField from '../components/fields/ChoiceField.vue';
import BookConflicts from '../components/frame/BookConflicts.vue';
import { useMasses } from '../composables/useMasses.ts';
import { useShortcuts } from '../composables/useShortcuts.ts';
import { useClays, useScraps } from '../stores/records.ts';

/** The clay book: clays, their shrink bars, and what came out of the bag. */
const clays = useClays();
const scraps = useScraps();
const route = useRoute();
const router = useRouter();
const masses = useMasses();

/** Summaries of a clay and of a ledger entry. */
const told = ({ shrinkage, bars }: Clay) => `${(100 * shrinkage).toFixed(1)} %, ${bars.length} bars`;
const toldScrap = ({ out, back }: ScrapEntry) => `${masses.write(out)} out, ${masses.write(back)} back`;

const shown = computed<Kept<'clay'> | undefined>(
  () => clays.list.find(({ id }) => id === route.params['id']) ?? clays.list[0],
);

function freshName(): string {
  const names = new Set(clays.list.map(({ body }) => body.name));
  let name = 'New clay';
  for (let number = 2; names.has(name); number += 1) name = `New clay ${number}`;
  return name;
}

async function add(): Promise<void> {
  const body: Clay = {
    name: freshName(),
    wetDensity: DEFAULT_WET_DENSITY,
    shrinkage: DEFAULT_SHRINKAGE,
    basis: 'guess',
    bars: [],
  };
  const made = await clays.create(body);
  if (made) void router.push({ name: 'clay', params: { id: made.id } });
}

const put = (change: Partial<Clay>, group: string | null = null) =>
  shown.value ? clays.change(shown.value.id, without({ ...shown.value.body, ...change }), group) : [];

const putBars = (bars: Clay['bars']) => put({ bars }, 'bars');

/** On a narrow screen the plot stays in view, with one of these beside or below it. */
const { mdAndDown: narrow } = useDisplay();
const TABS = [
  { value: 'bars', title: 'Bars' },
  { value: 'figures', title: 'Figures' },
  { value: 'about', title: 'Clay' },
  { value: 'ledger', title: 'Bag' },
] as const;
const tab = ref<(typeof TABS)[number]['value']>('bars');
const choices = computed(() =>
  clays.list.map(({ id, body }) => ({ value: id, title: `${body.name}, ${clayPercent(body)}`, why: told(body) })),
);

useShortcuts([
  { keys: 'ctrl+z', words: 'Undo', run: () => void clays.undo() },
  { keys: 'n', words: 'New clay', run: () => void add() },
]);
onMounted(() => {
  void clays.load();
  void scraps.load();
  window.addEventListener('pagehide', clays.keepAll);
});
onUnmounted(() => window.removeEventListener('pagehide', clays.keepAll));
onBeforeRouteLeave(() => clays.keepAll());
watch(shown, (clay) => (document.title = `${clay?.body.name ?? 'Clay book'} · Fawn Table`));
</script>

<template>
  <main class="book">
    <Teleport defer to="#place-heading">
      <div class="head">
        <h1>Clay book</h1>
        <VBtn variant="text" :disabled="clays.past.length === 0" @click="clays.undo()">Undo</VBtn>
        <VBtn variant="text" :disabled="clays.future.length === 0" @click="clays.redo()">Redo</VBtn>
      </div>
    </Teleport>
    <BookConflicts :book="clays" :told="told" />
    <BookConflicts :book="scraps" :told="toldScrap" />
    <VAlert v-if="clays.trouble" type="error">{{ clays.trouble }}</VAlert>
    <VSkeletonLoader
      v-if="clays.state === 'loading'"
      type="heading, list-item-avatar@3"
      loading-text="Fetching the clay book"
    />
    <EmptyPlace v-else-if="clays.state === 'failed'" title="The clay book could not be fetched">
      <VBtn variant="flat" @click="clays.load()">Try again</VBtn>
    </EmptyPlace>
    <EmptyPlace
      v-else-if="!shown"
      title="The clay book is empty"
      words="Write down a clay, roll a few bars from it and measure them: from then on every finished size tells how sure it is."
    >
      <VBtn variant="flat" @click="add">Write down a clay</VBtn>
    </EmptyPlace>
    <div v-else class="bench" :class="{ narrow }">
      <div v-if="narrow" class="choice">
        <ChoiceField
          label="Clay"
          name="clay"
          :value="shown.id"
          :choices="choices"
          @choose="(id) => router.replace({ name: 'clay', params: { id } })"
        />
        <VBtn @click="add">New clay</VBtn>
      </div>
      <ClayList v-else class="list" :clays="clays.list" :shown="shown.id" @add="add" />
      <div
        :key="shown.id"
        class="middle"
        role="region"
        aria-label="Shrink bars, drawn"
        :tabindex="narrow ? 0 : undefined"
      >
        <ClayFigures v-if="!narrow" :clay="shown.body" />
        <BarPlot :bars="shown.body.bars" :shrinkage="shown.body.shrinkage" />
        <BarRows v-if="!narrow" :bars="shown.body.bars" :put="putBars" @focusout="clays.endGesture()" />
      </div>
      <VTabs v-if="narrow" v-model="tab" class="tabs" grow height="48" aria-label="Of this clay">
        <VTab v-for="one in TABS" :key="one.value" :value="one.value">{{ one.title }}</VTab>
      </VTabs>
      <aside :key="`about-${shown.id}`" class="right" aria-label="About this clay">
        <template v-if="narrow">
          <BarRows v-if="tab === 'bars'" :bars="shown.body.bars" :put="putBars" @focusout="clays.endGesture()" />
          <ClayFigures v-else-if="tab === 'figures'" :clay="shown.body" />
        </template>
        <ClayFields
          v-if="!narrow || tab === 'about'"
          :clay="shown.body"
          :put="put"
          :done="clays.endGesture"
          @remove="clays.remove(shown.id)"
        />
        <ScrapLedger v-if="!narrow || tab === 'ledger'" :clay="shown.body.name" />
      </aside>
    </div>
  </main>
</template>

<style scoped>
.book {
  flex: 1;
  display: flex;
  flex-direction: column;
}
.head {
  display: flex;
  align-items: center;
  gap: 14px;
}
h1 {
  font-size: 20px;
}
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: 236px minmax(0, 1fr) 296px;
}
.list,
.right {
  padding: 16px 18px;
}
.list {
  border-right: 1px solid var(--line);
}
.middle {
  padding: 18px 26px;
  display: grid;
  gap: 14px;
  align-content: start;
  background: var(--cloth);
}
.right {
  border-left: 1px solid var(--line);
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 26px;
  align-content: start;
}
/* Narrower than this, the panels beside the plot take turns, and each scrolls by itself. */
@media (max-width: 1199px) {
  .book {
    height: calc(100dvh - 56px);
    flex: none;
  }
  .bench {
    min-height: 0;
    grid-template-columns: minmax(0, 1fr) minmax(300px, 40%);
    grid-template-rows: auto minmax(0, 1fr);
    grid-template-areas: 'choice tabs' 'middle right';
  }
  .choice {
    grid-area: choice;
    display: flex;
    align-items: center;
    gap: 10px;
    padding: 2px 16px;
  }
  .choice > :first-child {
    flex: 1;
    min-width: 0;
  }
  .tabs {
    grid-area: tabs;
    border-bottom: 1px solid var(--line);
  }
  .middle {
    grid-area: middle;
    overflow: auto;
    padding: 14px 16px;
  }
  .right {
    grid-area: right;
    overflow: auto;
  }
}
/* A low window has no room for the plot beside the fields. */
@media (max-width: 1199px) and (max-height: 520px) {
  .bench {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    grid-template-areas: 'choice tabs' 'right right';
  }
  .middle {
    display: none;
  }
}
@media (max-width: 1199px) and (orientation: portrait) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(0, 1fr) auto minmax(0, 1fr);
    grid-template-areas: 'choice' 'middle' 'tabs' 'right';
  }
  .right {
    border-left: 0;
  }
}
</style>
