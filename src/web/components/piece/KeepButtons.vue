<script setup lang="ts">
import type { Keep } from '../../../core/studio/reverse/scaled.ts';

/** What is kept while the rest of the piece changes. */
defineProps<{ keeps: readonly Keep[] }>();
const emit = defineEmits<{ keep: [keep: Keep] }>();

const WORDS: Readonly<Record<Keep, string>> = {
  proportions: 'Keep its proportions',
  height: 'Keep its height',
  width: 'Keep its width',
  rim: 'Keep its rim',
  foot: 'Keep its foot',
};
</script>

<template>
  <div class="keeps">
    <VBtn v-for="keep in keeps" :key="keep" @click="emit('keep', keep)">
      {{ WORDS[keep] }}
    </VBtn>
  </div>
</template>

<style scoped>
.keeps {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
