<script setup lang="ts">
import { ref, watch } from 'vue';
import type { Making } from '../../../contract/makings.ts';
import { localDay } from '../../../core/day.ts';
import { useMakings } from '../../stores/makings.ts';
import SheetDialog from '../frame/SheetDialog.vue';
import AirFields from './AirFields.vue';

/** Changes what a making is called, when it is due and what air it dries in: its windows move at once. */
const open = defineModel<boolean>({ required: true });
const props = defineProps<{ making: Making }>();
const makings = useMakings();

const dayOf = (at: string | null) => (at ? localDay(new Date(at)) : '');
const name = ref('');
const due = ref('');
const air = ref(props.making.air);
watch(
  open,
  () => {
    name.value = props.making.name;
    due.value = dayOf(props.making.dueAt);
    air.value = props.making.air;
  },
  { immediate: true },
);

async function keep(): Promise<void> {
  const dueAt = due.value ? new Date(`${due.value}T18:00`).toISOString() : null;
  const same = due.value === dayOf(props.making.dueAt);
  const kept = await makings.change({
    name: name.value.trim() || props.making.name,
    dueAt: same ? props.making.dueAt : dueAt,
    air: air.value,
  });
  if (kept) open.value = false;
}
</script>

<template>
  <SheetDialog v-model="open" aria-label="Change this making" scrollable>
    <VForm class="sheet-card" @submit.prevent="keep">
      <h2>Change this making</h2>
      <VTextField v-model="name" label="Name" name="making-name" class="words" maxlength="120" />
      <VTextField v-model="due" label="Due, if it is" name="making-due" class="words" type="date" />
      <h3>The air it dries in</h3>
      <AirFields :air="air" @change="(next) => (air = next)" />
      <VAlert v-if="makings.trouble" type="error" role="alert">{{ makings.trouble }}</VAlert>
      <div class="pair">
        <VBtn @click="open = false">Leave it</VBtn>
        <VBtn variant="flat" type="submit">Keep</VBtn>
      </div>
    </VForm>
  </SheetDialog>
</template>

<style scoped>
.sheet-card {
  display: grid;
  gap: 12px;
}
.words :deep(input) {
  min-width: min(56vw, 300px);
}
</style>
