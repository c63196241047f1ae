<script setup lang="ts">
import { ref } from 'vue';

/** A button that reads a file, with what it accepts and why the last file was refused. */
defineProps<{ label: string; name: string; accept: string; note: string; trouble: string }>();
const emit = defineEmits<{ read: [file: File] }>();
/** Emptied after each read, so that the same file can be read again. */
const file = ref<File[]>([]);

function onChange(chosen: File | readonly File[] | null): void {
  const [first] = [chosen ?? []].flat();
  file.value = [];
  if (first) emit('read', first);
}
</script>

<template>
  <div>
    <VFileUpload
      class="upload"
      :title="label"
      :aria-label="label"
      :name="name"
      :accept="accept"
      :model-value="file"
      density="compact"
      hide-details="auto"
      :error-messages="trouble"
      @update:model-value="onChange"
    />
    <p class="note">{{ note }}</p>
  </div>
</template>

<style scoped>
/* The browser's own file field is hidden, and must not be larger than what is shown. */
:deep(input[type='file']) {
  max-width: 100%;
}
.note {
  padding: 4px 0 8px;
  font-size: 15px;
  color: var(--ink-soft);
}
</style>
