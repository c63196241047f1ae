<script setup lang="ts">
import { useObjectUrl } from '@vueuse/core';

/** A picture that only this browser has. */
const props = defineProps<{ picture: Blob; alt: string }>();
const url = useObjectUrl(() => props.picture);
</script>

<template>
  <img :src="url" :alt="alt" />
</template>
