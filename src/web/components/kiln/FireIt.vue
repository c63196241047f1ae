<script setup lang="ts">
import { onUnmounted, ref } from 'vue';
import type { CurvePoint, Segment } from '../../../core/studio/kiln/schedule.ts';
import { DEVICE_FAULTS, type DeviceFault } from '../../../devices/simulated.ts';
import { simulatedController } from '../../../devices/controller/simulatedController.ts';

/** A simulated kiln controller: it fires the schedule in quick time, and its readings become the curve. */
const props = defineProps<{ segments: readonly Segment[]; read: number }>();
const emit = defineEmits<{ curve: [points: readonly CurvePoint[]]; over: [] }>();

const controller = simulatedController({
  random: Math.random,
  every: (ms, run) => {
    const timer = setInterval(run, ms);
    return () => clearInterval(timer);
  },
});
const running = ref(false);
const quiet = ref(false);
const fault = ref<DeviceFault>('none');
const FAULTS = DEVICE_FAULTS.map((value) => ({ value, title: value === 'weak battery' ? 'weak thermocouple' : value }));
/** Readings are passed on in batches; each is saved. */
const BUNDLE = 12;
let points: CurvePoint[] = [];
let given = 0;

function give(): void {
  given = points.length;
  emit('curve', [...points]);
}
const off = controller.on((event) => {
  if (event.kind === 'reading') {
    points.push(event.point);
    if (points.length - given >= BUNDLE) give();
  } else if (event.kind === 'over') {
    running.value = false;
    give();
    emit('over');
  } else quiet.value = event.kind === 'lost';
});
onUnmounted(() => {
  controller.stop();
  off();
});
function start(): void {
  [points, given] = [[], 0];
  running.value = true;
  quiet.value = false;
  controller.start(props.segments);
}
function stop(): void {
  controller.stop();
  running.value = false;
  if (points.length > given) give();
}
function setFault(next: DeviceFault): void {
  fault.value = next;
  controller.setFault(next);
}
</script>

<template>
  <section class="fire" aria-label="The kiln’s controller, simulated">
    <VBtn v-if="!running" :disabled="segments.length === 0" @click="start"
      >{{ read > 0 ? 'Fire it again' : 'Fire it' }}, simulated</VBtn
    >
    <VBtn v-else variant="flat" @click="stop">Stop</VBtn>
    <VSelect label="Its fault" :items="FAULTS" :model-value="fault" @update:model-value="setFault" />
    <p role="status">
      {{
        running ? (quiet ? 'The controller has gone quiet.' : 'Firing in quick time.') : 'No real kiln is connected.'
      }}
    </p>
  </section>
</template>

<style scoped>
.fire {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
.fire > .v-input {
  flex: 0 1 260px;
}
p {
  margin: 0;
  color: var(--ink-soft);
}
</style>
