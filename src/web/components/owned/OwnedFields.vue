<script setup lang="ts">
import { sizeOf, type KitItem } from '../../../core/studio/kit/kit.ts';
import { useMasses } from '../../composables/useMasses.ts';
import TextField from '../fields/TextField.vue';
import FoldDrawing from './FoldDrawing.vue';
import { foldOf, FOLDS, layersOf, type Fold } from './folds.ts';
import KitNames from './KitNames.vue';
import type { RoundAndBowl } from '../../../core/studio/reverse/bowl.ts';
import type { LongArc } from '../../../core/studio/reverse/arcTemplate.ts';
import type { Fault } from '../../../core/errors.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import LengthField from '../fields/LengthField.vue';
import NumberField from '../fields/NumberField.vue';
import OptionalLength from '../fields/OptionalLength.vue';
import type { Choice } from '../fields/choice.ts';
import OwnedMaking from './OwnedMaking.vue';
import { putMeasure } from './putMeasure.ts';
import { SHEETS, type ArcWay, type Owned, type OwnedKind } from './owned.ts';

/** What is owned, its measures, and the slab and clay that it is used with. */
const props = defineProps<{ owned: Owned }>();
const { kind, way, long, arc, ruled, slideTo, sheet, cutter, former, round, clay } = props.owned;

const KINDS: readonly Choice<OwnedKind>[] = [
  { value: 'arc', title: 'an arc template', why: 'A curved paper or card that has served for a cup before.' },
  { value: 'sheet', title: 'a sheet of paper', why: 'A sheet as it is bought, or folded, wrapped round.' },
  { value: 'cutter', title: 'a round cutter', why: 'A straight piece whose base the cutter cuts.' },
  { value: 'former', title: 'a former', why: 'A pipe or can with a paper sleeve.' },
  { value: 'round', title: 'a round, and a bowl', why: 'How high a bowl comes from a round of clay.' },
  { value: 'mass', title: 'clay, by its weight', why: 'What can be made of 500 g?' },
];
const MEASURED: readonly Choice<RoundAndBowl['measured']>[] = [
  { value: 'mould', title: 'the mould', why: 'Across the rim of the bowl that it is pressed into or laid over.' },
  { value: 'fired', title: 'the fired bowl', why: 'Across the outside of the finished bowl.' },
];
const SIDES: readonly Choice<RoundAndBowl['side']>[] = [
  { value: 'slump', title: 'in a hollow', why: 'Its outside lies in the mould.' },
  { value: 'hump', title: 'over a hump', why: 'Its inside lies on the mould.' },
];
const WAYS: readonly Choice<ArcWay>[] = [
  { value: 'radii', title: 'radii and sweep', why: 'Both radii from the centre, and the angle between the ends.' },
  {
    value: 'ruler',
    title: 'with a ruler',
    why: 'Straight across the long arc, its rise in the middle, and along an end.',
  },
];
const LONG: readonly Choice<LongArc>[] = [
  { value: 'rim', title: 'the rim', why: 'The piece flares: wide above.' },
  { value: 'foot', title: 'the foot', why: 'The piece closes: wide below.' },
];

function putSleeve(mm: number): readonly Fault[] {
  former.sleeve = Math.max(0, mm);
  return [];
}
const putSlide = (mm: number | undefined): readonly Fault[] => {
  slideTo.value = mm;
  return [];
};
const masses = useMasses();
function putMass(text: string): readonly Fault[] {
  const mass = masses.read(text);
  if (mass === null || !(mass > 0))
    return [{ code: 'unreadable', path: 'mass', value: text, rule: `write a mass such as ${masses.write(500)}` }];
  Object.assign(clay, { mass });
  return [];
}
function foldSheet(fold: Fold): void {
  Object.assign(sheet, layersOf(fold));
}
/** A template of the kit is measured with a ruler. */
function takeTemplate(item: KitItem): void {
  way.value = 'ruler';
  Object.assign(ruled, { chord: sizeOf(item, 'chord'), rise: sizeOf(item, 'rise'), length: sizeOf(item, 'along') });
}
/** A mould of the kit by its shorter side: a bowl is round. */
function takeMould(item: KitItem): void {
  const bowl = Math.min(sizeOf(item, 'length'), sizeOf(item, 'width'));
  Object.assign(round, { bowl, measured: 'mould', side: item.mould?.side ?? round.side });
}
const done = () => undefined;
</script>

<template>
  <section aria-labelledby="owned-heading">
    <h2 id="owned-heading">What you own</h2>
    <ChoiceField label="It is" name="owned" :value="kind" :choices="KINDS" @choose="(value) => (kind = value)" />
    <template v-if="kind === 'arc'">
      <KitNames kind="template" @choose="takeTemplate" />
      <ChoiceField label="Measured by" name="way" :value="way" :choices="WAYS" @choose="(value) => (way = value)" />
      <template v-if="way === 'radii'">
        <LengthField label="Inner radius" name="inner" :mm="arc.inner" :take="putMeasure(arc, 'inner')" :done="done" />
        <LengthField label="Outer radius" name="outer" :mm="arc.outer" :take="putMeasure(arc, 'outer')" :done="done" />
        <NumberField
          label="Sweep"
          name="sweep"
          unit="°"
          :value="arc.sweep"
          :take="putMeasure(arc, 'sweep')"
          :done="done"
        />
      </template>
      <template v-else>
        <LengthField
          label="Across the long arc"
          name="chord"
          :mm="ruled.chord"
          :take="putMeasure(ruled, 'chord')"
          :done="done"
        />
        <LengthField label="Its rise" name="rise" :mm="ruled.rise" :take="putMeasure(ruled, 'rise')" :done="done" />
        <LengthField
          label="Along an end"
          name="along"
          :mm="ruled.length"
          :take="putMeasure(ruled, 'length')"
          :done="done"
        />
      </template>
      <ChoiceField
        label="Long arc makes"
        name="long"
        :value="long"
        :choices="LONG"
        @choose="(value) => (long = value)"
      />
      <OptionalLength :label="`Slide it to a ${long} of`" name="slide" :mm="slideTo" :take="putSlide" :done="done" />
    </template>
    <template v-else-if="kind === 'sheet'">
      <div class="sheets">
        <VBtn
          v-for="size in SHEETS"
          :key="size.name"
          @click="Object.assign(sheet, { around: size.around, up: size.up })"
        >
          {{ size.name }}
        </VBtn>
        <VBtn
          @click="
            Object.assign(sheet, {
              around: sheet.up,
              up: sheet.around,
              layersAround: sheet.layersUp,
              layersUp: sheet.layersAround,
            })
          "
        >
          Turn it
        </VBtn>
      </div>
      <LengthField
        label="Side that goes round"
        name="around"
        :mm="sheet.around"
        :take="putMeasure(sheet, 'around')"
        :done="done"
      />
      <LengthField label="Side that stands" name="up" :mm="sheet.up" :take="putMeasure(sheet, 'up')" :done="done" />
      <ChoiceField label="Folded" name="fold" :value="foldOf(sheet)" :choices="FOLDS" @choose="foldSheet">
        <template #drawing="{ choice }"><FoldDrawing :fold="choice.value" /></template>
      </ChoiceField>
    </template>
    <template v-else-if="kind === 'mass'">
      <TextField
        label="Clay, wet"
        name="mass"
        :value="masses.write(clay.mass)"
        :most="40"
        :take="putMass"
        :done="done"
      />
      <NumberField
        label="Height to width"
        name="tall"
        unit=""
        :value="clay.tall"
        :take="putMeasure(clay, 'tall')"
        :done="done"
      />
    </template>
    <template v-else-if="kind === 'cutter'">
      <KitNames kind="cutter" @choose="(item) => (cutter.diameter = sizeOf(item, 'diameter'))" />
      <LengthField
        label="Cutter, across"
        name="cutter"
        :mm="cutter.diameter"
        :take="putMeasure(cutter, 'diameter')"
        :done="done"
      />
      <LengthField
        label="Height wanted, fired"
        name="height"
        :mm="cutter.height"
        :take="putMeasure(cutter, 'height')"
        :done="done"
      />
    </template>
    <template v-else-if="kind === 'round'">
      <KitNames kind="mould" @choose="takeMould" />
      <LengthField
        label="Round, across, wet"
        name="round"
        :mm="round.circle"
        :take="putMeasure(round, 'circle')"
        :done="done"
      />
      <LengthField label="Bowl, across" name="bowl" :mm="round.bowl" :take="putMeasure(round, 'bowl')" :done="done" />
      <ChoiceField
        label="Which is"
        name="bowl-measured"
        :value="round.measured"
        :choices="MEASURED"
        @choose="(value) => Object.assign(round, { measured: value })"
      />
      <ChoiceField
        label="The slab lies"
        name="bowl-side"
        :value="round.side"
        :choices="SIDES"
        @choose="(value) => Object.assign(round, { side: value })"
      />
    </template>
    <template v-else>
      <KitNames
        kind="former"
        @choose="
          (item) => Object.assign(former, { diameter: sizeOf(item, 'diameter'), sleeve: sizeOf(item, 'sleeve') })
        "
      />
      <LengthField
        label="Former, across"
        name="former"
        :mm="former.diameter"
        :take="putMeasure(former, 'diameter')"
        :done="done"
      />
      <LengthField label="Sleeve, thick" name="sleeve" :mm="former.sleeve" :take="putSleeve" :done="done" />
      <LengthField
        label="Height, wet"
        name="height"
        :mm="former.height"
        :take="putMeasure(former, 'height')"
        :done="done"
      />
    </template>
    <OwnedMaking :owned="owned" />
  </section>
</template>

<style scoped>
.sheets {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 10px 0;
}
</style>
