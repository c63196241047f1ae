<script setup lang="ts">
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import type { Target } from '../../../core/target/target.ts';
import { useShelf } from '../../stores/shelf.ts';

/** Reads the file of a piece onto the shelf and opens it. */
const emit = defineEmits<{ trouble: [words: string] }>();
const shelf = useShelf();
const router = useRouter();
/** Emptied after each read, so that the same file can be read again. */
const files = ref<File[]>([]);
/** Shown as a button: there is no room here for a drop area. */
const upload = ref<HTMLElement | null>(null);
const choose = () => upload.value?.querySelector<HTMLInputElement>('input')?.click();

async function readFile(chosen: File | readonly File[] | null): Promise<void> {
  const [file] = [chosen ?? []].flat();
  files.value = [];
  if (!file) return;
  emit('trouble', '');
  try {
    const design = await shelf.create(JSON.parse(await file.text()) as Target);
    if (design) await router.push({ name: 'piece', params: { id: design.id } });
  } catch {
    emit('trouble', `${file.name} is not a piece file: it is not JSON.`);
  }
}
</script>

<template>
  <span ref="upload">
    <VFileUpload
      :model-value="files"
      accept=".json,application/json"
      aria-label="Piece file"
      hide-details
      @update:model-value="readFile"
    >
      <VBtn @click="choose">Open a file</VBtn>
    </VFileUpload>
  </span>
</template>
