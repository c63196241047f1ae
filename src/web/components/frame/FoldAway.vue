<script setup lang="ts">
import { ref, watch } from 'vue';
import { led } from '../../composables/useLead.ts';

/** Rarely needed fields, folded under one line that says what they are. */
const props = defineProps<{ title: string; holds?: string | undefined }>();
const open = ref<number | undefined>(undefined);
watch(led, (to) => to?.fold === props.title && (open.value = 0), { immediate: true });
</script>

<template>
  <VExpansionPanels v-model="open">
    <VExpansionPanel>
      <template #title>
        <span class="title">{{ title }}</span>
        <span v-if="holds" class="holds">{{ holds }}</span>
      </template>
      <template #text><slot /></template>
    </VExpansionPanel>
  </VExpansionPanels>
</template>

<style scoped>
.title {
  flex: 1 1 auto;
}
.holds {
  padding: 0 6px 0 10px;
  color: var(--ink);
  text-align: right;
}
</style>
