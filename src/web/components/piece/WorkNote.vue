<script setup lang="ts">
import { useLengths } from '../../composables/useLengths.ts';

/** Progress of long work, with a button to stop it, or why it found nothing. */
withDefaults(defineProps<{ busy: boolean; trouble: string; doing?: string }>(), { doing: 'Trying sizes' });
const emit = defineEmits<{ cancel: [] }>();
const lengths = useLengths();
</script>

<template>
  <p v-if="busy" class="busy" role="status">
    {{ doing }}
    <VBtn variant="text" @click="emit('cancel')">Stop</VBtn>
  </p>
  <VAlert v-if="trouble" type="error">{{ lengths.words(trouble) }}</VAlert>
</template>

<style scoped>
p {
  margin: 8px 0 0;
  padding: 6px 10px;
}
.busy {
  display: flex;
  align-items: center;
  justify-content: space-between;
  background: var(--press-soft);
}
</style>
