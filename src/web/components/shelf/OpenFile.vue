<script setup lang="ts">
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import type { Target } from '../../../core/piece/target.ts';
import { useShelf } from '../../stores/shelf.ts';

/** Reads a design file onto the shelf and opens it. */
const emit = defineEmits<{ trouble: [words: string] }>();
const shelf = useShelf();
const router = useRouter();
// A button is what is seen: a file field of its own has no room here.
const file = ref<HTMLInputElement | null>(null);

async function readFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const chosen = input.files?.[0];
  input.value = '';
  if (!chosen) return;
  emit('trouble', '');
  try {
    const design = await shelf.create(JSON.parse(await chosen.text()) as Target);
    if (design) await router.push({ name: 'piece', params: { id: design.id } });
  } catch {
    emit('trouble', `${chosen.name} is not a piece file: it is not JSON.`);
  }
}
</script>

<template>
  <VBtn @click="file?.click()">Open a file</VBtn>
  <input
    ref="file"
    class="unseen"
    type="file"
    accept=".json,application/json"
    aria-label="Piece file"
    tabindex="-1"
    @change="readFile"
  />
</template>
