<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Design } from '../../../contract/api.ts';
import { AIR_LIMITS, type AirSpeed } from '../../../core/drying/air.ts';
import type { Schools } from '../../../core/making/workStep.ts';
import { isDraped } from '../../../core/mould/draped.ts';
import type { Target } from '../../../core/piece/target.ts';
import { useBlankWork } from '../../composables/useBlankWork.ts';
import { useBench } from '../../stores/bench.ts';
import { newId } from '../../stores/heldRecords.ts';
import { useHouseWay } from '../../stores/houseWay.ts';
import { useMakings } from '../../stores/makings.ts';
import { useClays } from '../../stores/records.ts';
import { packed } from '../../workers/blankWork.ts';
import type { Choice } from '../fields/choice.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';
import { drawUp } from './drawUp.ts';

/** Begins a making of the piece: how many, when it is due, how this potter works, and the air of the shed. */
const props = defineProps<{ design: Design; target: Target }>();
const makings = useMakings();
const bench = useBench();
const way = useHouseWay();
const work = useBlankWork();
const clays = useClays();

const count = ref(1);
const due = ref('');
const trouble = ref('');
const busy = ref(false);

const SCHOOLS: { readonly [K in Exclude<keyof Schools, 'coil' | 'sticks'>]: readonly Choice<Schools[K]>[] } = {
  joins: [
    { value: 'water', title: 'with water', why: 'Quick and clean on a scored join.' },
    { value: 'slip', title: 'with slip', why: 'Fills a rough join, and holds stiffer clay.' },
    { value: 'nothing', title: 'with nothing', why: 'Soft clay needs neither, and stays cleaner.' },
  ],
  texture: [
    { value: 'before', title: 'before cutting', why: 'The cut edge stays true.' },
    { value: 'after', title: 'after cutting', why: 'The pattern can follow the edge, but the slab spreads.' },
  ],
  base: [
    { value: 'cut', title: 'cut to size first', why: 'Wall and base dry alike, and nothing is left over.' },
    { value: 'traced', title: 'traced from the wall', why: 'It fits a wall that came out a little different.' },
  ],
  seam: [
    { value: 'rolled', title: 'rolled on the table', why: 'Presses both faces at once.' },
    { value: 'paddled', title: 'paddled', why: 'Reaches into shapes that do not roll.' },
  ],
};
const COIL: readonly Choice<'coil' | 'none'>[] = [
  { value: 'coil', title: 'a thin coil', why: 'Keeps the corner from leaking.' },
  { value: 'none', title: 'none', why: 'A well-worked corner of soft clay holds without.' },
];
const SPEEDS: readonly Choice<AirSpeed>[] = [
  { value: 'still', title: 'still', why: 'Doors and windows shut.' },
  { value: 'moving', title: 'moving', why: 'A draught, or people about.' },
  { value: 'fan', title: 'blown by a fan', why: 'Dries much quicker: edges first, so watch them.' },
];

/** Whole pieces only. */
function takeCount(value: number) {
  if (!Number.isInteger(value) || value < 1 || value > 500) return [{ code: 'out-of-range' as const, path: 'count', value: String(value), rule: 'must be a whole number from 1 to 500' }]; // prettier-ignore
  count.value = value;
  return [];
}
const within = (key: 'temperature' | 'humidity') => (value: number) => {
  const { least, greatest } = AIR_LIMITS[key];
  if (value < least || value > greatest) return [{ code: 'out-of-range' as const, path: key, value: String(value), rule: `must be ${least} to ${greatest}` }]; // prettier-ignore
  way.put({ air: { ...way.air, [key]: value } });
  return [];
};
const clay = computed(() => clays.list.find(({ body }) => body.name === props.target.clay.name) ?? null);
const nothing = () => undefined;

async function begin(): Promise<void> {
  if (busy.value) return;
  busy.value = true;
  trouble.value = '';
  try {
    const { target, design } = props;
    let blank = null;
    if (isDraped(target)) {
      const reply = await work.ask(packed('lay', target));
      if (reply?.kind !== 'laid')
        throw new Error('The blank could not be laid flat. Look at its figures and try again.');
      blank = reply.blank;
    }
    const steps = drawUp(target, { bench: bench.bench, blank, schools: way.schools });
    await makings.begin({
      id: newId(),
      name: target.name || design.name,
      clay: clay.value?.id ?? null,
      startedAt: new Date().toISOString(),
      dueAt: due.value ? new Date(`${due.value}T18:00`).toISOString() : null,
      schools: way.schools,
      air: way.air,
      pieces: [{ designId: design.id, revision: design.revision, name: design.name, count: count.value, steps }],
    });
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error);
  }
  busy.value = false;
}
</script>

<template>
  <section class="begin" aria-labelledby="begin-heading">
    <div class="lead">
      <h2 id="begin-heading">Make it, step by step</h2>
      <p>
        The order of work is drawn up for this piece as it is now, revision {{ design.revision }}. It keeps that
        revision, whatever you change afterwards.
      </p>
    </div>
    <div class="columns">
      <div>
        <h3>This making</h3>
        <NumberField
          label="How many"
          name="making-count"
          unit=""
          :value="count"
          :digits="0"
          :take="takeCount"
          :done="nothing"
        />
        <VTextField v-model="due" label="Due, if it is" name="making-due" type="date" class="due" />
        <p class="soft">
          Clay: {{ target.clay.name || 'not named'
          }}{{ clay ? '' : ', not in the clay book, so that nothing is learned of it' }}.
        </p>
      </div>
      <div>
        <h3>The house way</h3>
        <ChoiceField
          label="Joins"
          name="school-joins"
          :value="way.schools.joins"
          :choices="SCHOOLS.joins"
          @choose="(joins) => way.school({ joins })"
        />
        <ChoiceField
          label="Texture"
          name="school-texture"
          :value="way.schools.texture"
          :choices="SCHOOLS.texture"
          @choose="(texture) => way.school({ texture })"
        />
        <ChoiceField
          label="Corner"
          name="school-coil"
          :value="way.schools.coil ? 'coil' : 'none'"
          :choices="COIL"
          @choose="(one) => way.school({ coil: one === 'coil' })"
        />
        <ChoiceField
          label="Base"
          name="school-base"
          :value="way.schools.base"
          :choices="SCHOOLS.base"
          @choose="(base) => way.school({ base })"
        />
        <ChoiceField
          label="Seam"
          name="school-seam"
          :value="way.schools.seam"
          :choices="SCHOOLS.seam"
          @choose="(seam) => way.school({ seam })"
        />
      </div>
      <div>
        <h3>The air in the shed</h3>
        <NumberField
          label="Temperature"
          name="air-temperature"
          unit=" °C"
          :value="way.air.temperature"
          :digits="1"
          :take="within('temperature')"
          :done="nothing"
        />
        <NumberField
          label="Humidity"
          name="air-humidity"
          unit=" %"
          :value="way.air.humidity"
          :factor="0.01"
          :digits="0"
          :take="within('humidity')"
          :done="nothing"
        />
        <ChoiceField
          label="It is"
          name="air-speed"
          :value="way.air.speed"
          :choices="SPEEDS"
          @choose="(speed) => way.put({ air: { ...way.air, speed } })"
        />
      </div>
    </div>
    <VAlert v-if="trouble" type="error" role="alert">{{ trouble }}</VAlert>
    <VBtn variant="flat" size="x-large" class="go" :loading="busy" @click="begin">
      {{ count === 1 ? 'Begin' : `Begin all ${count}` }}
    </VBtn>
  </section>
</template>

<style scoped>
.begin {
  display: grid;
  gap: 18px;
  width: 100%;
  max-width: 1120px;
  margin: 0 auto;
  padding: 24px 20px 40px;
}
.lead p {
  max-width: 620px;
  margin: 6px 0 0;
  color: var(--ink-soft);
}
.lead h2 {
  font-size: 30px;
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 12px 40px;
}
.due :deep(input) {
  min-width: 190px;
}
.soft {
  color: var(--ink-soft);
}
.go {
  justify-self: start;
  min-width: 220px;
}
</style>
