<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { FAULTS, type FaultKind } from '../../../contract/makings.ts';
import { MEASURED, type Measured } from '../../../core/studio/making/measured.ts';
import { pathData, screenPx } from '../../../core/files/format/pathData.ts';
import { elevation } from '../../../core/piece/elevation.ts';
import type { Target } from '../../../core/target/target.ts';
import type { WorkStep } from '../../../core/studio/making/workStep.ts';
import { useMakings } from '../../stores/makings.ts';
import LengthField from '../fields/LengthField.vue';
import MassField from '../fields/MassField.vue';
import NumberField from '../fields/NumberField.vue';
import DeviceReadings from '../devices/DeviceReadings.vue';
import SheetDialog from '../frame/SheetDialog.vue';
import EntryList from './EntryList.vue';
import { MEASURED_NAMES, useMeasured } from './measuredNames.ts';
import StepPhotographs from './StepPhotographs.vue';

/** What is measured, noted, photographed or went wrong at a step of one piece. */
const open = defineModel<boolean>({ required: true });
const props = defineProps<{ step: WorkStep; piece: number; number: number; target: Target }>();

const makings = useMakings();
const { figure } = useMeasured();
const tab = ref<'measure' | 'note' | 'photograph' | 'fault'>('measure');
const what = ref<Measured>('height');
const value = ref(0);
const text = ref('');
const kind = ref<FaultKind>('crack at the seam');
const place = ref<{ readonly x: number; readonly y: number } | null>(null);
const said = ref('');

const spot = computed(() => ({ piece: props.piece, number: props.number, step: props.step.id }));
const measures = MEASURED.filter((one) => one !== 'capacity').map((one) => ({
  value: one,
  title: MEASURED_NAMES[one],
}));
const faults = FAULTS.map((one) => ({ value: one, title: one[0]?.toUpperCase() + one.slice(1) }));

/** The standing piece, on which the place is pressed. */
const frame = ref<HTMLElement | null>(null);
const { width } = useElementSize(frame);
const HIGH = 190;
const side = computed(() => elevation(props.target, 'wet'));
const scale = computed(() => Math.min((width.value - 20) / side.value.width, (HIGH - 20) / side.value.height));
const box = computed(() => {
  const { left, right, height } = side.value;
  const wide = (right - left) * scale.value;
  return { x: (width.value - wide) / 2, y: (HIGH - height * scale.value) / 2, wide, high: height * scale.value };
});
const origin = computed(() => [box.value.x - side.value.left * scale.value, box.value.y + box.value.high] as const);
function point(event: MouseEvent): void {
  const { left, top } = (event.currentTarget as Element).getBoundingClientRect();
  const share = (at: number) => Math.max(0, Math.min(1, at));
  place.value = {
    x: share((event.clientX - left - box.value.x) / box.value.wide),
    y: share(1 - (event.clientY - top - box.value.y) / box.value.high),
  };
}

function keepMeasure(): void {
  if (value.value <= 0) return void (said.value = 'Write a figure first.');
  makings.measure({ ...spot.value, what: what.value, value: value.value });
  said.value = `${MEASURED_NAMES[what.value]} ${figure(what.value, value.value)} is written down.`;
  value.value = 0;
}
function keepNote(): void {
  if (!text.value.trim()) return void (said.value = 'Write a few words first.');
  makings.note({ ...spot.value, text: text.value.trim() });
  said.value = 'The note is written down.';
  text.value = '';
}
function keepFault(): void {
  makings.fault({ ...spot.value, kind: kind.value, x: place.value?.x ?? null, y: place.value?.y ?? null });
  said.value = `“${kind.value}” is written down.`;
  place.value = null;
}
</script>

<template>
  <SheetDialog v-model="open" aria-label="Measure, note, fault" scrollable>
    <section class="sheet-card">
      <h2>{{ step.title }}</h2>
      <VTabs v-model="tab" grow height="48" aria-label="What to write down">
        <VTab value="measure">Measure</VTab>
        <VTab value="note">Note</VTab>
        <VTab value="photograph">Photograph</VTab>
        <VTab value="fault">Fault</VTab>
      </VTabs>
      <template v-if="tab === 'measure'">
        <VSelect v-model="what" label="What" :items="measures" />
        <MassField
          v-if="what === 'weight'"
          label="Weight"
          name="measured"
          :grams="value"
          :take="(grams) => ((value = grams), [])"
          :done="() => undefined"
        />
        <NumberField
          v-else-if="what === 'minutes'"
          label="Minutes"
          name="measured"
          unit=" min"
          :digits="0"
          :value="value"
          :take="(minutes) => ((value = minutes), [])"
          :done="() => undefined"
        />
        <LengthField
          v-else
          label="Measured"
          name="measured"
          :mm="value"
          :take="(mm) => ((value = mm), [])"
          :done="() => undefined"
        />
        <DeviceReadings />
        <VBtn variant="flat" @click="keepMeasure">Write it down</VBtn>
      </template>
      <template v-else-if="tab === 'note'">
        <VTextarea v-model="text" label="Note" rows="3" auto-grow maxlength="2000" />
        <VBtn variant="flat" @click="keepNote">Write it down</VBtn>
      </template>
      <StepPhotographs v-else-if="tab === 'photograph'" :spot="spot" @said="(words) => (said = words)" />
      <template v-else>
        <VSelect v-model="kind" label="What went wrong" :items="faults" />
        <p class="soft">Press the place on the piece, if there is one.</p>
        <div ref="frame" class="where">
          <svg
            v-if="width > 0"
            :width="width"
            :height="HIGH"
            role="img"
            aria-label="The piece from the side"
            @click="point"
          >
            <path
              v-for="(shape, index) in [...side.added, side.outer]"
              :key="index"
              class="clay"
              :d="pathData(shape, { scale, origin, write: screenPx })"
            />
            <circle
              v-if="place"
              class="at"
              r="9"
              :cx="box.x + place.x * box.wide"
              :cy="box.y + (1 - place.y) * box.high"
            />
          </svg>
        </div>
        <VBtn variant="flat" @click="keepFault">Write it down</VBtn>
      </template>
      <p role="status" class="said">{{ said }}</p>
      <EntryList :piece="piece" :number="number" @said="(words) => (said = words)" />
      <VBtn @click="open = false">Close</VBtn>
    </section>
  </SheetDialog>
</template>

<style scoped>
.sheet-card {
  display: grid;
  gap: 12px;
}
.where {
  background: var(--cloth, transparent);
  cursor: crosshair;
}
.clay {
  fill: var(--slab);
  stroke: var(--slab-edge);
  stroke-width: 2;
}
.at {
  fill: none;
  stroke: var(--stop-edge);
  stroke-width: 4;
}
.soft {
  margin: 0;
  color: var(--ink-soft);
}
.said {
  margin: 0;
  min-height: 1.4em;
  font-weight: 600;
}
</style>
