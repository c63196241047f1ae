<script setup lang="ts">
import { onBeforeUnmount, ref } from 'vue';
import { CHECK_LENGTHS, SCALE_LIMITS } from '../../../core/studio/printer/printerCheck.ts';
import { rangeFaults } from '../../../core/ranges.ts';
import type { SheetLengths } from '../../../devices/printer/simulatedPrinter.ts';
import { useDevices } from '../../stores/devices.ts';
import NumberField from '../fields/NumberField.vue';

/** A simulated printer whose scale is off: it prints the check sheet, and the caliper measures the two lengths. */
const devices = useDevices();
const scale = ref(devices.printer.scale);
const part = ref<number | null>(null);
const sheet = ref<SheetLengths | null>(null);
const end = devices.printer.on((event) => {
  part.value = event.kind === 'progress' ? event.part : null;
  if (event.kind === 'done') sheet.value = event.made;
});
onBeforeUnmount(end);

function setScale(change: Partial<typeof scale.value>) {
  const faults = (['short', 'long'] as const).flatMap((key) => rangeFaults(key, change[key], SCALE_LIMITS));
  if (faults.length > 0) return faults;
  scale.value = { ...scale.value, ...change };
  devices.printer.setScale(scale.value);
  return [];
}
function print(): void {
  sheet.value = null;
  devices.printer.send({ short: CHECK_LENGTHS.across, long: CHECK_LENGTHS.up });
}
async function measure(mm: number): Promise<void> {
  await devices.start('caliper');
  devices.caliper.setJaws(mm);
}
const nothing = () => undefined;
</script>

<template>
  <article aria-label="Paper printer">
    <h3>Paper printer <span class="soft">simulated</span></h3>
    <p>Prints the check sheet, but not true; the caliper is put on what came out.</p>
    <VProgressLinear v-if="part !== null" :model-value="100 * part" aria-label="Printing the check sheet" />
    <VBtn :disabled="part !== null" @click="print">Print the check sheet</VBtn>
    <p v-if="sheet" role="status">The sheet lies on the table.</p>
    <span v-if="sheet" class="both">
      <VBtn variant="flat" @click="measure(sheet.short)">Caliper on A</VBtn>
      <VBtn variant="flat" @click="measure(sheet.long)">Caliper on B</VBtn>
    </span>
    <NumberField
      label="Prints across"
      name="device-short"
      unit=" %"
      :factor="0.01"
      :digits="1"
      :value="scale.short"
      :take="(short) => setScale({ short })"
      :done="nothing"
    />
    <NumberField
      label="Prints along"
      name="device-long"
      unit=" %"
      :factor="0.01"
      :digits="1"
      :value="scale.long"
      :take="(long) => setScale({ long })"
      :done="nothing"
    />
  </article>
</template>

<style scoped>
p {
  margin: 4px 0 8px;
  color: var(--ink-soft);
}
.soft {
  font-weight: 400;
  color: var(--ink-soft);
}
.both {
  display: flex;
  gap: 8px;
}
</style>
