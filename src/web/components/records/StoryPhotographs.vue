<script setup lang="ts">
import { ref } from 'vue';
import type { Photograph } from '../../../contract/makings.ts';
import type { Target } from '../../../core/target/target.ts';
import DrawingOver from './DrawingOver.vue';

/** Photographs of a story's pieces; the drawing can be laid over each. */
defineProps<{ photographs: readonly Photograph[]; target: Target | null; name: string }>();
const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
const chosen = ref<Photograph | null>(null);
const open = ref(false);
const src = ({ hash }: Photograph) => `/api/photographs/${hash}/full.jpg`;
function lay(one: Photograph): void {
  chosen.value = one;
  open.value = true;
}
</script>

<template>
  <ul class="pictures" aria-label="Photographs">
    <li v-for="one in photographs" :key="one.id">
      <img :src="src(one)" :alt="`Photograph of piece ${one.number}, ${day.format(new Date(one.at))}`" />
      <VBtn v-if="target" class="lay" @click="lay(one)">Lay the drawing over it</VBtn>
    </li>
  </ul>
  <DrawingOver
    v-if="chosen && target"
    v-model="open"
    :photograph="chosen.id"
    :src="src(chosen)"
    :target="target"
    :name="name"
  />
</template>

<style scoped>
.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  gap: 6px;
  justify-items: start;
}
img {
  height: 220px;
  max-width: 100%;
  object-fit: contain;
}
@media print {
  img {
    height: 44mm;
  }
  .lay {
    display: none;
  }
}
</style>
