<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import { useRouter, type RouteLocationRaw } from 'vue-router';
import type { VTextField } from 'vuetify/components';
import type { Design } from '../../../contract/api.ts';
import { leadTo, type Led } from '../../composables/useLead.ts';
import { useClays, useKit } from '../../stores/records.ts';
import { useShelf } from '../../stores/shelf.ts';
import { FIELD_FINDS } from './fieldFinds.ts';
import SheetDialog from './SheetDialog.vue';

/** Finds places, designs, clays and things of the kit by name. */
interface Found {
  readonly key: string;
  readonly title: string;
  readonly kind: string;
  readonly to: RouteLocationRaw;
  /** Words that it is found by, beside its title. */
  readonly words?: string;
  readonly lead?: Led;
}

const open = defineModel<boolean>({ required: true });
const shelf = useShelf();
const clays = useClays();
const kit = useKit();
const router = useRouter();
const words = ref('');
const at = ref(0);
const field = ref<VTextField | null>(null);

/** No more than these are shown; another letter narrows them. */
const MOST = 9;

/** Fields belong to the piece that is open, or to the one that was changed last. */
const piece = computed(() => {
  const open = router.currentRoute.value.params['id'];
  const newest = shelf.designs.reduce<Design | null>(
    (best, one) => (best && best.updatedAt >= one.updatedAt ? best : one),
    null,
  );
  return router.currentRoute.value.name === 'piece'
    ? shelf.designs.find(({ id }) => id === open)
    : (newest ?? undefined);
});
const fields = computed<Found[]>(() =>
  FIELD_FINDS.flatMap(({ title, words: by, at: where, field, fold }): Found[] => {
    const lead: Led = { field, fold };
    if ('place' in where)
      return [{ key: `field-${field}`, title, kind: 'from what you own', to: { name: where.place }, words: by, lead }];
    if (!piece.value) return [];
    const { id, name } = piece.value;
    return [
      {
        key: `field-${field}-${where.stage}`,
        title,
        kind: `${where.stage}, ${name}`,
        to: { name: 'piece', params: { id, stage: where.stage } },
        words: by,
        lead,
      },
    ];
  }),
);

const all = computed<Found[]>(() => [
  { key: 'shelf', title: 'Shelf', kind: 'place', to: { name: 'shelf' } },
  { key: 'from', title: 'From what you own', kind: 'place', to: { name: 'from' } },
  {
    key: 'photograph',
    title: 'From a photograph',
    kind: 'place',
    to: { name: 'photograph' },
    words: 'photo camera trace outline template plate leaf cutter',
  },
  {
    key: 'today',
    title: 'Today',
    kind: 'place',
    to: { name: 'today' },
    words: 'in work windows open waiting drying calendar alarm',
  },
  {
    key: 'order',
    title: 'Orders',
    kind: 'place',
    to: { name: 'order' },
    words: 'plan order due day kiln firing hours batch calendar',
  },
  { key: 'clay', title: 'Clay book', kind: 'place', to: { name: 'clay' } },
  {
    key: 'kit',
    title: 'Kit',
    kind: 'place',
    to: { name: 'kit' },
    words: 'devices caliper scale hygrometer house way schools',
  },
  {
    key: 'kiln',
    title: 'Kiln',
    kind: 'place',
    to: { name: 'kiln' },
    words: 'firing load shelves pack bisque glaze schedule cone curve controller',
  },
  {
    key: 'records',
    title: 'Records',
    kind: 'place',
    to: { name: 'records' },
    words: 'made measured came out shrinkage learned cracks faults story',
  },
  ...shelf.designs.map((design): Found => ({
    key: design.id,
    title: design.name,
    kind: 'design',
    to: { name: 'piece', params: { id: design.id } },
  })),
  ...clays.list.map(({ id, body }): Found => ({
    key: id,
    title: body.name,
    kind: 'clay',
    to: { name: 'clay', params: { id } },
  })),
  ...fields.value,
  ...kit.list.map(({ id, body }): Found => ({
    key: id,
    title: body.name,
    kind: 'kit',
    to: { name: 'kit', params: { id } },
  })),
]);
const found = computed(() => {
  const asked = words.value.toLowerCase().split(/\s+/).filter(Boolean);
  if (asked.length === 0) return all.value.filter(({ lead }) => !lead).slice(0, MOST);
  return all.value
    .filter(({ title, words: by = '' }) => asked.every((word) => `${title} ${by}`.toLowerCase().includes(word)))
    .slice(0, MOST);
});

function go(one: Found | undefined): void {
  if (!one) return;
  open.value = false;
  void router.push(one.to).then(() => one.lead && leadTo(one.lead));
}

function step(by: number): void {
  if (found.value.length > 0) at.value = (at.value + by + found.value.length) % found.value.length;
}

watch(words, () => (at.value = 0));
watch(
  open,
  (now) => {
    if (!now) return;
    words.value = '';
    at.value = 0;
    if (shelf.state !== 'ready') void shelf.load();
    if (clays.state !== 'ready') void clays.load();
    if (kit.state !== 'ready') void kit.load();
    void nextTick(() => field.value?.focus());
  },
  { immediate: true },
);
</script>

<template>
  <SheetDialog v-model="open" aria-label="Find" location="top" scrollable>
    <section class="sheet-card">
      <VTextField
        ref="field"
        v-model="words"
        class="bare"
        placeholder="A piece, clay or tool, or a word such as trim, belly, print"
        aria-label="Find a piece, a place or a field"
        aria-controls="found"
        :aria-activedescendant="found[at] ? `found-${at}` : undefined"
        @keydown.down.prevent="step(1)"
        @keydown.up.prevent="step(-1)"
        @keydown.enter.prevent="go(found[at])"
      />
      <ul id="found" role="listbox" aria-label="Found">
        <li
          v-for="(one, index) in found"
          :id="`found-${index}`"
          :key="one.key"
          role="option"
          :aria-selected="index === at"
          :class="{ here: index === at }"
          @click="go(one)"
          @pointermove="at = index"
        >
          <span>{{ one.title }}</span> <small>{{ one.kind }}</small>
        </li>
        <li v-if="found.length === 0" class="none">Nothing is called that here.</li>
      </ul>
    </section>
  </SheetDialog>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 8px 0 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 48px;
  padding: 4px 14px;
  border-radius: 8px;
  font-size: 18px;
  cursor: pointer;
}
.here {
  background: var(--press-soft);
}
small,
.none {
  color: var(--ink-soft);
}
</style>
