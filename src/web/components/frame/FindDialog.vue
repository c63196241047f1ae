<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import { useRouter, type RouteLocationRaw } from 'vue-router';
import type { VTextField } from 'vuetify/components';
import { useClays, useKit } from '../../stores/records.ts';
import { useShelf } from '../../stores/shelf.ts';
import SheetDialog from './SheetDialog.vue';

/** The command line of the screen: places, designs, clays and things of the kit by name. */
interface Found {
  readonly key: string;
  readonly title: string;
  readonly kind: string;
  readonly to: RouteLocationRaw;
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

const all = computed<Found[]>(() => [
  { key: 'shelf', title: 'Shelf', kind: 'place', to: { name: 'shelf' } },
  { key: 'from', title: 'From what you own', kind: 'place', to: { name: 'from' } },
  { key: 'clay', title: 'Clay book', kind: 'place', to: { name: 'clay' } },
  { key: 'kit', title: 'Kit', kind: 'place', to: { name: 'kit' } },
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
  ...kit.list.map(({ id, body }): Found => ({
    key: id,
    title: body.name,
    kind: 'kit',
    to: { name: 'kit', params: { id } },
  })),
]);
const found = computed(() => {
  const asked = words.value.toLowerCase().split(/\s+/).filter(Boolean);
  return all.value.filter(({ title }) => asked.every((word) => title.toLowerCase().includes(word))).slice(0, MOST);
});

function go(one: Found | undefined): void {
  if (!one) return;
  open.value = false;
  void router.push(one.to);
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
        placeholder="Which piece, place, clay or tool"
        aria-label="Find a place or a design"
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
        <li v-if="found.length === 0" class="none">Nothing on the shelf is called that.</li>
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
