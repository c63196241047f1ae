<script setup lang="ts">
import { AIR_LIMITS, type Air, type AirSpeed } from '../../../core/studio/drying/air.ts';
import { useDevices } from '../../stores/devices.ts';
import type { Choice } from '../fields/choice.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';

/** The air that pieces dry in. */
const props = defineProps<{ air: Air }>();
const emit = defineEmits<{ change: [air: Air] }>();

const SPEEDS: readonly Choice<AirSpeed>[] = [
  { value: 'still', title: 'still', why: 'Doors and windows shut.' },
  { value: 'moving', title: 'moving', why: 'A draught, or people about.' },
  { value: 'fan', title: 'blown by a fan', why: 'Dries much quicker: edges first, so watch them.' },
];

const within = (key: 'temperature' | 'humidity') => (value: number) => {
  const { least, greatest } = AIR_LIMITS[key];
  if (value < least || value > greatest)
    return [
      { code: 'out-of-range' as const, path: key, value: String(value), rule: `must be ${least} to ${greatest}` },
    ];
  emit('change', { ...props.air, [key]: value });
  return [];
};
const nothing = () => undefined;

/** The air as the hygrometer of the shed reads it now. */
const devices = useDevices();
function fromDevice(): void {
  const reading = devices.hygrometer.read();
  if (reading) emit('change', { ...props.air, ...reading.value });
}
</script>

<template>
  <div>
    <NumberField
      label="Temperature"
      name="air-temperature"
      unit=" °C"
      :value="air.temperature"
      :digits="1"
      :take="within('temperature')"
      :done="nothing"
    />
    <NumberField
      label="Humidity"
      name="air-humidity"
      unit=" %"
      :value="air.humidity"
      :factor="0.01"
      :digits="0"
      :take="within('humidity')"
      :done="nothing"
    />
    <ChoiceField
      label="It is"
      name="air-speed"
      :value="air.speed"
      :choices="SPEEDS"
      @choose="(speed) => emit('change', { ...air, speed })"
    />
    <VBtn
      v-if="devices.states.hygrometer.open"
      class="device"
      :disabled="!devices.states.hygrometer.text"
      @click="fromDevice"
    >
      As the hygrometer reads: {{ devices.states.hygrometer.text || 'it has gone quiet' }} (simulated)
    </VBtn>
  </div>
</template>
