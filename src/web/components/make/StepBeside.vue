<script setup lang="ts">
import { computed } from 'vue';
import type { Air } from '../../../core/studio/drying/air.ts';
import type { NamedPart } from '../../../core/studio/drying/stress.ts';
import DryEvenly from './DryEvenly.vue';
import type { MakingInHand } from './useMaking.ts';
import WaitBeside from './WaitBeside.vue';

/** What to look for, what is at hand, what to beware of, and the wait that comes next. */
const props = defineProps<{ hand: MakingInHand; air: Air; parts: readonly NamedPart[] }>();
const step = computed(() => props.hand.shown.value.step);
/** The next wait, told ahead once its time can be known. */
const next = computed(() => {
  const { steps, shown } = props.hand;
  const place = steps.value.findIndex(({ id }) => id === shown.value.step?.id);
  return steps.value.slice(place + 1).find(({ waits }) => waits);
});
const tools = computed(() => {
  const text = step.value?.tools.join(', ') ?? '';
  return text && `${text[0]?.toUpperCase()}${text.slice(1)}`;
});
</script>

<template>
  <div v-if="step" class="beside">
    <WaitBeside v-if="step.waits" :hand="hand" />
    <DryEvenly
      v-if="step.waits && hand.wait.value"
      :part="step.waits.part"
      :air="air"
      :wait="hand.wait.value"
      :now="hand.nowMs.value"
      :parts="parts"
    />
    <template v-if="step.until">
      <h2>Look for</h2>
      <p class="look">{{ step.until }}</p>
    </template>
    <template v-if="tools">
      <h2>At hand</h2>
      <p class="soft">{{ tools }}</p>
    </template>
    <VAlert v-if="step.caution" type="warning">{{ step.caution }}</VAlert>
    <p v-if="step.schools" class="soft">{{ step.schools }}</p>
    <template v-if="!step.waits && next">
      <h2>Then it waits</h2>
      <p class="soft">{{ next.title }}: {{ next.until }}</p>
    </template>
  </div>
</template>

<style scoped>
.beside {
  display: grid;
  gap: 10px;
  align-content: start;
}
h2,
.beside :deep(h2) {
  font-size: 19px;
}
p {
  margin: 0;
}
.look {
  font-size: 19px;
  line-height: 1.35;
}
.soft {
  color: var(--ink-soft);
}
</style>
