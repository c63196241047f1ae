<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue';
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router';
import { useDisplay } from 'vuetify';
import type { KitItem } from '../../core/studio/kit/kit.ts';
import BookConflicts from '../components/frame/BookConflicts.vue';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import SheetDialog from '../components/frame/SheetDialog.vue';
import AddToKit from '../components/kit/AddToKit.vue';
import ChosenThing from '../components/kit/ChosenThing.vue';
import DevicesPart from '../components/kit/DevicesPart.vue';
import HouseWay from '../components/kit/HouseWay.vue';
import KitShelf from '../components/kit/KitShelf.vue';
import KitTable from '../components/kit/KitTable.vue';
import StudioArchive from '../components/kit/StudioArchive.vue';
import { useLengths } from '../composables/useLengths.ts';
import { useShortcuts } from '../composables/useShortcuts.ts';
import { useKit } from '../stores/records.ts';

/** What the potter owns, and how the house works. */
const kit = useKit();
const lengths = useLengths();
const route = useRoute();
const router = useRouter();
const adding = ref(false);

const shown = computed(() => kit.list.find(({ id }) => id === route.params['id']));

/** Summary of an item. */
const told = ({ sizes }: KitItem) =>
  Object.values(sizes)
    .map((mm) => lengths.figure(mm))
    .join(' × ');

/** On a phone the fields of an item open over the list. */
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
        <KitShelf :items="kit.list" :shown="shown?.id" @add="adding = true" />
        <KitTable />
        <HouseWay />
        <DevicesPart />
        <StudioArchive />
      </div>
      <aside class="right" :aria-label="phone ? 'Caution' : 'The thing that is chosen'">
        <template v-if="!phone">
          <ChosenThing v-if="shown" :item="shown" />
          <p v-else>Press a thing to change its figures.</p>
        </template>
        <VAlert type="warning" role="note">
          Rollers pinch: keep fingers, sleeves and hair away from the gap, and stop it before you reach in.
        </VAlert>
      </aside>
    </div>
    <SheetDialog v-if="phone" v-model="changing" aria-label="The thing that is chosen">
      <section class="sheet-card">
        <ChosenThing v-if="shown" :item="shown" />
        <VBtn variant="flat" @click="changing = false">Done</VBtn>
      </section>
    </SheetDialog>
    <AddToKit v-model="adding" />
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
.right {
  display: grid;
  gap: 18px;
  align-content: start;
  padding: 18px;
  border-left: 1px solid var(--line);
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
