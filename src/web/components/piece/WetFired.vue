<script setup lang="ts">
import { computed } from 'vue';
import { wetAndFired } from '../../../core/piece/wetFired.ts';
import { useLengths } from '../../composables/useLengths.ts';
import type { Target } from '../../../core/target/target.ts';

/** The standing piece measured twice: as it is just made, and as it comes out of the kiln. */
const props = defineProps<{ target: Target }>();
const lengths = useLengths();
/** What is longer than wide has a row for each. */
const rows = computed(() =>
  wetAndFired(props.target).flatMap(({ key, label, wet, fired }) =>
    wet.map((mm, index) => ({
      key: index === 0 ? key : `${key}-wide`,
      label: wet.length === 1 ? label : `${label}, ${index === 0 ? 'long' : 'wide'}`,
      wet: lengths.figure(mm),
      fired: lengths.figure(fired[index] ?? 0),
    })),
  ),
);
</script>

<template>
  <section v-if="rows.length > 0" aria-labelledby="both-heading">
    <h2 id="both-heading">Wet and fired</h2>
    <VTable density="compact" class="both">
      <thead>
        <tr>
          <th scope="col">{{ lengths.style.value.unit === 'inch' ? 'inches' : lengths.sign() }}</th>
          <th scope="col">wet</th>
          <th scope="col">fired</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.key" :data-both="row.key">
          <th scope="row">{{ row.label }}</th>
          <td>{{ row.wet }}</td>
          <td class="fired">{{ row.fired }}</td>
        </tr>
      </tbody>
    </VTable>
  </section>
</template>

<style scoped>
.both {
  background: transparent;
  color: inherit;
  font-size: 15px;
}
.both :is(th, td) {
  padding: 5px 2px !important;
  height: auto !important;
}
.both td,
.both thead th {
  text-align: right;
}
.both th {
  font-weight: 400;
  color: var(--ink-soft);
}
.both td {
  font-variant-numeric: tabular-nums;
}
.fired {
  font-weight: 700;
}
</style>
