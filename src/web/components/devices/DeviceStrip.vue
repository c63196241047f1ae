<script setup lang="ts">
import { computed } from 'vue';
import { useDevices } from '../../stores/devices.ts';
import DeviceReadings from './DeviceReadings.vue';

/** At the lower edge of every place while a device that writes into fields is running. */
const devices = useDevices();
const running = computed(() => devices.states.caliper.open || devices.states.scale.open);
</script>

<template>
  <VFooter v-if="running" app class="strip"><DeviceReadings /></VFooter>
</template>

<style scoped>
.strip {
  padding: 0 18px;
  border-top: 1px solid var(--line);
  background: var(--panel);
}
.strip :deep(.readings) {
  display: flex;
  flex-wrap: wrap;
  gap: 0 32px;
  width: 100%;
}
</style>
