<script setup lang="ts">
import { mdiFitToPageOutline, mdiMinus, mdiPlus } from '@mdi/js';

/** Brings a drawing nearer or farther, and back to where all of it is seen. */
defineProps<{ near: number }>();
const emit = defineEmits<{ nearer: []; farther: []; fit: [] }>();
</script>

<template>
  <p class="zoom">
    <VBtn v-tooltip="'Nearer'" variant="text" :icon="mdiPlus" aria-label="Nearer" @click="emit('nearer')" />
    <VBtn
      v-tooltip="'Farther'"
      variant="text"
      :icon="mdiMinus"
      aria-label="Farther"
      :disabled="near <= 1"
      @click="emit('farther')"
    />
    <VBtn
      v-tooltip="'See all of it'"
      variant="text"
      :icon="mdiFitToPageOutline"
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
