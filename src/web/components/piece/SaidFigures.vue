<script setup lang="ts">
import { toRef } from 'vue';
import type { Figure } from './figures.ts';
import { useSaid } from './useSaid.ts';

/** The figures in words for a screen reader, once typing stops. */
const props = defineProps<{ figures: readonly Figure[] }>();
const said = useSaid(toRef(props, 'figures'));
</script>

<template>
  <p class="unseen" aria-live="polite">{{ said }}</p>
</template>
