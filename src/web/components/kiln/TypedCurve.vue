<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { curveText, readCurve } from '../../../core/studio/kiln/readCurve.ts';
import type { CurvePoint } from '../../../core/studio/kiln/schedule.ts';
import SheetDialog from '../frame/SheetDialog.vue';

/** What the kiln did, typed after the firing: a line for each reading. */
const open = defineModel<boolean>({ required: true });
const props = defineProps<{ curve: readonly CurvePoint[] }>();
const emit = defineEmits<{ curve: [points: readonly CurvePoint[]] }>();
const text = ref('');
watch(open, (now) => now && (text.value = curveText(props.curve)));
const read = computed(() => readCurve(text.value));
const fault = computed(() => (read.value.kind === 'fault' ? `Line ${read.value.line}: ${read.value.why}` : ''));

function keep(): void {
  if (read.value.kind !== 'curve') return;
  emit('curve', read.value.curve);
  open.value = false;
}
</script>

<template>
  <SheetDialog v-model="open" aria-label="Type what the kiln did" max-width="460" scrollable>
    <section class="sheet-card">
      <h2>What the kiln did</h2>
      <p>A line for each reading: hours from the switch, and °C.</p>
      <VTextarea
        v-model="text"
        label="Hours and °C"
        rows="8"
        auto-grow
        max-rows="16"
        placeholder="0:00 20&#10;2:30 120&#10;9:00 600"
        persistent-placeholder
        :error-messages="fault ? [fault] : []"
      />
      <div class="verbs">
        <VBtn variant="flat" :disabled="fault !== ''" @click="keep">Keep it</VBtn>
        <VBtn @click="open = false">Close</VBtn>
      </div>
    </section>
  </SheetDialog>
</template>

<style scoped>
:deep(textarea) {
  padding: 6px 10px;
}
p {
  margin: 4px 0 12px;
  color: var(--ink-soft);
}
.verbs {
  display: flex;
  gap: 10px;
  margin-top: 8px;
}
</style>
