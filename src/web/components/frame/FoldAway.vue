<script setup lang="ts">
/** What is rarely needed, under one line that opens it. */
defineProps<{ title: string }>();
</script>

<template>
  <VExpansionPanels>
    <VExpansionPanel :title="title"
      ><template #text><slot /></template
    ></VExpansionPanel>
  </VExpansionPanels>
</template>
