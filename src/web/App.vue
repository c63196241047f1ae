<script setup lang="ts">
import { storeToRefs } from 'pinia';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import TopBar from './components/frame/TopBar.vue';
import { useFreshPage } from './composables/useFreshPage.ts';
import { useHeldPage } from './composables/useHeldPage.ts';
import { useShortcuts } from './composables/useShortcuts.ts';
import { DeviceStrip, fetchFrameSoon, FindDialog, KeysDialog, WindowAlerts } from './laterFrame.ts';
import { useConnection } from './stores/connection.ts';
import { useSettings } from './stores/settings.ts';

/** The frame of every place. */
const settings = useSettings();
const { light } = storeToRefs(settings);
const connection = useConnection();
const { down } = storeToRefs(connection);
const router = useRouter();
connection.signInBy(() => void router.push({ name: 'door', query: { to: router.currentRoute.value.fullPath } }));
const { stuck, reload } = useFreshPage(router);
const { newer, take } = useHeldPage();
/** Which of the frame's dialogs is open: opening one closes the other. */
const open = ref<'find' | 'keys' | null>(null);
const dialog = (name: 'find' | 'keys') =>
  computed({
    get: () => open.value === name,
    set: (now) => {
      if (now) open.value = name;
      else if (open.value === name) open.value = null;
    },
  });
/** Dialogs are mounted when they are first opened. */
const made = ref({ find: false, keys: false });
watch(open, (now) => {
  if (now) made.value[now] = true;
});
fetchFrameSoon();
const find = dialog('find');
const keys = dialog('keys');

/** Skip link: past the bar, to the page itself. */
const skip = () => document.getElementById('table')?.focus();

useShortcuts([
  { keys: 'ctrl+k', words: 'Find a piece, a place or a field', run: () => (find.value = true) },
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
    <a class="skip" href="#table" @click.prevent="skip">Skip to the table</a>
    <TopBar @find="find = true" @keys="keys = true" />
    <VMain id="table" class="frame" tag="div" tabindex="-1">
      <VAlert v-if="down" class="down" type="warning">
        The server does not answer. You can go on: changes are held in this browser and sent when it is back.
      </VAlert>
      <VAlert v-if="stuck" class="down" type="warning">
        {{ stuck }} <VBtn variant="flat" @click="reload">Load it again</VBtn>
      </VAlert>
      <VAlert v-if="newer && !stuck" class="down" type="info">
        A newer Fawn Table has come. What you changed is kept. <VBtn variant="flat" @click="take">Use it</VBtn>
      </VAlert>
      <RouterView />
    </VMain>
    <DeviceStrip />
    <WindowAlerts v-if="settings.alerts" />
    <FindDialog v-if="made.find" v-model="find" />
    <KeysDialog v-if="made.keys" v-model="keys" />
  </VApp>
</template>

<style scoped>
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  z-index: 2000;
  padding: 8px 14px;
  background: var(--panel);
}
.frame:focus {
  outline: none;
}
.frame {
  display: flex;
  flex-direction: column;
  min-height: 100vh;
  background: var(--ground);
}
.down {
  flex: none;
}
</style>
