<script setup lang="ts">
import { mdiFitToPageOutline, mdiMinus, mdiPlus } from '@mdi/js';

/** Brings a drawing nearer or farther, and back to where all of it is seen. */
defineProps<{ near: number }>();
const emit = defineEmits<{ nearer: []; farther: []; fit: [] }>();
</script>

<template>
  <p class="zoom">
    <VBtn variant="text" :icon="mdiPlus" title="Nearer" aria-label="Nearer" @click="emit('nearer')" />
    <VBtn
      variant="text"
      :icon="mdiMinus"
      title="Farther"
      aria-label="Farther"
      :disabled="near <= 1"
      @click="emit('farther')"
    />
    <VBtn
      variant="text"
      :icon="mdiFitToPageOutline"
      title="See all of it"
      aria-label="See all of it"
      :disabled="near === 1"
      @click="emit('fit')"
    />
  </p>
</template>

<style scoped>
.zoom {
  display: flex;
  background: var(--panel);
  border-radius: 10px;
}
</style>
