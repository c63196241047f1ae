<script setup lang="ts">
/** What is rarely needed, under one line that opens it and tells what it holds. */
defineProps<{ title: string; holds?: string | undefined }>();
</script>

<template>
  <VExpansionPanels>
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
