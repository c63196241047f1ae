<script setup lang="ts" generic="T extends string">
import type { Choice } from './choice.ts';

/** The choices, each with what it is for and why potters differ. */
defineProps<{ label: string; value: T; choices: readonly Choice<T>[] }>();
const emit = defineEmits<{ choose: [value: T] }>();
</script>

<template>
  <VList lines="three" role="listbox" :aria-label="label">
    <VListItem
      v-for="choice in choices"
      :key="choice.value"
      class="way"
      role="option"
      :active="choice.value === value"
      :aria-selected="choice.value === value"
      :title="choice.title"
      :subtitle="choice.why"
      @click="emit('choose', choice.value)"
    >
      <template v-if="$slots['drawing']" #prepend><slot name="drawing" :choice="choice" /></template>
    </VListItem>
  </VList>
</template>

<style scoped>
.way {
  margin-bottom: 6px;
  border: 1.5px solid var(--line);
}
.way.v-list-item--active {
  border-color: var(--press);
}
.way :deep(.v-list-item__prepend) {
  padding-right: 16px;
}
</style>
