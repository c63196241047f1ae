<script setup lang="ts">
import { DEVICE_NAMES, useDevices } from '../../stores/devices.ts';

/** What the devices that run read now, with their buttons. Pressing one leaves the focus in the field. */
const devices = useDevices();
const KINDS = ['caliper', 'scale'] as const;
</script>

<template>
  <div class="readings">
    <section
      v-for="kind in KINDS.filter((one) => devices.states[one].open)"
      :key="kind"
      :aria-label="DEVICE_NAMES[kind]"
      @mousedown.prevent
    >
      <p>
        <span>{{ DEVICE_NAMES[kind] }}, simulated</span>
        <strong :class="{ moving: !devices.states[kind].steady }" :data-reading="kind">
          {{ devices.states[kind].text || 'no reading' }}
        </strong>
        <span v-if="devices.states[kind].lost" role="status">It has gone quiet.</span>
        <span v-else-if="devices.states[kind].weak" role="status">Its battery is weak: measure twice.</span>
      </p>
      <VBtn variant="flat" @click="kind === 'caliper' ? devices.caliper.measure() : devices.scale.weigh()">
        {{ kind === 'caliper' ? 'Measure one' : 'Weigh one' }}
      </VBtn>
      <VBtn :disabled="!devices.states[kind].text" @click="devices[kind].take()">Put it in</VBtn>
      <VBtn :aria-pressed="devices.states[kind].held" @click="devices.hold(kind)">
        {{ devices.states[kind].held ? 'Go on' : 'Hold' }}
      </VBtn>
      <VBtn v-if="kind === 'caliper'" @click="devices.caliper.zero()">Zero</VBtn>
      <VBtn v-else @click="devices.scale.tare()">Tare</VBtn>
      <VBtn @click="devices[kind].turnUnit()">{{ kind === 'caliper' ? 'mm / in' : 'g / oz' }}</VBtn>
    </section>
  </div>
</template>

<style scoped>
section {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
  padding: 8px 0;
}
p {
  display: grid;
  flex: 0 1 auto;
  min-width: 170px;
  margin: 0;
  color: var(--ink-soft);
}
strong {
  font-size: 28px;
  font-variant-numeric: tabular-nums;
  color: var(--ink);
}
strong.moving {
  color: var(--ink-soft);
}
</style>
