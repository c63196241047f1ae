<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Kept } from '../../../contract/records.ts';
import { clayPercent } from './clayPercent.ts';

/** The clays of the book, each with how much it shrinks. */
const props = defineProps<{ clays: readonly Kept<'clay'>[]; shown: string }>();
const emit = defineEmits<{ add: [] }>();
const words = ref('');
const found = computed(() => {
  const asked = words.value.trim().toLowerCase();
  return props.clays.filter(({ body }) => body.name.toLowerCase().includes(asked));
});
</script>

<template>
  <nav aria-label="Clays">
    <VTextField
      v-if="clays.length > 6"
      v-model="words"
      class="bare"
      type="search"
      aria-label="Find a clay"
      placeholder="Find a clay"
    />
    <ul>
      <li v-for="clay in found" :key="clay.id">
        <RouterLink
          :to="{ name: 'clay', params: { id: clay.id } }"
          :class="{ here: clay.id === shown }"
          :aria-current="clay.id === shown ? 'page' : undefined"
          :data-clay="clay.body.name"
        >
          <span class="serif">{{ clay.body.name }}</span>
          <strong>{{ clayPercent(clay.body) }}</strong>
        </RouterLink>
      </li>
      <li v-if="found.length === 0" class="none">No clay is called that.</li>
    </ul>
    <VBtn @click="emit('add')">Write down a clay</VBtn>
  </nav>
</template>

<style scoped>
input {
  width: 100%;
  min-height: 44px;
  padding: 4px 10px;
  border: 1.5px solid var(--line);
  border-radius: 8px;
  background: var(--panel);
}
ul {
  list-style: none;
  padding: 0;
  margin-bottom: 12px;
}
a {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  min-height: 52px;
  padding: 4px 10px;
  border-bottom: 1px solid var(--line);
  color: var(--ink);
  text-decoration: none;
  font-size: 17px;
}
a strong {
  white-space: nowrap;
}
.here {
  background: var(--press-soft);
  border-left: 4px solid var(--press);
}
.none {
  padding: 12px;
  color: var(--ink-soft);
}
</style>
