<script setup lang="ts">
import { mdiMagnify } from '@mdi/js';
import type { RouteLocationRaw } from 'vue-router';
import TableSettings from './TableSettings.vue';

/** Places, find and units, where the bar has no room for them. */
const open = defineModel<boolean>({ required: true });
defineProps<{ places: readonly { readonly title: string; readonly to: RouteLocationRaw }[] }>();
defineEmits<{ find: [] }>();
</script>

<template>
  <VNavigationDrawer v-model="open" temporary aria-label="Places and units">
    <p class="name serif">Fawn Table</p>
    <VList nav aria-label="Places">
      <VListItem v-for="place in places" :key="place.title" :title="place.title" :to="place.to" />
      <VListItem title="Find" :prepend-icon="mdiMagnify" @click="$emit('find')" />
    </VList>
    <TableSettings class="units" />
  </VNavigationDrawer>
</template>

<style scoped>
.name {
  padding: 18px 18px 4px;
  font-size: 20px;
}
.units {
  padding: 12px 14px;
}
</style>
