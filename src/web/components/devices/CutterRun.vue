<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { CUTTER_FAULTS, type CutSheet, type CutterFault } from '../../../devices/cutter/simulatedCutter.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useDevices } from '../../stores/devices.ts';

/** The plot file on a simulated cutter: its progress, what it cut, and the distance from the file. */
const props = defineProps<{ fetchPlot: () => Promise<string | null>; busy: boolean }>();
const devices = useDevices();
const lengths = useLengths();
const part = ref<number | null>(null);
const trouble = ref('');
const sheet = shallowRef<CutSheet | null>(null);
const fault = ref<CutterFault>('none');
const faults = CUTTER_FAULTS.map((value) => ({ value, title: value }));

const end = devices.cutter.on((event) => {
  part.value = event.kind === 'progress' ? event.part : null;
  if (event.kind === 'done') sheet.value = event.made;
  if (event.kind === 'refused') trouble.value = `The cutter does not take it. ${event.rule}`;
  if (event.kind === 'lost')
    trouble.value = 'The cutter has gone quiet in the middle of the sheet: take the sheet out and begin again.';
});
onBeforeUnmount(() => (end(), devices.cutter.stop()));

async function send(): Promise<void> {
  sheet.value = null;
  trouble.value = '';
  devices.cutter.setFault(fault.value);
  const file = await props.fetchPlot();
  if (file !== null) devices.cutter.send(file);
}
function halt(): void {
  devices.cutter.stop();
  part.value = null;
  trouble.value = 'Stopped: the sheet is not cut through.';
}

const size = computed(() => {
  const all = sheet.value?.lines.flat() ?? [];
  const most = (axis: 0 | 1) => all.reduce((value, point) => Math.max(value, point[axis]), 1);
  return { wide: most(0) + 4, high: most(1) + 4 };
});
/** Below this the blade is as true as its own steps (mm). */
const TRUE_WITHIN = 0.1;
const isTrue = computed(() => (sheet.value?.off ?? 0) <= TRUE_WITHIN);
</script>

<template>
  <div class="run">
    <p>Simulated: no real cutter is connected. It takes the plot file as a real one does, and says what it cut.</p>
    <VBtn v-if="part === null" class="wide" :disabled="busy" @click="send">Send to the cutter, simulated</VBtn>
    <template v-else>
      <VProgressLinear :model-value="100 * part" aria-label="Cutting" />
      <VBtn class="wide" @click="halt">Stop the cutter</VBtn>
    </template>
    <VAlert v-if="trouble" type="error">{{ trouble }}</VAlert>
    <template v-if="sheet">
      <svg :viewBox="`-2 ${-size.high + 2} ${size.wide} ${size.high}`" role="img" aria-label="What the cutter cut">
        <polyline
          v-for="(line, index) in sheet.lines"
          :key="index"
          :points="line.map(([x, y]) => `${x},${-y}`).join(' ')"
        />
      </svg>
      <VAlert :type="isTrue ? 'info' : 'warning'" role="status">
        Cut {{ lengths.length(sheet.length) }} in {{ sheet.lines.length }}
        {{ sheet.lines.length === 1 ? 'line' : 'lines' }}. Furthest from the file: {{ sheet.off.toFixed(2) }} mm{{
          isTrue ? '.' : ': do not use this sheet.'
        }}
      </VAlert>
    </template>
    <VSelect v-model="fault" label="Fault" name="device-fault-cutter" :items="faults" />
  </div>
</template>

<style scoped>
.run {
  display: grid;
  gap: 8px;
}
.wide {
  width: 100%;
}
svg {
  width: 100%;
  max-height: 260px;
  background: #fffdf8;
}
polyline {
  fill: none;
  stroke: #2b1f1a;
  stroke-width: 1.2;
  vector-effect: non-scaling-stroke;
}
</style>
