<script setup lang="ts">
import { ref } from 'vue';
import { AIR_LIMITS } from '../../../core/studio/drying/air.ts';
import { rangeFaults } from '../../../core/ranges.ts';
import type { DeviceKind } from '../../../devices/device.ts';
import { DEVICE_FAULTS, type DeviceFault } from '../../../devices/simulated.ts';
import { DEVICE_NAMES, useDevices } from '../../stores/devices.ts';
import LengthField from '../fields/LengthField.vue';
import MassField from '../fields/MassField.vue';
import NumberField from '../fields/NumberField.vue';
import PrinterStand from '../devices/PrinterStand.vue';

/** Simulated measuring devices: started, stopped, set, and made to fail on purpose. */
const devices = useDevices();
const KINDS: readonly DeviceKind[] = ['caliper', 'scale', 'hygrometer'];
const SAYS: Readonly<Record<DeviceKind, string>> = {
  caliper: 'Writes a length into the field that you are in.',
  scale: 'Writes a weight into the field that you are in.',
  hygrometer: 'Says how warm and damp the shed is.',
};
const FAULTS = DEVICE_FAULTS.map((value) => ({ value, title: value }));
const jaws = ref(0);
const load = ref(0);
const air = ref({ temperature: 18, humidity: 0.6 });
const nothing = () => undefined;

function setJaws(mm: number) {
  jaws.value = mm;
  devices.caliper.setJaws(mm);
  return [];
}
function setLoad(grams: number) {
  load.value = grams;
  devices.scale.setLoad(grams);
  return [];
}
function setAir(part: Partial<typeof air.value>) {
  const faults = (['temperature', 'humidity'] as const).flatMap((key) => rangeFaults(key, part[key], AIR_LIMITS[key]));
  if (faults.length > 0) return faults;
  air.value = { ...air.value, ...part };
  devices.hygrometer.setAir(air.value);
  return [];
}
</script>

<template>
  <section aria-labelledby="devices-heading">
    <h2 id="devices-heading">Devices</h2>
    <p>
      These are simulated: no real device is connected. A real caliper that types as a keyboard works in any field as it
      is.
    </p>
    <div class="all">
      <article v-for="kind in KINDS" :key="kind" :aria-label="DEVICE_NAMES[kind]">
        <h3>{{ DEVICE_NAMES[kind] }} <span class="soft">simulated</span></h3>
        <p>{{ SAYS[kind] }}</p>
        <strong class="reading" :data-device="kind">{{
          devices.states[kind].open ? devices.states[kind].text || 'no reading' : 'off'
        }}</strong>
        <p v-if="devices.states[kind].lost" role="status">It has gone quiet.</p>
        <p v-else-if="devices.states[kind].weak && devices.states[kind].open" role="status">Its battery is weak.</p>
        <VBtn
          :variant="devices.states[kind].open ? 'outlined' : 'flat'"
          @click="devices.states[kind].open ? devices.stop(kind) : devices.start(kind)"
        >
          {{ devices.states[kind].open ? 'Stop' : 'Start' }}
        </VBtn>
        <LengthField
          v-if="kind === 'caliper'"
          by-hand
          label="Between its jaws"
          name="device-jaws"
          :mm="jaws"
          :take="setJaws"
          :done="nothing"
        />
        <MassField
          v-else-if="kind === 'scale'"
          by-hand
          label="Lies on it"
          name="device-load"
          :grams="load"
          :take="setLoad"
          :done="nothing"
        />
        <template v-else>
          <NumberField
            label="Air temperature"
            name="device-temperature"
            unit=" °C"
            :value="air.temperature"
            :digits="1"
            :take="(temperature) => setAir({ temperature })"
            :done="nothing"
          />
          <NumberField
            label="Air humidity"
            name="device-humidity"
            unit=" %"
            :value="air.humidity"
            :factor="0.01"
            :digits="0"
            :take="(humidity) => setAir({ humidity })"
            :done="nothing"
          />
        </template>
        <VSelect
          label="Fault"
          :name="`device-fault-${kind}`"
          :items="FAULTS"
          :model-value="devices.states[kind].fault"
          @update:model-value="(fault: DeviceFault) => devices.setFault(kind, fault)"
        />
      </article>
      <PrinterStand />
    </div>
  </section>
</template>

<style scoped>
section {
  margin-top: 30px;
}
p {
  margin: 4px 0 8px;
  color: var(--ink-soft);
}
.all {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(250px, 1fr));
  gap: 18px 40px;
  max-width: 1000px;
}
.reading {
  display: block;
  padding-bottom: 8px;
  font-size: 30px;
  font-variant-numeric: tabular-nums;
}
.soft {
  font-weight: 400;
  color: var(--ink-soft);
}
</style>
