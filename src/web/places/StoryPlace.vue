<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { MadeLine } from '../../contract/made.ts';
import { pathData, screenPx } from '../../core/files/format/pathData.ts';
import { insideOf, pieceKey } from '../../core/studio/kiln/keptFiring.ts';
import { numbersText, storyOf, type SizeTold } from '../../core/studio/learning/story.ts';
import type { Measured, PieceState } from '../../core/studio/making/measured.ts';
import { struckOut } from '../../core/studio/making/strikes.ts';
import { elevation } from '../../core/piece/elevation.ts';
import type { Target } from '../../core/target/target.ts';
import { api } from '../api.ts';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import { MEASURED_NAMES, STATE_NAMES, useMeasured } from '../components/make/measuredNames.ts';
import ChangedAfter from '../components/records/ChangedAfter.vue';
import { counted, percent } from '../components/records/findingWords.ts';
import PriceTable from '../components/records/PriceTable.vue';
import StoryPhotographs from '../components/records/StoryPhotographs.vue';
import { useConnection } from '../stores/connection.ts';
import { useMakings } from '../stores/makings.ts';
import { useFirings } from '../stores/records.ts';

/** The history of one kind of piece of a making, on one page that can be printed. */
const makings = useMakings();
const firings = useFirings();
const connection = useConnection();
const route = useRoute();
const { figure } = useMeasured();

const piece = computed(() => Number(route.params['piece']));
const making = computed(() => (makings.making?.id === route.params['making'] ? makings.making : null));
const kind = computed(() => making.value?.pieces[piece.value]);
const line = ref<MadeLine | null>(null);
const target = ref<Target | null>(null);
const trouble = ref('');

const story = computed(() => {
  if (!making.value || !kind.value) return null;
  const gone = struckOut(making.value.strikes);
  const own = <T extends { readonly id: string; readonly piece: number }>(list: readonly T[]) =>
    list.filter((one) => one.piece === piece.value && !gone.has(one.id));
  const { measurements, faults, notes, marks } = making.value;
  const { steps, count } = kind.value;
  return storyOf({
    count,
    steps,
    marks: own(marks),
    measurements: own(measurements),
    faults: own(faults),
    notes: own(notes),
    planned: line.value?.facts?.planned ?? null,
    shrinkage: line.value?.facts?.shrinkage ?? 0,
  });
});
const photographs = computed(() => {
  const gone = struckOut(making.value?.strikes ?? []);
  return (making.value?.photographs ?? []).filter((one) => one.piece === piece.value && !gone.has(one.id));
});
const states = computed(() =>
  (['wet', 'leather-hard', 'dry', 'bisque', 'fired'] as const).filter(
    (state) => state === 'wet' || state === 'fired' || story.value?.sizes.some(({ measured }) => measured[state]),
  ),
);
const fired = computed(() => {
  const keys = new Set(
    Array.from({ length: kind.value?.count ?? 0 }, (_, index) =>
      pieceKey({ making: making.value?.id ?? '', piece: piece.value, number: index + 1 }),
    ),
  );
  return firings.list.filter(({ body }) => insideOf(body).some((one) => keys.has(pieceKey(one))));
});

/** Size of the piece's drawing (px). */
const HIGH = 170;
const side = computed(() => (target.value ? elevation(target.value, 'fired') : null));
const scale = computed(() => (side.value ? Math.min(240 / side.value.width, (HIGH - 10) / side.value.height) : 1));
const origin = computed(() => [5 - (side.value?.left ?? 0) * scale.value, HIGH - 5] as const);

const told = (what: Measured, size: SizeTold) =>
  size.count === 1
    ? figure(what, size.middle)
    : `${figure(what, size.middle)} (${figure(what, size.least)} to ${figure(what, size.greatest)})`;
const planned = (what: Measured, state: PieceState, sizes: Partial<Record<PieceState, number>>) =>
  sizes[state] === undefined ? '' : figure(what, sizes[state]);
const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
const dayOf = (at: string) => day.format(new Date(at));
const print = () => window.print();

async function load(): Promise<void> {
  trouble.value = '';
  const id = String(route.params['making']);
  await makings.look(id);
  if (makings.making?.id !== id || !kind.value) {
    trouble.value = makings.trouble || 'It may have been taken away.';
    return;
  }
  document.title = `The story of ${kind.value.name} · Fawn Table`;
  try {
    if (firings.state !== 'ready') void firings.load();
    const { designId, revision } = kind.value;
    const { lines } = await api.made({ making: id, limit: 200 });
    line.value = lines.find((one) => one.piece === piece.value) ?? null;
    target.value = await api.revision(designId, revision);
  } catch (error) {
    // What this browser holds of the making is still shown.
    connection.note(error);
  }
}
onMounted(load);
watch([() => route.params['making'], () => route.params['piece']], load);
</script>

<template>
  <main class="place">
    <EmptyPlace v-if="trouble" heading="h1" title="This story cannot be told" :words="trouble">
      <VBtn variant="flat" :to="{ name: 'records' }">To the records</VBtn>
    </EmptyPlace>
    <VSkeletonLoader
      v-else-if="!story || !kind || !making"
      type="heading, list-item@4"
      loading-text="Fetching the story"
    />
    <article v-else>
      <header>
        <div>
          <h1 class="serif">{{ kind.count }} × {{ kind.name }}</h1>
          <p>
            {{ making.name }}, {{ line?.clayName ?? 'clay not named' }}, begun {{ dayOf(making.startedAt) }}.
            <template v-if="line?.facts">
              Slab {{ figure('thickness', line.facts.thickness) }}, {{ line.facts.seam }} seam, base
              {{ line.facts.base }}, made for {{ percent(line.facts.shrinkage) }}; revision {{ kind.revision }}.
            </template>
          </p>
          <nav class="verbs" aria-label="Of this story">
            <VBtn variant="flat" @click="print">Print it</VBtn>
            <VBtn :to="{ name: 'made', params: { making: making.id, piece } }">Measure them</VBtn>
            <VBtn :to="{ name: 'records' }" :active="false">Records</VBtn>
          </nav>
        </div>
        <svg
          v-if="side"
          width="250"
          :height="HIGH"
          role="img"
          :aria-label="`${kind.name} as it was drawn, from the side`"
        >
          <path
            v-for="(shape, index) in [...side.added, side.outer]"
            :key="index"
            class="clay"
            :d="pathData(shape, { scale, origin, write: screenPx })"
          />
        </svg>
      </header>
      <section aria-labelledby="sizes-heading">
        <h2 id="sizes-heading">Planned and measured</h2>
        <VTable>
          <thead>
            <tr>
              <th scope="col"><span class="unseen">Size</span></th>
              <th v-for="state in states" :key="state" scope="col">{{ STATE_NAMES[state] }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in story.sizes" :key="row.what">
              <th scope="row">{{ MEASURED_NAMES[row.what] }}</th>
              <td v-for="state in states" :key="state">
                <strong v-if="row.measured[state]">{{ told(row.what, row.measured[state]) }}</strong>
                <small v-if="planned(row.what, state, row.planned)"
                  >planned {{ planned(row.what, state, row.planned) }}</small
                >
              </td>
            </tr>
          </tbody>
        </VTable>
      </section>
      <PriceTable :making="making.id" :piece="piece" />
      <div class="columns">
        <section aria-labelledby="windows-heading">
          <h2 id="windows-heading">Windows and fire</h2>
          <p v-if="story.kept.length">Joined in its window: {{ numbersText(story.kept) }}.</p>
          <p v-if="story.missed.length">
            <strong>Too late: {{ numbersText(story.missed) }}.</strong>
          </p>
          <p v-if="!story.kept.length && !story.missed.length">No window was felt by hand.</p>
          <p v-for="{ id, body } in fired" :key="id">
            {{ body.name }}: {{ body.kind }}{{ body.cone && `, cone ${body.cone}` }}.
          </p>
          <p v-if="fired.length === 0">No firing is written down.</p>
        </section>
        <section aria-labelledby="wrong-heading">
          <h2 id="wrong-heading">What went wrong</h2>
          <p v-for="{ kind: what, numbers } in story.faults" :key="what">
            <strong>{{ what }}</strong>: {{ counted(numbers.length, 'piece') }}, {{ numbersText(numbers) }}.
          </p>
          <p v-if="story.faults.length === 0">No fault is written down.</p>
        </section>
        <section v-if="story.notes.length" aria-labelledby="notes-heading">
          <h2 id="notes-heading">Notes</h2>
          <p v-for="(note, index) in story.notes" :key="index">{{ note.number }}: {{ note.text }}</p>
        </section>
        <ChangedAfter :design="kind.designId" :revision="kind.revision" />
      </div>
      <StoryPhotographs v-if="photographs.length" :photographs="photographs" :target="target" :name="kind.name" />
      <p class="care">
        Figures are estimates until a test piece confirms them. Whether it may hold food is for the glaze's maker and a
        testing laboratory to say.
      </p>
    </article>
  </main>
</template>

<style scoped>
.place {
  flex: 1;
}
article {
  max-width: 900px;
  padding: 24px 28px 40px;
  margin: 0 auto;
  display: grid;
  gap: 20px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 20px;
  justify-content: space-between;
}
header > div {
  flex: 1 1 320px;
}
h1 {
  font-size: 34px;
}
h2 {
  font-size: 19px;
  margin-bottom: 4px;
}
p {
  margin: 4px 0;
}
.verbs {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 12px;
}
.clay {
  fill: var(--slab);
  stroke: var(--slab-edge);
  stroke-width: 2;
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: 6px 8px;
}
td strong,
td small {
  display: block;
}
td strong {
  font-size: 18px;
}
small,
.care {
  color: var(--ink-soft);
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(230px, 1fr));
  gap: 20px;
}
@media print {
  .verbs {
    display: none;
  }
  article {
    padding: 0;
    gap: 8px;
  }
  .v-table,
  article :deep(.v-table) {
    --v-table-row-height: 24px;
    --v-table-header-height: 24px;
  }
  th,
  td {
    padding: 2px 8px;
  }
}
</style>
