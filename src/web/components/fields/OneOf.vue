<script setup lang="ts" generic="T extends string">
/** One of a few choices, side by side in a bar: the chosen one is underlined. */
defineProps<{ label: string; value: T; choices: readonly { readonly value: T; readonly words: string }[] }>();
const emit = defineEmits<{ choose: [value: T] }>();
</script>

<template>
  <VBtnToggle
    role="group"
    :aria-label="label"
    :model-value="value"
    @update:model-value="(now: T) => emit('choose', now)"
  >
    <VBtn v-for="one in choices" :key="one.value" :value="one.value" :aria-pressed="one.value === value">
      {{ one.words }}
    </VBtn>
  </VBtnToggle>
</template>
