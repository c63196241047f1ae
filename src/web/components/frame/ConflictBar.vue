<script setup lang="ts">
/** Something that two people changed: the slot shows both sides, and neither is lost. */
defineEmits<{ settle: [way: 'mine' | 'both'] }>();
</script>

<template>
  <section class="conflict" role="alert">
    <p><slot /></p>
    <div class="ways">
      <VBtn variant="flat" @click="$emit('settle', 'mine')">Put mine on top</VBtn>
      <VBtn @click="$emit('settle', 'both')">Take theirs, keep mine as a copy</VBtn>
    </div>
  </section>
</template>

<style scoped>
.conflict {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  padding: 10px 20px;
  background: var(--care);
  border-bottom: 2px solid var(--care-edge);
}
p {
  margin: 0;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
