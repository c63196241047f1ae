<script setup lang="ts">
import { computed } from 'vue';
import type { Kept } from '../../../contract/records.ts';
import { counted } from '../records/findingWords.ts';
import DryNow from './DryNow.vue';

/** All firings, newest first, and the way to a new one. */
const props = defineProps<{ firings: readonly Kept<'firing'>[] }>();
defineEmits<{ begin: []; open: [firing: string] }>();
const newestFirst = computed(() => [...props.firings].sort((one, other) => (one.body.day < other.body.day ? 1 : -1)));
</script>

<template>
  <section class="all">
    <h1 class="serif">Kiln</h1>
    <p>
      Say what is to be fired, and it is packed on your shelves; what the kiln did, and how each piece came out, is
      written down with it.
    </p>
    <VBtn variant="flat" size="large" @click="$emit('begin')">A new firing</VBtn>
    <DryNow @taken="(id) => $emit('open', id)" />
    <ul>
      <li v-for="{ id, body } in newestFirst" :key="id">
        <RouterLink :to="{ name: 'kiln', params: { id } }">
          <span class="serif">{{ body.name }}</span>
          <span>{{ body.kind }}, {{ counted(body.wanted.length, 'piece') }}</span>
        </RouterLink>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.all {
  width: 100%;
  max-width: 640px;
  padding: 28px 20px;
  margin: 0 auto;
}
p {
  margin-bottom: 14px;
}
ul {
  margin-top: 14px;
  padding: 0;
  list-style: none;
}
a {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
  min-height: 56px;
  color: var(--ink);
  text-decoration: none;
  border-bottom: 1px dotted var(--line);
}
</style>
