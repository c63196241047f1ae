<script setup lang="ts">
import { mdiKeyboardOutline, mdiMagnify, mdiMenu } from '@mdi/js';
import { ref } from 'vue';
import { useRoute } from 'vue-router';
import { useDisplay } from 'vuetify';
import { PlacesDrawer } from '../../laterFrame.ts';
import TableSettings from './TableSettings.vue';

/** The places that are always at hand. */
const PLACES = [
  { name: 'shelf', title: 'Shelf' },
  { name: 'today', title: 'Today' },
  { name: 'clay', title: 'Clay' },
  { name: 'kit', title: 'Kit' },
  { name: 'records', title: 'Records' },
] as const;

const places = [
  ...PLACES.map(({ name, title }) => ({ title, to: { name } })),
  { title: 'Kiln', to: { name: 'kiln' } },
  { title: 'From what you own', to: { name: 'from' } },
];

/** Places that put a heading of their own into the bar. */
const HEADED: readonly string[] = ['piece', 'clay', 'kit'];

/** Name, places, units, light, find and help; on a narrow screen all but the heading is in a drawer. */
const emit = defineEmits<{ find: []; keys: [] }>();
const { smAndDown: narrow } = useDisplay();
const route = useRoute();
const drawer = ref(false);

function find(): void {
  drawer.value = false;
  emit('find');
}
</script>

<template>
  <VAppBar class="bar" tag="header" absolute flat height="56">
    <template v-if="narrow">
      <VBtn variant="text" :icon="mdiMenu" aria-label="Places and units" @click="drawer = true" />
      <RouterLink v-if="!HEADED.includes(String(route.name))" class="brand serif" :to="{ name: 'shelf' }"
        >Fawn Table</RouterLink
      >
    </template>
    <template v-else>
      <RouterLink class="brand serif" :to="{ name: 'shelf' }">Fawn Table</RouterLink>
      <nav aria-label="Places">
        <RouterLink v-for="place in PLACES" :key="place.name" class="place" :to="{ name: place.name }">
          {{ place.title }}
        </RouterLink>
      </nav>
    </template>
    <div id="place-heading" class="heading" />
    <template v-if="!narrow">
      <TableSettings />
      <VBtn v-tooltip="'Find, Ctrl K'" variant="text" :icon="mdiMagnify" aria-label="Find" @click="find" />
      <VBtn
        v-tooltip="'Shortcuts, ?'"
        variant="text"
        :icon="mdiKeyboardOutline"
        aria-label="Shortcuts"
        @click="$emit('keys')"
      />
    </template>
  </VAppBar>
  <PlacesDrawer v-if="narrow" v-model="drawer" :places="places" @find="find" />
</template>

<style scoped>
.bar.v-toolbar {
  background: var(--bar);
  color: var(--bar-ink);
}
.bar :deep(.v-toolbar__content) {
  gap: 6px;
  padding: 0 14px;
}
.bar :deep(.v-btn) {
  color: inherit;
}
.brand {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  font-size: 20px;
  white-space: nowrap;
  color: var(--bar-ink);
  text-decoration: none;
}
nav {
  display: flex;
}
.place {
  min-width: 44px;
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0 10px;
  color: var(--bar-soft);
}
.place.router-link-active {
  color: var(--bar-ink);
  text-underline-offset: 5px;
}
.heading {
  flex: 1;
  min-width: 0;
}
.bar :focus-visible {
  outline-color: #ffd98a;
  outline-offset: -3px;
}
@media (max-width: 1199px) {
  .place {
    padding: 0 6px;
  }
  .bar :deep(.v-toolbar__content) {
    gap: 2px;
    padding: 0 8px;
  }
}
@media print {
  .bar {
    display: none;
  }
}
</style>
