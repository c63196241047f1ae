<script setup lang="ts">
import { computed } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import type { MeshUnit, Silhouette } from '../../../core/forms/mould/importedMould.ts';
import type { TakenFace } from '../../../core/geometry/mesh/openFace.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useMouldReading } from '../../stores/mouldReading.ts';
import type { Choice } from '../fields/choice.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';
import OneOf from '../fields/OneOf.vue';
import SheetDialog from '../frame/SheetDialog.vue';

/** What a mould's file does not say: its unit and scale, which way is up, and which face of a closed body the clay meets. */
const reading = useMouldReading();
const lengths = useLengths();
const open = computed({
  get: () => reading.asked !== null,
  set: (now) => {
    if (!now) reading.leave();
  },
});

const UNITS: readonly { readonly value: MeshUnit; readonly words: string }[] = [
  { value: 'mm', words: 'mm' },
  { value: 'cm', words: 'cm' },
  { value: 'inch', words: 'inches' },
  { value: 'm', words: 'metres' },
];
const UPS = [
  { value: 'z', words: 'z' },
  { value: 'y', words: 'y' },
] as const;
const FACES: readonly Choice<TakenFace>[] = [
  { value: 'above', title: 'its upper face', why: 'The slab is laid over it, as over a hump.' },
  { value: 'within', title: 'the hollow in it', why: 'The slab is pressed into it, without its level rim.' },
];
const SCALES = { least: 0.01, greatest: 100 } as const;
function putScale(scale: number): readonly Fault[] {
  if (!(scale >= SCALES.least) || scale > SCALES.greatest)
    return [{ code: 'out-of-range', path: 'scale', value: String(scale), rule: 'must be from 1 to 10000 %' }];
  void reading.take({ scale });
  return [];
}

/** Room for the drawing (px). */
const BOX = { width: 420, height: 170, air: 12 } as const;
const view = computed(() => {
  const { whole = [], taken = [] } = reading.asked?.look ?? {};
  const all = [...whole, ...taken];
  const [left, right] = [Math.min(...all.map(([, x]) => x)), Math.max(...all.map(([, , x]) => x))];
  const [low, high] = [Math.min(...all.map(([z]) => z)), Math.max(...all.map(([z]) => z))];
  const scale = Math.min(
    (BOX.width - 2 * BOX.air) / (right - left),
    (BOX.height - 2 * BOX.air) / Math.max(1, high - low),
  );
  const point = (x: number, z: number) =>
    `${(BOX.width / 2 + scale * (x - (left + right) / 2)).toFixed(1)} ${(BOX.height - BOX.air - scale * (z - low)).toFixed(1)}`;
  const path = (rows: Silhouette) =>
    rows.length === 0
      ? ''
      : `M${rows.map(([z, x]) => point(x, z)).join('L')}L${[...rows]
          .reverse()
          .map(([z, , x]) => point(x, z))
          .join('L')}Z`;
  return { whole: path(whole), taken: path(taken) };
});
const size = computed(() => {
  const [x = 0, y = 0, z = 0] = reading.asked?.look.size ?? [];
  return `${lengths.figure(x)} × ${lengths.length(y)}, ${lengths.length(z)} high`;
});
</script>

<template>
  <SheetDialog v-model="open" max-width="480" aria-labelledby="mesh-heading">
    <section v-if="reading.asked" class="mesh">
      <h2 id="mesh-heading">{{ reading.asked.name }}</h2>
      <p class="size" data-testid="mesh-size">{{ size }}</p>
      <svg
        :viewBox="`0 0 ${BOX.width} ${BOX.height}`"
        role="img"
        aria-label="The mould from the side; the part that is used is filled"
      >
        <path class="whole" :d="view.whole" />
        <path class="taken" :d="view.taken" />
      </svg>
      <p class="label">It is drawn in</p>
      <OneOf
        label="It is drawn in"
        :value="reading.asked.taking.unit"
        :choices="UNITS"
        @choose="(unit) => reading.take({ unit })"
      />
      <p class="label">Which of its axes points up</p>
      <OneOf
        label="Which of its axes points up"
        :value="reading.asked.taking.up"
        :choices="UPS"
        @choose="(up) => reading.take({ up })"
      />
      <NumberField
        label="Scale"
        name="mesh-scale"
        unit=" %"
        :factor="0.01"
        :value="reading.asked.taking.scale"
        :take="putScale"
        :done="() => undefined"
      />
      <ChoiceField
        v-if="reading.asked.look.closed"
        label="The clay meets"
        name="mesh-face"
        :value="reading.asked.taking.face"
        :choices="FACES"
        @choose="(face) => reading.take({ face })"
      />
      <VAlert v-if="reading.asked.look.trouble" type="error"
        >It {{ lengths.words(reading.asked.look.trouble) }}.</VAlert
      >
      <div class="verbs">
        <VBtn variant="flat" :disabled="reading.asked.look.trouble !== null || reading.busy" @click="reading.accept()">
          Take this mould
        </VBtn>
        <VBtn @click="reading.leave()">Leave it</VBtn>
      </div>
    </section>
  </SheetDialog>
</template>

<style scoped>
.mesh {
  display: grid;
  gap: 8px;
  padding: 20px 22px;
  background: var(--panel);
}
h2 {
  font-size: 20px;
  overflow-wrap: anywhere;
}
.size {
  font-size: 22px;
  font-weight: 700;
}
svg {
  width: 100%;
  background: var(--cloth);
  border-radius: 8px;
}
.whole {
  fill: none;
  stroke: var(--ink-soft);
  stroke-dasharray: 6 4;
}
.taken {
  fill: var(--slab);
  stroke: var(--slab-edge);
  stroke-width: 2;
}
.label {
  color: var(--ink-soft);
  margin-bottom: -8px;
}
.verbs {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
