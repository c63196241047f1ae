<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { Design } from '../../../contract/api.ts';
import SheetDialog from '../frame/SheetDialog.vue';

/** One of the pieces on the shelf, found by its name. */
const open = defineModel<boolean>({ required: true });
const props = defineProps<{ designs: readonly Design[] }>();
const emit = defineEmits<{ choose: [design: Design] }>();

const words = ref('');
watch(open, () => (words.value = ''));
const found = computed(() => {
  const asked = words.value.trim().toLowerCase();
  return props.designs.filter(({ name }) => name.toLowerCase().includes(asked));
});
function choose(design: Design): void {
  open.value = false;
  emit('choose', design);
}
</script>

<template>
  <SheetDialog v-model="open" aria-label="Which piece" scrollable>
    <section class="sheet-card">
      <h2>Which piece</h2>
      <VTextField
        v-model="words"
        class="bare"
        type="search"
        aria-label="Find a piece"
        placeholder="Find a piece"
        autofocus
        @keydown.enter="found[0] && choose(found[0])"
      />
      <p v-if="found.length === 0">
        {{ designs.length === 0 ? 'Every piece of the shelf is in the order.' : 'No piece is called that.' }}
      </p>
      <VList aria-label="Pieces">
        <VListItem v-for="design in found" :key="design.id" :title="design.name" @click="choose(design)" />
      </VList>
    </section>
  </SheetDialog>
</template>
