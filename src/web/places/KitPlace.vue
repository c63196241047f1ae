<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue';
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router';
import { useDisplay } from 'vuetify';
import type { Kept } from '../../contract/records.ts';
import { KIT, KIT_KINDS, type KitItem, type KitKind } from '../../core/studio/kit/kit.ts';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import DevicesPart from '../components/kit/DevicesPart.vue';
import StudioArchive from '../components/kit/StudioArchive.vue';
import HouseWay from '../components/kit/HouseWay.vue';
import KitFields from '../components/kit/KitFields.vue';
import KitTable from '../components/kit/KitTable.vue';
import KitThing from '../components/kit/KitThing.vue';
import { useLengths } from '../composables/useLengths.ts';
import { useShortcuts } from '../composables/useShortcuts.ts';
import { useKit } from '../stores/records.ts';
import BookConflicts from '../components/frame/BookConflicts.vue';
import SheetDialog from '../components/frame/SheetDialog.vue';

/** Said while the kit is empty. */
const NOTHING_YET =
  'Say what you own: patterns then keep to your roller and boards, offer your sticks and cutters, ' +
  'and count how many pieces stand on a kiln shelf.';

/** What the potter owns, drawn as it is, each kind at one scale. */
const kit = useKit();
const lengths = useLengths();
const route = useRoute();
const router = useRouter();
const words = ref('');
const adding = ref(false);

const shown = computed(() => kit.list.find(({ id }) => id === route.params['id']));
const groups = computed(() => {
  const asked = words.value.trim().toLowerCase();
  const found = kit.list.filter(({ body }) => body.name.toLowerCase().includes(asked));
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

/** A thing in a few words. */
const told = ({ sizes }: KitItem) =>
  Object.values(sizes)
    .map((mm) => lengths.figure(mm))
    .join(' × ');

async function add(kind: KitKind): Promise<void> {
  adding.value = false;
  const { one, sizes } = KIT[kind];
  const usual = Object.fromEntries(sizes.map((size) => [size.key, size.usual]));
  const body: KitItem = { kind, name: one, sizes: usual, ...(kind === 'roller' && { settings: [10, 8, 6] }) };
  const made = await kit.create(body);
  if (made) void router.push({ name: 'kit', params: { id: made.id } });
}

async function remove(id: string): Promise<void> {
  await kit.remove(id);
  void router.replace({ name: 'kit' });
}

const putShown = (body: KitItem, group: string | null) => (shown.value ? kit.change(shown.value.id, body, group) : []);

/** On a phone the figures of a thing come up over the kit, and go away again. */
const { smAndDown: phone } = useDisplay();
const changing = computed({
  get: () => shown.value !== undefined,
  set: (open) => void (open || router.replace({ name: 'kit' })),
});

useShortcuts([
  { keys: 'ctrl+z', words: 'Undo', run: () => void kit.undo() },
  { keys: 'n', words: 'Add something to the kit', run: () => (adding.value = true) },
]);
onMounted(() => {
  void kit.load();
  window.addEventListener('pagehide', kit.keepAll);
});
onUnmounted(() => window.removeEventListener('pagehide', kit.keepAll));
onBeforeRouteLeave(() => kit.keepAll());
watch(shown, (item) => (document.title = `${item?.body.name ?? 'Kit'} · Fawn Table`));
</script>

<template>
  <main class="kit">
    <Teleport defer to="#place-heading">
      <div class="head">
        <h1>Kit</h1>
        <VBtn variant="text" :disabled="kit.past.length === 0" @click="kit.undo()">Undo</VBtn>
        <VBtn variant="text" :disabled="kit.future.length === 0" @click="kit.redo()">Redo</VBtn>
      </div>
    </Teleport>
    <BookConflicts :book="kit" :told="told" />
    <VAlert v-if="kit.trouble" type="error">{{ kit.trouble }}</VAlert>
    <VSkeletonLoader
      v-if="kit.state === 'loading'"
      type="heading, list-item-avatar@3"
      loading-text="Fetching the kit"
    />
    <EmptyPlace v-else-if="kit.state === 'failed'" title="The kit could not be fetched">
      <VBtn variant="flat" @click="kit.load()">Try again</VBtn>
    </EmptyPlace>
    <div v-else class="bench">
      <div class="middle">
        <div class="verbs">
          <VTextField
            v-model="words"
            class="bare"
            type="search"
            aria-label="Find in the kit"
            placeholder="Find in the kit"
          />
          <VBtn variant="flat" @click="adding = true">Add something</VBtn>
        </div>
        <EmptyPlace v-if="kit.list.length === 0" title="The kit is empty" :words="NOTHING_YET" />
        <EmptyPlace v-else-if="groups.length === 0" title="Nothing in the kit is called that" />
        <div class="groups">
          <section v-for="group in groups" :key="group.kind" :aria-label="group.title">
            <h2>{{ group.title }}</h2>
            <ul>
              <li v-for="item in group.items" :key="item.id">
                <RouterLink
                  :to="{ name: 'kit', params: { id: item.id } }"
                  :class="{ here: item.id === shown?.id }"
                  :aria-current="item.id === shown?.id ? 'page' : undefined"
                  :data-kit="item.body.name"
                >
                  <KitThing :item="item.body" :widest="group.widest" />
                  <span>{{ item.body.name }}</span>
                </RouterLink>
              </li>
            </ul>
          </section>
        </div>
        <KitTable />
        <HouseWay />
        <DevicesPart />
        <StudioArchive />
      </div>
      <aside class="right" :aria-label="phone ? 'Caution' : 'The thing that is chosen'">
        <template v-if="!phone">
          <KitFields
            v-if="shown"
            :key="shown.id"
            :item="shown.body"
            :put="putShown"
            :done="kit.endGesture"
            @remove="remove(shown.id)"
          />
          <p v-else>Press a thing to change its figures.</p>
        </template>
        <VAlert type="warning" role="note">
          Rollers pinch: keep fingers, sleeves and hair away from the gap, and stop it before you reach in.
        </VAlert>
      </aside>
    </div>
    <SheetDialog v-if="phone" v-model="changing" aria-label="The thing that is chosen">
      <section class="sheet-card">
        <KitFields
          v-if="shown"
          :key="shown.id"
          :item="shown.body"
          :put="putShown"
          :done="kit.endGesture"
          @remove="remove(shown.id)"
        />
        <VBtn variant="flat" @click="changing = false">Done</VBtn>
      </section>
    </SheetDialog>
    <SheetDialog v-model="adding" aria-label="Add something to the kit">
      <section class="sheet-card" aria-label="Add something to the kit">
        <h2>What is it</h2>
        <VList aria-label="Kinds of things">
          <VListItem
            v-for="kind in KIT_KINDS"
            :key="kind"
            :data-kind="kind"
            :title="KIT[kind].one"
            @click="add(kind)"
          />
        </VList>
      </section>
    </SheetDialog>
  </main>
</template>

<style scoped>
.kit {
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
  grid-template-columns: minmax(0, 1fr) 300px;
}
.middle {
  padding: 16px 26px;
  background: var(--cloth);
}
.verbs {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
  justify-content: space-between;
}
.verbs input {
  flex: 0 1 280px;
  min-height: 44px;
  padding: 4px 12px;
  border: 1.5px solid var(--line);
  border-radius: 10px;
  background: var(--panel);
}
.groups {
  display: flex;
  flex-wrap: wrap;
  gap: 0 40px;
}
section h2 {
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
.middle li a {
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
.middle li a:hover span {
  text-decoration: underline;
}
.middle .here {
  background: var(--press-soft);
  outline: 2px solid var(--press);
}
.right {
  display: grid;
  gap: 18px;
  align-content: start;
  padding: 18px;
  border-left: 1px solid var(--line);
}
.kinds {
  border: 0;
}
@media (max-width: 699px) {
  .bench {
    display: block;
  }
  .middle {
    padding: 14px 16px;
  }
  .right {
    border-left: 0;
  }
}
</style>
