<template>
  <main class="lost">
    <h1>There is nothing at this address</h1>
    <p>The piece may have been taken off the shelf, or the address was cut short.</p>
    <VBtn variant="flat" :to="{ name: 'shelf' }">Back to the shelf</VBtn>
  </main>
</template>

<style scoped>
.lost {
  display: grid;
  gap: 14px;
  justify-items: start;
  max-width: 640px;
  margin: 0 auto;
  padding: 80px 24px;
}
</style>
