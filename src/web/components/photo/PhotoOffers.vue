<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { DrawnPlan } from '../../../core/target/plan.ts';
import { bounds } from '../../../core/geometry/outline/outline.ts';
import type { Design } from '../../../contract/api.ts';
import type { PhotoReadings } from '../../../core/files/photo/readings.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useShelf } from '../../stores/shelf.ts';
import { giveOwned } from '../owned/owned.ts';

/** What the traced outline can be taken for, each with its figures and how near it comes. */
const props = defineProps<{ readings: PhotoReadings }>();
const lengths = useLengths();
const shelf = useShelf();
const router = useRouter();
const busy = ref(false);

const size = computed(() => {
  const { minX, minY, maxX, maxY } = bounds(props.readings.sheet.outline);
  return `${lengths.figure(maxX - minX)} × ${lengths.length(maxY - minY)}`;
});
const holes = computed(() => props.readings.sheet.holes?.length ?? 0);

async function asCutter(): Promise<void> {
  const { cutter } = props.readings;
  if (!cutter) return;
  giveOwned({ kind: 'cutter', cutter: { diameter: tenth(cutter.diameter) } });
  await router.push({ name: 'from' });
}
async function asArc(): Promise<void> {
  const { arc } = props.readings;
  if (!arc) return;
  const { inner, outer, sweep } = arc;
  giveOwned({ kind: 'arc', way: 'radii', arc: { inner: tenth(inner), outer: tenth(outer), sweep: tenth(sweep) } });
  await router.push({ name: 'from' });
}
const asSheet = () => open(shelf.beginSheet(props.readings.sheet));
const asPlan = (plan: DrawnPlan) => open(shelf.beginPlan(plan));
async function open(making: Promise<Design | null>): Promise<void> {
  busy.value = true;
  const design = await making;
  busy.value = false;
  if (design) await router.push({ name: 'piece', params: { id: design.id, stage: 'shape' } });
}
const tenth = (value: number) => Math.round(10 * value) / 10;
</script>

<template>
  <section aria-labelledby="photo-heading">
    <h2 id="photo-heading">What it is</h2>
    <div v-if="readings.cutter" data-reading="cutter">
      <p>
        <strong>{{ lengths.length(readings.cutter.diameter) }}</strong> across, round; off by
        {{ lengths.length(readings.cutter.off) }} at most
      </p>
      <VBtn variant="flat" @click="asCutter">A round cutter: what it makes</VBtn>
    </div>
    <div v-if="readings.arc" data-reading="arc">
      <p>
        <strong>{{ lengths.figure(readings.arc.inner) }} and {{ lengths.length(readings.arc.outer) }}</strong>
        radii, {{ readings.arc.sweep.toFixed(1) }}°; off by {{ lengths.length(readings.arc.off) }} at most
      </p>
      <VBtn variant="flat" @click="asArc">An arc template: what it makes</VBtn>
    </div>
    <div data-reading="plan">
      <template v-if="typeof readings.plan === 'object'">
        <p>It bulges all round: a wall can stand on it.</p>
        <VBtn :disabled="busy" @click="asPlan(readings.plan)">Rim and foot of a piece</VBtn>
      </template>
      <p v-else>As rim or foot it will not do: it {{ readings.plan }}.</p>
    </div>
    <div data-reading="sheet">
      <p>
        <strong>{{ size }}</strong>
        <template v-if="holes">, {{ holes }} {{ holes === 1 ? 'hole' : 'holes' }}</template>
      </p>
      <VBtn :variant="readings.cutter || readings.arc ? 'outlined' : 'flat'" :disabled="busy" @click="asSheet">
        A sheet to be bent, as it is traced
      </VBtn>
    </div>
    <VAlert v-if="shelf.trouble" type="error">{{ shelf.trouble }}</VAlert>
  </section>
</template>

<style scoped>
div {
  display: grid;
  gap: 6px;
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
}
strong {
  font-size: 24px;
}
</style>
