<script setup lang="ts">
import EmptyPlace from '../components/frame/EmptyPlace.vue';
</script>

<template>
  <main>
    <EmptyPlace
      heading="h1"
      title="There is nothing at this address"
      words="The piece may have been taken off the shelf, or the address was cut short."
    >
      <VBtn variant="flat" :to="{ name: 'shelf' }">Back to the shelf</VBtn>
    </EmptyPlace>
  </main>
</template>
