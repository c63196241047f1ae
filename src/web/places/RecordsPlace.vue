<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useDisplay } from 'vuetify';
import { localDay } from '../../core/day.ts';
import { acceptedAfter } from '../../core/studio/clay/clay.ts';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import CameOutPlot from '../components/records/CameOutPlot.vue';
import FaultShares from '../components/records/FaultShares.vue';
import { betweenOf, headingOf, missingOf, percent, tagOf } from '../components/records/findingWords.ts';
import MadeList from '../components/records/MadeList.vue';
import RecordsTable from '../components/records/RecordsTable.vue';
import ShrunkBy from '../components/records/ShrunkBy.vue';
import OfferBeside from '../components/records/OfferBeside.vue';
import { useLengths } from '../composables/useLengths.ts';
import { useMade } from '../stores/made.ts';
import { useClays } from '../stores/records.ts';
import { useShelf } from '../stores/shelf.ts';

/** What was made, and what it shows: for each clay one corrected figure, with its evidence, to accept or not. */
const made = useMade();
const clays = useClays();
const shelf = useShelf();
const route = useRoute();
const lengths = useLengths();
const { width } = useDisplay();
const narrow = computed(() => width.value < 1200);
const tab = ref<'says' | 'made'>('says');
const said = ref('');

/** The clay that was shown first stays once its offer is accepted. */
const stays = ref('');
/** The clay in the address; without one the first that has an offer. */
const shown = computed(() => {
  const order = ['offer', 'agrees', 'few'];
  const asked = made.clays.find(({ clay }) => clay === (route.params['clay'] || stays.value));
  return (
    asked ??
    [...made.clays].sort(
      (one, other) =>
        order.indexOf(one.finding.kind) - order.indexOf(other.finding.kind) || other.pieces.length - one.pieces.length,
    )[0]
  );
});
watch(shown, (now) => (stays.value ||= now?.clay ?? ''));
const offered = computed(() => shown.value?.finding.kind === 'offer' && !made.isPutOff(shown.value));
const length = (mm: number) => lengths.length(mm);
const between = computed(() =>
  shown.value?.finding.difference ? betweenOf(shown.value.finding.difference, length) : null,
);
const missing = computed(() => (shown.value ? missingOf(shown.value) : []));

const kept = computed(() => clays.list.find(({ id }) => id === shown.value?.clay));
/** Uses the offered figure from now on, until it is undone. */
async function accept(): Promise<void> {
  const [now, clay] = [shown.value, kept.value];
  const interval = now?.finding.learnt.shrinkage;
  if (!now || !clay || !interval) return;
  const { pieces, firings, shrinkage } = now.finding;
  const day = localDay(new Date());
  const learnt = acceptedAfter(
    { shrinkage, low: interval.low, high: interval.high, pieces, firings, day },
    clay.body.learnt,
  );
  clays.change(clay.id, { ...clay.body, learnt }, null);
  clays.endGesture();
  await clays.whenKept();
  said.value = `${now.name} is worked with at ${percent(shrinkage)} from now on. Designs ask whether to follow.`;
  await made.load();
}
/** Restores the figure that was used before, whatever else was changed in the clay book since. */
async function takeBack(): Promise<void> {
  const now = kept.value;
  if (!now?.body.learnt) return;
  const { learnt, ...body } = now.body;
  clays.change(now.id, { ...body, ...(learnt.before && { learnt: learnt.before }) }, null);
  clays.endGesture();
  await clays.whenKept();
  said.value = `${body.name} is worked with as before.`;
  await made.load();
}

onMounted(() => {
  void made.load();
  if (clays.state !== 'ready') void clays.load();
  if (shelf.state !== 'ready') void shelf.load();
});
</script>

<template>
  <main class="records" :aria-busy="made.state === 'loading'">
    <VSkeletonLoader v-if="made.state === 'loading'" type="heading, list-item@4" loading-text="Fetching the records" />
    <EmptyPlace
      v-else-if="made.state === 'failed'"
      heading="h1"
      title="The records could not be fetched"
      :words="made.trouble"
    >
      <VBtn variant="flat" @click="made.load()">Try again</VBtn>
    </EmptyPlace>
    <div v-else class="bench" :class="{ narrow }">
      <VTabs v-if="narrow" v-model="tab" grow height="48" aria-label="Of the records">
        <VTab value="says">What the pieces say</VTab>
        <VTab value="made">Made</VTab>
      </VTabs>
      <nav v-if="!narrow || tab === 'says'" class="left" aria-label="Clays">
        <h2>What the pieces say</h2>
        <ul>
          <li v-for="one in made.clays" :key="one.clay">
            <RouterLink
              :to="{ name: 'records', params: { clay: one.clay } }"
              :class="{ here: one.clay === shown?.clay }"
              :aria-current="one.clay === shown?.clay ? 'page' : undefined"
            >
              <strong>{{ one.name }}</strong>
              <span :class="{ offer: one.finding.kind === 'offer' }">{{ tagOf(one) }}</span>
            </RouterLink>
          </li>
        </ul>
        <template v-if="!narrow">
          <MadeList />
          <RecordsTable />
        </template>
      </nav>
      <div v-if="narrow && tab === 'made'" class="left">
        <MadeList />
        <RecordsTable />
      </div>
      <template v-if="!narrow || tab === 'says'">
        <section v-if="shown" :key="shown.clay" class="middle">
          <h1 class="serif">{{ headingOf(shown, length) }}</h1>
          <p class="under">
            <template v-if="between">{{ between }}{{ ' ' }}</template>
            <template v-if="shown.finding.kind === 'offer'">
              {{ shown.name }} shrinks <strong>{{ percent(shown.finding.shrinkage) }}</strong> here, not
              {{ percent(shown.now) }}: that would have hit {{ shown.finding.pieces === 1 ? 'it' : 'them' }}.
            </template>
            <template v-else-if="shown.finding.kind === 'agrees'">
              The {{ percent(shown.now) }} that is worked with fits what came out.
            </template>
            <template v-else>
              {{ missing.join(' ') }}
            </template>
          </p>
          <CameOutPlot v-if="shown.finding.difference" :finding="shown.finding" />
          <p role="status" class="said">{{ said }}</p>
          <div class="verbs">
            <template v-if="offered">
              <VBtn variant="flat" size="x-large" class="use" @click="accept">
                Use {{ percent(shown.finding.shrinkage) }} from now on
              </VBtn>
              <VBtn size="x-large" @click="made.setPutOff(shown, { off: true })">Not yet</VBtn>
            </template>
            <VBtn v-else-if="shown.finding.kind === 'offer'" @click="made.setPutOff(shown, { off: false })">
              Look at the offer of {{ percent(shown.finding.shrinkage) }} again
            </VBtn>
            <VBtn v-if="kept?.body.learnt" @click="takeBack">Take {{ percent(kept.body.learnt.shrinkage) }} back</VBtn>
          </div>
          <ShrunkBy v-if="shown.pieces.length" :pieces="shown.pieces" :now="shown.now" />
          <FaultShares v-if="shown.pieces.length" :pieces="shown.pieces" />
        </section>
        <EmptyPlace
          v-else
          heading="h1"
          title="No clay is written down yet"
          words="The clay book names the clays that pieces are made of."
        >
          <VBtn variant="flat" :to="{ name: 'clay' }">To the clay book</VBtn>
        </EmptyPlace>
        <OfferBeside v-if="shown" :key="`beside ${shown.clay}`" class="right" :shown="shown" :designs="shelf.designs" />
      </template>
      <p v-if="made.trouble" role="alert" class="trouble">{{ made.trouble }}</p>
    </div>
  </main>
</template>

<style scoped>
.records {
  flex: 1;
  display: flex;
  flex-direction: column;
}
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: 262px minmax(0, 1fr) 290px;
}
.bench.narrow {
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
}
.left,
.right {
  padding: 16px 18px;
}
.left {
  border-right: 1px solid var(--line);
}
.right {
  border-left: 1px solid var(--line);
}
.narrow .left,
.narrow .right {
  border: 0;
}
.left h2 {
  font-size: 19px;
}
.left ul {
  padding: 0;
  margin: 0 -18px 22px;
  list-style: none;
}
.left a {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  align-items: center;
  min-height: 46px;
  padding: 0 18px;
  color: var(--ink);
  text-decoration: none;
  border-bottom: 1px dotted var(--line);
}
.left a.here {
  background: var(--press-soft);
  border-left: 4px solid var(--press);
}
.left .offer {
  font-weight: 700;
}
.middle {
  padding: 22px 34px 40px;
  background: var(--cloth);
  min-width: 0;
}
.narrow .middle {
  padding: 16px;
}
h1 {
  font-size: clamp(26px, 2.6vw, 34px);
  line-height: 1.15;
}
.under {
  margin: 6px 0 18px;
  font-size: 19px;
  color: var(--ink-soft);
}
.under strong {
  color: var(--ink);
}
.verbs {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.use {
  min-height: 60px;
  font-size: 20px;
}
.said {
  min-height: 1.4em;
  margin: 8px 0;
  font-weight: 600;
}
.trouble {
  grid-column: 1 / -1;
  padding: 10px 18px;
}
</style>
