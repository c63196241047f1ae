<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, onMounted, onUnmounted, ref } from 'vue';
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router';
import { useDisplay } from 'vuetify';
import { chamberFaults } from '../../core/studio/kiln/chamber.ts';
import { kindKey } from '../../core/studio/kiln/firingLoad.ts';
import { openedAt, pieceKey, type FiringPiece, type KeptFiring } from '../../core/studio/kiln/keptFiring.ts';
import { shelfArea } from '../../core/studio/kiln/loadJob.ts';
import type { CurvePoint } from '../../core/studio/kiln/schedule.ts';
import { area } from '../../core/geometry/outline/outline.ts';
import BookConflicts from '../components/frame/BookConflicts.vue';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import SheetDialog from '../components/frame/SheetDialog.vue';
import FireIt from '../components/kiln/FireIt.vue';
import FiringCurve from '../components/kiln/FiringCurve.vue';
import FiringList from '../components/kiln/FiringList.vue';
import FiringFields from '../components/kiln/FiringFields.vue';
import { freshFiring } from '../components/kiln/freshFiring.ts';
import KilnSide from '../components/kiln/KilnSide.vue';
import ShelfPlan from '../components/kiln/ShelfPlan.vue';
import TypedCurve from '../components/kiln/TypedCurve.vue';
import { useKiln } from '../components/kiln/useKiln.ts';
import WantedPieces from '../components/kiln/WantedPieces.vue';
import { counted } from '../components/records/findingWords.ts';
import { useLengths } from '../composables/useLengths.ts';
import { useShortcuts } from '../composables/useShortcuts.ts';
import { useClays, useFirings, useKit } from '../stores/records.ts';

/** A firing: what stands where in the kiln, what is left for the next, the schedule and what the kiln did. */
const firings = useFirings();
const kit = useKit();
const clays = useClays();
const route = useRoute();
const router = useRouter();
const lengths = useLengths();
const { width } = useDisplay();
const narrow = computed(() => width.value < 1200);
const changing = ref(false);

const shown = computed(() => firings.list.find(({ id }) => id === route.params['id']));
const kiln = useKiln(() => shown.value);
const { body } = kiln;

const middle = ref<HTMLElement | null>(null);
const { width: room } = useElementSize(middle);
/** Shelves are drawn two abreast where there is room, all at one scale. */
const scale = computed(() => {
  const widest = Math.max(
    200,
    ...(body.value?.shelves ?? []).map((shelf) => ('width' in shelf ? shelf.width : shelf.diameter)),
  );
  const columns = room.value > 560 && (body.value?.shelves.length ?? 0) > 1 ? 2 : 1;
  return Math.min(0.9, Math.max(0.1, (room.value - 70) / columns / widest));
});
/** Scale of the side view against the shelves. */
const SIDE = 0.6;
const onShelf = (id: string) => (body.value?.placed ?? []).filter(({ shelf }) => shelf === id);
const full = (id: string) => {
  const shelf = body.value?.shelves.find((one) => one.id === id);
  const covered = onShelf(id).reduce((sum, one) => sum + area(kiln.kinds.value.get(kindKey(one))?.outline ?? []), 0);
  return shelf ? Math.round((100 * covered) / shelfArea(shelf)) : 0;
};
/** Names of the pieces without a place. */
const leftWords = computed(() => {
  const counts = new Map<string, number>();
  for (const one of kiln.left.value) counts.set(kiln.nameOf(one), (counts.get(kiln.nameOf(one)) ?? 0) + 1);
  return [...counts].map(([name, count]) => `${count} × ${name}`).join(', ');
});
const nameOf = (piece: FiringPiece) => kiln.nameOf(piece);
const turn = (by: number) =>
  kiln.picked.value && kiln.put(pieceKey(kiln.picked.value), { turn: (kiln.picked.value.turn + by + 360) % 360 });

async function begin(): Promise<void> {
  const made = await firings.create(freshFiring());
  if (made) go(made.id);
}
const go = (id: string) => void router.push({ name: 'kiln', params: { id } });
async function remove(id: string): Promise<void> {
  changing.value = false;
  await firings.remove(id);
  void router.replace({ name: 'kiln' });
}
const setCurve = (curve: readonly CurvePoint[]) => kiln.change({ curve }, 'curve');
const typing = ref(false);
function setTyped(curve: readonly CurvePoint[]): void {
  kiln.change({ curve });
  firings.endGesture();
}
/** Once the kiln was opened, pieces without a place are left for the next firing. */
function open(): void {
  if (body.value) kiln.change(openedAt(body.value, new Date().toISOString()));
  firings.endGesture();
}
const chamber = computed(() => chamberFaults(body.value?.kiln, body.value?.shelves ?? []));
const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', hour: '2-digit', minute: '2-digit' });
const told = ({ wanted, day }: KeptFiring) => `${counted(wanted.length, 'piece')} on ${day}`;

useShortcuts([{ keys: 'ctrl+z', words: 'Undo', run: () => void firings.undo() }]);
onMounted(() => {
  void firings.load();
  void kiln.loadLines();
  if (kit.state !== 'ready') void kit.load();
  if (clays.state !== 'ready') void clays.load();
  window.addEventListener('pagehide', firings.keepAll);
});
onUnmounted(() => window.removeEventListener('pagehide', firings.keepAll));
onBeforeRouteLeave(() => firings.keepAll());
</script>

<template>
  <main class="kiln">
    <BookConflicts :book="firings" :told="told" />
    <VAlert v-if="firings.trouble || kiln.trouble.value" type="error">{{
      firings.trouble || kiln.trouble.value
    }}</VAlert>
    <VSkeletonLoader
      v-if="firings.state === 'loading'"
      type="heading, list-item@4"
      loading-text="Fetching the firings"
    />
    <EmptyPlace v-else-if="firings.state === 'failed'" heading="h1" title="The firings could not be fetched">
      <VBtn variant="flat" @click="firings.load()">Try again</VBtn>
    </EmptyPlace>
    <FiringList v-else-if="!shown || !body" :firings="firings.list" @begin="begin" @open="go" />
    <div v-else class="bench">
      <aside v-if="!narrow" class="left" aria-label="The firing">
        <FiringFields
          :key="shown.id"
          :firing="body"
          :kit="kit.list"
          :change="kiln.change"
          :replace="kiln.replace"
          :done="firings.endGesture"
          @remove="remove(shown.id)"
        />
      </aside>
      <section ref="middle" class="middle">
        <header>
          <h1 class="serif">{{ body.name }}</h1>
          <p class="told">
            <strong>{{ body.placed.length }}</strong> of {{ counted(body.wanted.length, 'piece') }} stand.
            <template v-if="kiln.left.value.length && body.placed.length">
              Left for the next: {{ leftWords }}.</template
            >
            <strong v-if="kiln.wrong.value.size">
              {{ counted(kiln.wrong.value.size, 'piece') }} cannot stand like that.</strong
            >
          </p>
          <div class="verbs">
            <VBtn v-if="narrow" variant="flat" @click="changing = true">Firing, shelves</VBtn>
            <VBtn v-if="kiln.busy.value" variant="flat" @click="kiln.stop()">Stop</VBtn>
            <VBtn v-else variant="flat" :disabled="!body.shelves.length || !body.wanted.length" @click="kiln.pack()"
              >Pack the kiln</VBtn
            >
            <VBtn :disabled="firings.past.length === 0" @click="firings.undo()">Undo</VBtn>
            <VBtn :disabled="firings.future.length === 0" @click="firings.redo()">Redo</VBtn>
            <VBtn :to="{ name: 'kiln' }" :active="false">All firings</VBtn>
          </div>
          <VProgressLinear v-if="kiln.busy.value" indeterminate aria-label="Packing" />
        </header>
        <VAlert v-for="(fault, index) in chamber" :key="index" type="warning">
          <template v-if="fault.kind === 'high'">
            The shelves and posts are {{ lengths.length(fault.stands) }} high, but the chamber of
            {{ body.kiln?.name }} is only {{ lengths.length(fault.chamber) }}.
          </template>
          <template v-else>{{ fault.shelf }} does not fit into {{ body.kiln?.name }}.</template>
        </VAlert>
        <p v-if="body.shelves.length === 0">Add a shelf of your kit, say what is to be fired, and pack the kiln.</p>
        <div class="shelves">
          <figure v-for="shelf in body.shelves" :key="shelf.id">
            <figcaption>
              <strong>{{ shelf.name }}</strong>, {{ counted(onShelf(shelf.id).length, 'piece') }},
              {{ full(shelf.id) }} % covered
            </figcaption>
            <ShelfPlan
              :shelf="shelf"
              :pieces="onShelf(shelf.id)"
              :kinds="kiln.kinds.value"
              :wrong="kiln.wrong.value"
              :chosen="kiln.chosen.value"
              :name-of="nameOf"
              :letter-of="kiln.letterOf"
              :scale="scale"
              @choose="(key) => (kiln.chosen.value = key)"
              @move="(key, x, y) => kiln.put(key, { x, y, locked: true }, `move ${key}`)"
              @moved="firings.endGesture()"
            />
          </figure>
        </div>
        <KilnSide
          :shelves="body.shelves"
          :placed="body.placed"
          :kinds="kiln.kinds.value"
          :wrong="kiln.wrong.value"
          :scale="scale * SIDE"
        />
        <div v-if="kiln.picked.value" class="verbs" role="group" aria-label="The chosen piece">
          <strong>{{ nameOf(kiln.picked.value) }} {{ kiln.picked.value.number }}</strong>
          <VBtn @click="turn(-15)">Turn left</VBtn>
          <VBtn @click="turn(15)">Turn right</VBtn>
          <VBtn
            :aria-pressed="kiln.picked.value.locked === true"
            @click="kiln.put(kiln.chosen.value, { locked: !kiln.picked.value.locked })"
          >
            {{ kiln.picked.value.locked ? 'Let go' : 'Lock' }}
          </VBtn>
          <VBtn @click="kiln.put(kiln.chosen.value, null)">Take off the shelf</VBtn>
        </div>
        <h2>Its course</h2>
        <FiringCurve :segments="body.segments" :curve="body.curve" />
        <FireIt :segments="body.segments" :read="body.curve.length" @curve="setCurve" @over="firings.endGesture()" />
        <div class="verbs after">
          <VBtn @click="typing = true">Type what the kiln did</VBtn>
          <VBtn v-if="body.opened === null" :disabled="!body.wanted.length" @click="open">The kiln was opened</VBtn>
          <span v-else>Opened {{ day.format(new Date(body.opened)) }}.</span>
        </div>
        <TypedCurve v-model="typing" :curve="body.curve" @curve="setTyped" />
      </section>
      <WantedPieces :key="shown.id" :kiln="kiln" :firing="shown.id" />
      <SheetDialog v-if="narrow" v-model="changing" aria-label="The firing" scrollable>
        <section class="sheet-card">
          <FiringFields
            :key="shown.id"
            :firing="body"
            :kit="kit.list"
            :change="kiln.change"
            :replace="kiln.replace"
            :done="firings.endGesture"
            @remove="remove(shown.id)"
          />
          <VBtn @click="changing = false">Close</VBtn>
        </section>
      </SheetDialog>
    </div>
  </main>
</template>

<style scoped>
.kiln {
  flex: 1;
  display: flex;
  flex-direction: column;
}
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr) 280px;
}
.left {
  padding: 16px 18px;
}
.left {
  border-right: 1px solid var(--line);
}
.middle {
  min-width: 0;
  padding: 18px 26px 40px;
  background: var(--cloth);
}
h1 {
  font-size: 30px;
}
h2 {
  font-size: 19px;
  margin: 16px 0 6px;
}
.told {
  font-size: 19px;
  margin: 2px 0 10px;
}
.verbs {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin-bottom: 10px;
}
.after {
  margin-top: 10px;
}
.shelves {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
}
figure {
  margin: 0;
}
@media (max-width: 1199px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
  }
  .middle {
    padding: 14px 12px 30px;
  }
}
</style>
