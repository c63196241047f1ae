<script setup lang="ts">
import { ref, watch } from 'vue';
import { LIMITS } from '../../../core/target/target.ts';
import SheetDialog from '../frame/SheetDialog.vue';

/** The set that pieces are put into: an existing one, or a new name. */
const open = defineModel<boolean>({ required: true });
const props = defineProps<{ names: string; sets: readonly string[]; now: string | null }>();
const emit = defineEmits<{ put: [set: string | null] }>();
const name = ref<string | null>(null);
watch(open, () => (name.value = props.now), { immediate: true });

function put(set: string | null): void {
  open.value = false;
  emit('put', set?.trim() || null);
}
</script>

<template>
  <SheetDialog v-model="open" aria-label="Set">
    <VForm class="sheet-card" @submit.prevent="put(name)">
      <h2>Put {{ names }} in a set</h2>
      <VCombobox
        v-model="name"
        class="bare"
        :items="[...sets]"
        aria-label="Name of the set"
        placeholder="An order, a class, a service"
        :maxlength="LIMITS.nameLength.greatest"
        clearable
        autofocus
      />
      <p class="buttons">
        <VBtn variant="flat" type="submit" :disabled="!name?.trim()">Put in this set</VBtn>
        <VBtn v-if="now" @click="put(null)">Take out of “{{ now }}”</VBtn>
        <VBtn variant="text" @click="open = false">Cancel</VBtn>
      </p>
    </VForm>
  </SheetDialog>
</template>

<style scoped>
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding-top: 14px;
}
</style>
