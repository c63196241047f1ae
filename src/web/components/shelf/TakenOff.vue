<script setup lang="ts">
import { ref, watch } from 'vue';
import { useShelf } from '../../stores/shelf.ts';

/** Says what was just taken off the shelf, with a button to put it back. */
const shelf = useShelf();
/** The last message takes the place of the one before. */
const said = ref<{ text: string; timeout: number }[]>([]);
watch(
  () => shelf.takenOff,
  ([first, ...others]) => {
    if (!first) return;
    const gone = others.length === 0 ? `“${first.name}” was` : `${1 + others.length} pieces were`;
    said.value.push({ text: `${gone} taken off the shelf.`, timeout: 12_000 });
  },
  { immediate: true },
);
</script>

<template>
  <VSnackbarQueue v-model="said" total-visible="1" display-strategy="overflow" location="bottom">
    <template #actions="{ props: message }">
      <VBtn variant="text" class="undo" @click="(message.onClick(), shelf.putBack())">Put back</VBtn>
    </template>
  </VSnackbarQueue>
</template>
