<script setup lang="ts">
import { mdiCheckboxBlankOutline, mdiCheckboxMarked, mdiClose } from '@mdi/js';
import { computed } from 'vue';
import type { MakingInHand } from './useMaking.ts';

/** Who has done this step: a press ticks it for one person, another press removes the tick. */
const props = defineProps<{ hand: MakingInHand }>();

const step = computed(() => props.hand.shown.value.step);
const lines = computed(() =>
  props.hand.names.value.map((name, index) => {
    const number = index + 1;
    const { state } = step.value ? props.hand.stateOf(step.value.id, number) : { state: 'open' };
    return { name, number, state };
  }),
);
const done = computed(() => lines.value.filter(({ state }) => state === 'done' || state === 'skipped').length);
const iconOf = (state: string) =>
  state === 'done' ? mdiCheckboxMarked : state === 'open' ? mdiCheckboxBlankOutline : mdiClose;
</script>

<template>
  <section v-if="step && lines.length" class="class-lines" aria-label="Who has done it">
    <h2>Who has done it: {{ done }} of {{ lines.length }}</h2>
    <p v-if="step.waits" class="soft">A wait is found by hand: press a name, and say what you found.</p>
    <VList bg-color="transparent" density="compact">
      <VListItem
        v-for="{ name, number, state } in lines"
        :key="number"
        :title="name"
        :prepend-icon="iconOf(state)"
        :active="number === hand.shown.value.number"
        :data-line="number"
        :aria-label="`${name}: ${state}`"
        @click="hand.tick(number)"
      />
    </VList>
  </section>
</template>

<style scoped>
.class-lines {
  padding-bottom: 14px;
}
h2 {
  font-size: 19px;
}
.soft {
  color: var(--ink-soft);
}
</style>
