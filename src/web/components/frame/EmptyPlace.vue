<script setup lang="ts">
/** A place that has nothing to show yet, or failed to load: what happened, what to do about it, and a link onward. */
withDefaults(defineProps<{ title: string; words?: string; heading?: 'h1' | 'h2' }>(), { words: '', heading: 'h2' });
</script>

<template>
  <VEmptyState>
    <template #media><slot name="media" /></template>
    <template #title>
      <component :is="heading">{{ title }}</component>
    </template>
    <template v-if="words" #text>{{ words }}</template>
    <template v-if="$slots['default']" #actions><slot /></template>
  </VEmptyState>
</template>
