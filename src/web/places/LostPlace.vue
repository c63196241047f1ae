<template>
  <main class="lost">
    <h1>There is nothing at this address</h1>
    <p>The piece may have been taken off the shelf, or the address was cut short.</p>
    <RouterLink class="press" :to="{ name: 'shelf' }">Back to the shelf</RouterLink>
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
