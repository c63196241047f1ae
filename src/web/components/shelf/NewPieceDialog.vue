<script setup lang="ts">
import type { FormKind } from '../../../core/target/target.ts';
import SheetDialog from '../frame/SheetDialog.vue';
import FormGrid from '../piece/FormGrid.vue';

/** Chooses the form of a new piece, or a way to begin from something that is already owned. */
const open = defineModel<boolean>({ required: true });
defineProps<{ busy: boolean }>();
const emit = defineEmits<{ choose: [kind: FormKind] }>();
</script>

<template>
  <SheetDialog v-model="open" aria-label="New piece" max-width="820" scrollable>
    <section class="sheet-card" :aria-busy="busy">
      <h2>What will it be?</h2>
      <FormGrid @choose="(kind) => emit('choose', kind)" />
      <p class="own">
        Or start from a pipe, cutter, template, mould or sheet that you already have:
        <VBtn :to="{ name: 'from' }">From what you own</VBtn>
      </p>
    </section>
  </SheetDialog>
</template>

<style scoped>
h2 {
  padding-bottom: 10px;
}
.own {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  padding-top: 14px;
}
</style>
