<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Kept } from '../../../contract/records.ts';
import { KIT, KIT_KINDS } from '../../../core/studio/kit/kit.ts';
import EmptyPlace from '../frame/EmptyPlace.vue';
import KitThing from './KitThing.vue';

/** What the potter owns, drawn as it is, each kind at one scale. */
const props = defineProps<{ items: readonly Kept<'kit'>[]; shown?: string | undefined }>();
const emit = defineEmits<{ add: [] }>();

/** Shown while the kit is empty. */
const NOTHING_YET =
  'Say what you own: patterns then keep to your roller and boards, offer your sticks and cutters, ' +
  'and count how many pieces stand on a kiln shelf.';

const words = ref('');
const groups = computed(() => {
  const asked = words.value.trim().toLowerCase();
  const found = props.items.filter(({ body }) => body.name.toLowerCase().includes(asked));
  return KIT_KINDS.flatMap((kind) => {
    const items = found.filter(({ body }) => body.kind === kind);
    return items.length > 0
      ? [{ kind, title: items.length > 1 ? KIT[kind].many : KIT[kind].one, items, widest: widest(items) }]
      : [];
  });
});

/** The largest figure of a group: its drawings share one scale. */
function widest(items: readonly Kept<'kit'>[]): number {
  return Math.max(
    ...items.flatMap(({ body }) =>
      KIT[body.kind].sizes.filter(({ key }) => key !== 'clear').map(({ key }) => body.sizes[key] ?? 0),
    ),
  );
}
</script>

<template>
  <div>
    <div class="verbs">
      <VTextField
        v-model="words"
        class="bare"
        type="search"
        aria-label="Find in the kit"
        placeholder="Find in the kit"
      />
      <VBtn variant="flat" @click="emit('add')">Add something</VBtn>
    </div>
    <EmptyPlace v-if="items.length === 0" title="The kit is empty" :words="NOTHING_YET" />
    <EmptyPlace v-else-if="groups.length === 0" title="Nothing in the kit is called that" />
    <div class="groups">
      <section v-for="group in groups" :key="group.kind" :aria-label="group.title">
        <h2>{{ group.title }}</h2>
        <ul>
          <li v-for="item in group.items" :key="item.id">
            <RouterLink
              :to="{ name: 'kit', params: { id: item.id } }"
              :class="{ here: item.id === shown }"
              :aria-current="item.id === shown ? 'page' : undefined"
              :data-kit="item.body.name"
            >
              <KitThing :item="item.body" :widest="group.widest" />
              <span>{{ item.body.name }}</span>
            </RouterLink>
          </li>
        </ul>
      </section>
    </div>
  </div>
</template>

<style scoped>
.verbs {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
  justify-content: space-between;
}
.groups {
  display: flex;
  flex-wrap: wrap;
  gap: 0 40px;
}
h2 {
  margin-top: 18px;
  font-size: 17px;
}
ul {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 6px 14px;
  padding: 0 0 6px;
  list-style: none;
  border-bottom: 1px solid var(--line);
}
a {
  display: grid;
  justify-items: center;
  align-content: end;
  gap: 4px;
  min-width: 84px;
  min-height: 88px;
  padding: 8px;
  border-radius: 10px;
  color: var(--ink);
  text-decoration: none;
}
a:hover span {
  text-decoration: underline;
}
.here {
  background: var(--press-soft);
  outline: 2px solid var(--press);
}
</style>
