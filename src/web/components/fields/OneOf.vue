<script setup lang="ts" generic="T extends string">
/** One of a few ways, side by side in a bar: the pressed one is underlined. */
defineProps<{ label: string; value: T; choices: readonly { readonly value: T; readonly words: string }[] }>();
const emit = defineEmits<{ choose: [value: T] }>();
</script>

<template>
  <div class="one-of" role="group" :aria-label="label">
    <button
      v-for="one in choices"
      :key="one.value"
      type="button"
      :aria-pressed="one.value === value"
      @click="emit('choose', one.value)"
    >
      {{ one.words }}
    </button>
  </div>
</template>

<style scoped>
.one-of {
  display: flex;
  flex-wrap: wrap;
}
button {
  min-height: 44px;
  padding: 0 12px;
  font-weight: 600;
  border-bottom: 3px solid transparent;
}
button[aria-pressed='true'] {
  color: var(--press);
  border-bottom-color: var(--press);
}
</style>
