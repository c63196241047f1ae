<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { MadeLine } from '../../contract/made.ts';
import { sizeOf, type MeasuredSize } from '../../core/studio/learning/madePiece.ts';
import { PIECE_STATES, type Measured, type PieceState } from '../../core/studio/making/measured.ts';
import { struckOut } from '../../core/studio/making/strikes.ts';
import { api } from '../api.ts';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import EntryList from '../components/make/EntryList.vue';
import { MEASURED_NAMES, STATE_NAMES, useMeasured } from '../components/make/measuredNames.ts';
import CritiqueFields from '../components/records/CritiqueFields.vue';
import FiringChoice from '../components/records/FiringChoice.vue';
import PieceFacts from '../components/records/PieceFacts.vue';
import SizeCell from '../components/records/SizeCell.vue';
import { useMakings } from '../stores/makings.ts';

/** All pieces of one kind in a making, to be measured one after another with a caliper in one hand. */
const makings = useMakings();
const route = useRoute();
const { figure } = useMeasured();

const making = computed(() => makings.making);
const piece = computed(() => Number(route.params['piece']));
const kind = computed(() => making.value?.pieces[piece.value]);
const state = ref<PieceState>('fired');
const chosen = ref(1);
const said = ref('');
const failed = ref(false);
const line = ref<MadeLine | null>(null);

const states = PIECE_STATES.map((value) => ({ value, title: STATE_NAMES[value] }));
const columns = computed<Measured[]>(() => {
  const { sizes } = line.value?.facts?.planned ?? {};
  const flat: Measured[] = sizes?.length === undefined ? ['rim', 'foot', 'height'] : ['length', 'width', 'height'];
  return [...flat, 'thickness', 'weight', ...(state.value === 'fired' ? (['capacity'] as const) : [])];
});

/** The planned size in a state; between wet and fired it is not known. */
function plannedOf(what: Measured): number | null {
  const { facts } = line.value ?? {};
  const size = facts?.planned.sizes[what];
  if (size === undefined || !facts) return null;
  if (state.value === 'fired') return size;
  return state.value === 'wet' && what !== 'weight' && what !== 'capacity' ? size / (1 - facts.shrinkage) : null;
}

const standing = computed(() => {
  const gone = struckOut(making.value?.strikes ?? []);
  return (making.value?.measurements ?? []).filter((one) => one.piece === piece.value && !gone.has(one.id));
});
const rows = computed(() =>
  Array.from({ length: kind.value?.count ?? 0 }, (_, index) => {
    const number = index + 1;
    const measured = standing.value
      .filter((one) => one.number === number)
      .map(({ what, value, state: was = 'wet' }): MeasuredSize => ({ what, value, state: was }));
    return {
      number,
      name: kind.value?.names?.[index] ?? `${number}`,
      sizes: columns.value.map((what) => ({ what, value: sizeOf({ measured }, what, state.value) })),
    };
  }),
);

const spots = computed(() =>
  rows.value.map(({ number }) => ({ making: making.value?.id ?? '', piece: piece.value, number })),
);

function put(number: number, what: Measured, value: number | null): void {
  if (value !== null) {
    makings.measure({ piece: piece.value, number, step: 'records', what, state: state.value, value });
    said.value = `${MEASURED_NAMES[what]} of ${number}: ${figure(what, value)}.`;
    return;
  }
  const old = standing.value.filter(
    (one) => one.number === number && one.what === what && (one.state ?? 'wet') === state.value,
  );
  for (const { id } of old) makings.strike(id, { out: true });
  said.value = `${MEASURED_NAMES[what]} of ${number} is struck out.`;
}

async function load(): Promise<void> {
  failed.value = false;
  const id = String(route.params['making']);
  await makings.look(id);
  failed.value = makings.making?.id !== id;
  try {
    const { lines } = await api.made({ making: id, limit: 200 });
    line.value = lines.find((one) => one.piece === piece.value) ?? null;
  } catch {
    // Without the server no planned size is shown; measurements are still kept.
  }
}
onMounted(load);
watch([() => route.params['making'], () => route.params['piece']], load);
watch(kind, (now) => now && (document.title = `${now.name} · Fawn Table`));
</script>

<template>
  <main class="place">
    <EmptyPlace v-if="failed" heading="h1" title="This making could not be fetched" :words="makings.trouble">
      <VBtn variant="flat" @click="load">Try again</VBtn>
      <VBtn :to="{ name: 'records' }">To the records</VBtn>
    </EmptyPlace>
    <VSkeletonLoader v-else-if="!kind" type="heading, list-item@4" loading-text="Fetching what was measured" />
    <div v-else class="bench">
      <section class="grid" aria-labelledby="grid-heading">
        <header>
          <h1 id="grid-heading" class="serif">{{ kind.name }}, {{ kind.count }}</h1>
          <VBtn v-if="making" :to="{ name: 'story', params: { making: making.id, piece } }">Their story</VBtn>
          <VBtn :to="{ name: 'records' }" :active="false">Records</VBtn>
          <VBtnToggle v-model="state" mandatory aria-label="Measured in which state">
            <VBtn v-for="one in states" :key="one.value" :value="one.value">{{ one.title }}</VBtn>
          </VBtnToggle>
          <FiringChoice :pieces="spots" @said="(words) => (said = words)" />
        </header>
        <div class="scroll">
          <VTable>
            <thead>
              <tr>
                <th scope="col">Piece</th>
                <th v-for="what in columns" :key="what" scope="col">
                  <span>{{ MEASURED_NAMES[what] }}</span>
                  <strong v-if="plannedOf(what) !== null">{{ figure(what, plannedOf(what) ?? 0) }}</strong>
                  <small v-if="plannedOf(what) !== null">planned</small>
                </th>
              </tr>
            </thead>
            <tbody>
              <tr
                v-for="row in rows"
                :key="row.number"
                :class="{ here: row.number === chosen }"
                @focusin="chosen = row.number"
              >
                <th scope="row">
                  <VBtn variant="text" :aria-pressed="row.number === chosen" @click="chosen = row.number">{{
                    row.name
                  }}</VBtn>
                </th>
                <td v-for="{ what, value } in row.sizes" :key="what">
                  <SizeCell
                    :key="`${state} ${what}`"
                    :label="`${MEASURED_NAMES[what]}, piece ${row.number}, ${state}`"
                    :what="what"
                    :value="value"
                    :planned="plannedOf(what)"
                    @put="(now) => put(row.number, what, now)"
                  />
                </td>
              </tr>
            </tbody>
          </VTable>
        </div>
        <p role="status" class="said">{{ said }}</p>
      </section>
      <aside aria-label="Of one piece">
        <h2>Piece {{ rows[chosen - 1]?.name }}</h2>
        <PieceFacts :piece="piece" :number="chosen" :line="line" @said="(words) => (said = words)" />
        <CritiqueFields :key="`${piece} ${chosen}`" :piece="piece" :number="chosen" />
        <EntryList :piece="piece" :number="chosen" @said="(words) => (said = words)" />
        <p class="care">
          Whether it may hold food is for the glaze's maker and a testing laboratory to say, not for this table.
        </p>
      </aside>
    </div>
  </main>
</template>

<style scoped>
.place {
  flex: 1;
  display: flex;
  flex-direction: column;
}
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
}
.grid {
  padding: 18px 22px 30px;
  min-width: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  margin-bottom: 12px;
}
h1 {
  flex: 1 1 60%;
  font-size: 28px;
}
.v-btn-group {
  flex-wrap: wrap;
  height: auto;
}
.scroll {
  overflow-x: auto;
}
thead th {
  min-width: 112px;
  padding: 8px;
  vertical-align: bottom;
  text-align: right;
  white-space: normal;
}
thead th:first-child,
tbody th {
  min-width: 70px;
  text-align: left;
}
thead span,
thead small {
  display: block;
  font-weight: 400;
  color: var(--ink-soft);
}
thead strong {
  display: block;
  font-size: 24px;
  line-height: 1.2;
  white-space: nowrap;
}
td {
  padding: 4px 8px;
}
.here {
  background: var(--press-soft);
}
.said {
  min-height: 1.4em;
  font-weight: 600;
}
aside {
  padding: 18px;
  border-left: 1px solid var(--line);
  display: grid;
  gap: 16px;
  align-content: start;
}
h2 {
  font-size: 21px;
}
.care {
  color: var(--ink-soft);
}
@media (max-width: 1199px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
  }
  aside {
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
</style>
