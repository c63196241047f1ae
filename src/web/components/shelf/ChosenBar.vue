<script setup lang="ts">
import { ref } from 'vue';
import type { Design } from '../../../contract/api.ts';
import PrintTogether from './PrintTogether.vue';
import { PLAN_LIMITS } from '../../../core/studio/slabPlan/keptPlan.ts';

/** What can be done with several chosen pieces at once. */
defineProps<{ chosen: readonly Design[]; busy: boolean }>();
const emit = defineEmits<{ plan: [each: number]; set: []; takeOff: []; all: [] }>();
const each = ref(1);
const printing = ref(false);
</script>

<template>
  <VFooter app class="chosen" elevation="6">
    <p role="status">
      <strong>{{ chosen.length }}</strong> chosen
    </p>
    <VBtn variant="text" @click="emit('all')">Choose all</VBtn>
    <span>of each</span>
    <VNumberInput
      v-model="each"
      class="bare each"
      aria-label="How many of each"
      :min="1"
      :max="PLAN_LIMITS.count.greatest"
      control-variant="hidden"
    />
    <VBtn variant="flat" :disabled="chosen.length === 0 || busy" @click="emit('plan', each)">Plan the slabs</VBtn>
    <VBtn :disabled="chosen.length === 0 || busy" @click="printing = true">Print together</VBtn>
    <VBtn :disabled="chosen.length === 0 || busy" @click="emit('set')">Put in a set</VBtn>
    <VBtn :disabled="chosen.length === 0 || busy" @click="emit('takeOff')">Take off the shelf</VBtn>
    <PrintTogether v-model="printing" :designs="chosen" />
  </VFooter>
</template>

<style scoped>
.chosen.v-footer {
  flex-wrap: wrap;
  gap: 8px 14px;
  background: var(--panel);
  border-top: 2px solid var(--press);
}
.each {
  flex: 0 0 76px;
}
</style>
