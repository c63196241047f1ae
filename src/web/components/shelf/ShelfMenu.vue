<script setup lang="ts">
/** What can be done to a design on the shelf. */
defineProps<{ id: string }>();
defineEmits<{ rename: []; duplicate: []; takeOff: []; set: [] }>();
</script>

<template>
  <VList class="sheet-card" role="menu">
    <VListItem role="menuitem" title="Rename" @click="$emit('rename')" />
    <VListItem role="menuitem" title="Duplicate" @click="$emit('duplicate')" />
    <VListItem role="menuitem" title="Put in a set" @click="$emit('set')" />
    <VListItem role="menuitem" title="Save as a file" :href="`/api/designs/${id}/file`" download />
    <VListItem role="menuitem" title="Take off the shelf" @click="$emit('takeOff')" />
  </VList>
</template>
