<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { usePlanner } from '../../composables/usePlanner.ts';
import { useShortcuts } from '../../composables/useShortcuts.ts';
import { planWords } from './planWords.ts';
import BookConflicts from '../frame/BookConflicts.vue';
import { usePlans } from '../../stores/records.ts';
import { useSlabPlan } from '../../stores/slabPlan.ts';
import SlabFrame from './SlabFrame.vue';

/** The slabs of the plan, and what is done with them. */
const plan = useSlabPlan();
const plans = usePlans();

/** A search goes on so long, unless it is stopped (s). */
const SECONDS = 30;
/** A slab is drawn no larger than this (px per mm). */
const GREATEST_SCALE = 1.4;

const box = ref<HTMLElement | null>(null);
const { width } = useElementSize(box);
const scale = computed(() => {
  // In steps, so that the drawing does not grow with every plan that is a little shorter.
  const longest = Math.ceil(Math.max(...plan.sized.map(({ length }) => length), 300) / 100) * 100;
  return Math.min(GREATEST_SCALE, Math.max(60, width.value - 110) / longest);
});
const chosen = ref<{ slab: number; index: number } | null>(null);
const place = computed(() =>
  chosen.value ? plan.slabs[chosen.value.slab]?.placements[chosen.value.index] : undefined,
);

const { busy, progress, trouble, start, stop } = usePlanner((slabs) => {
  plan.show(slabs, holding);
  if (!busy.value) plan.settle();
});
let holding = plan.locked;

function layOut(): void {
  holding = plan.locked;
  chosen.value = null;
  plan.making = true;
  void start({ pieces: plan.batch, rules: plan.rules, locked: holding, seconds: SECONDS });
}

function enough(): void {
  stop();
  plan.settle();
}

function change(by: { turn?: number; lock?: boolean }): void {
  if (!chosen.value || !place.value) return;
  const { slab, index } = chosen.value;
  if (by.lock) plan.move(slab, index, { change: { locked: !place.value.locked }, group: null });
  if (by.turn && !place.value.locked)
    plan.move(slab, index, { change: { turn: (place.value.turn + by.turn + 360) % 360 }, group: null });
}

const print = () => window.print();
const wrong = computed(() =>
  plan.sized.reduce((sum, { faults }) => sum + (faults?.crowded.size ?? 0) + (faults?.off.size ?? 0), 0),
);

useShortcuts([
  { keys: 'n', words: 'Lay the parts out', run: () => (busy.value ? enough() : layOut()) },
  { keys: 'p', words: 'Print the plan', run: print },
]);
</script>

<template>
  <div ref="box" class="desk">
    <div class="bar">
      <VBtn v-if="!busy" variant="flat" data-testid="lay-out" @click="layOut">
        {{
          plan.slabs.length === 0
            ? 'Lay the parts out'
            : plan.locked.length
              ? 'Lay the rest out again'
              : 'Lay out again'
        }}
      </VBtn>
      <template v-else>
        <VBtn variant="flat" @click="enough">Stop, keep the best</VBtn>
        <VProgressLinear :model-value="100 * progress" aria-label="Laying out" class="far-bar" />
      </template>
      <template v-if="place && !busy">
        <VBtn :disabled="place.locked" @click="change({ turn: -15 })">Turn left</VBtn>
        <VBtn :disabled="place.locked" @click="change({ turn: 15 })">Turn right</VBtn>
        <VBtn @click="change({ lock: true })">
          {{ place.locked ? 'Unlock' : 'Lock' }}
        </VBtn>
      </template>
      <span class="far">
        <VBtn :disabled="plans.past.length === 0 || busy" @click="plans.undo()"> Undo on the slab </VBtn>
        <VBtn :disabled="plan.slabs.length === 0" @click="print">Print the plan</VBtn>
      </span>
    </div>
    <BookConflicts :book="plans" :told="planWords" />
    <VAlert v-if="trouble" type="error">{{ trouble }}</VAlert>
    <VAlert v-if="plans.trouble" type="error">{{ plans.trouble }}</VAlert>
    <p v-if="wrong" class="trouble" role="status">
      {{ wrong === 1 ? '1 part lies' : `${wrong} parts lie` }} too close to another, or off the slab. Move them, or lay
      out again.
    </p>
    <div v-if="plan.sized.length === 0" class="none">
      <h2 v-if="plan.stale">The pieces have changed since the plan was made</h2>
      <h2 v-else>Nothing lies on the slab yet</h2>
      <p>
        Say how many you make, then lay the parts out: as little clay as can be found, no part over another, walls along
        the roll.
      </p>
    </div>
    <SlabFrame
      v-for="(slab, index) in plan.sized"
      :key="index"
      :index="index"
      :slab="slab"
      :scale="scale"
      :chosen="chosen?.slab === index ? chosen.index : null"
      @choose="(at) => (chosen = at === null ? null : { slab: index, index: at })"
      @moved="plans.endGesture()"
    />
  </div>
</template>

<style scoped>
.desk {
  padding: 14px 18px;
  background: var(--cloth);
  overflow: auto;
}
.bar {
  position: sticky;
  top: 0;
  z-index: 1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  padding: 4px 0 8px;
  background: var(--cloth);
}
.far {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-left: auto;
}
.far-bar {
  width: 120px;
}
.none {
  display: grid;
  gap: 10px;
  max-width: 52ch;
  padding: 70px 10px;
}
.trouble {
  padding: 8px 12px;
  background: var(--stop);
  border-left: 4px solid var(--stop-edge);
}
@media print {
  .bar,
  .trouble {
    display: none;
  }
}
</style>
