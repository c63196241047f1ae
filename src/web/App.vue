<script setup lang="ts">
import { storeToRefs } from 'pinia';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import FindDialog from './components/frame/FindDialog.vue';
import KeysDialog from './components/frame/KeysDialog.vue';
import TopBar from './components/frame/TopBar.vue';
import { useFreshPage } from './composables/useFreshPage.ts';
import { useShortcuts } from './composables/useShortcuts.ts';
import { useConnection } from './stores/connection.ts';
import { useSettings } from './stores/settings.ts';

/** The frame of every place. */
const settings = useSettings();
const { light } = storeToRefs(settings);
const { down } = storeToRefs(useConnection());
const router = useRouter();
const { stuck, reload } = useFreshPage(router);
/** The one dialog of the frame that is open: opening the other closes it. */
const open = ref<'find' | 'keys' | null>(null);
const dialog = (name: 'find' | 'keys') =>
  computed({
    get: () => open.value === name,
    set: (now) => {
      if (now) open.value = name;
      else if (open.value === name) open.value = null;
    },
  });
const find = dialog('find');
const keys = dialog('keys');

useShortcuts([
  { keys: 'ctrl+k', words: 'Find a place or a design', run: () => (find.value = true) },
  { keys: '?', words: 'Show the shortcuts', run: () => (keys.value = true) },
  { keys: 's', words: 'Go to the shelf', run: () => void router.push({ name: 'shelf' }) },
  { keys: 'c', words: 'Go to the clay book', run: () => void router.push({ name: 'clay' }) },
  { keys: 'k', words: 'Go to the kit', run: () => void router.push({ name: 'kit' }) },
  { keys: 'u', words: 'Next unit: mm, cm, inch', run: settings.nextUnit },
  { keys: 'l', words: 'Day or evening light', run: settings.turnLight },
]);
</script>

<template>
  <VApp :theme="light">
    <div class="frame">
      <TopBar @find="find = true" @keys="keys = true" />
      <p v-if="down" class="down" role="alert">
        The server does not answer. You can go on: changes are held in this browser and sent when it is back.
      </p>
      <p v-if="stuck" class="down" role="alert">
        {{ stuck }} <button type="button" class="press" @click="reload">Load it again</button>
      </p>
      <RouterView />
    </div>
    <FindDialog v-model="find" />
    <KeysDialog v-model="keys" />
  </VApp>
</template>

<style scoped>
.frame {
  display: flex;
  flex-direction: column;
  min-height: 100vh;
  background: var(--ground);
}
.down {
  margin: 0;
  padding: 10px 20px;
  background: var(--care);
  border-bottom: 2px solid var(--care-edge);
}
</style>
