<script setup lang="ts">
import { computed } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { kindOf } from '../../../core/forms/kinds.ts';
import type { Base, Target } from '../../../core/target/target.ts';
import type { Seam } from '../../../core/target/seam.ts';
import { usePiece } from '../../stores/piece.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import LengthField from '../fields/LengthField.vue';
import NumberField from '../fields/NumberField.vue';
import FoldAway from '../frame/FoldAway.vue';
import { FOLD_WAYS, RIM_WAYS } from './formWays.ts';
import CutterField from './CutterField.vue';
import MarkFields from './MarkFields.vue';
import { WordHelp } from './laterParts.ts';
import RuleOfThree from './RuleOfThree.vue';
import {
  BASE_WAYS,
  baseOfJoin,
  DEFAULT_TRIM,
  TRACED_WAY,
  type BaseWay,
  CORNER_WAYS,
  FACE_UP_WAYS,
  SEAM_WAYS,
  seamOfKind,
} from './ways.ts';

/** How the flat parts are cut and joined. */
const piece = usePiece();
const target = computed(() => piece.target);
const seam = computed(() => target.value.seam);
const base = computed(() => target.value.base);

function put(group: string, next: Partial<Target>): readonly Fault[] {
  return piece.change({ ...target.value, ...next }, group);
}
const putSeam = (key: string) => (value: number) =>
  put(`seam.${key}`, { seam: { ...seam.value, [key]: value } as Seam });
const putBase = (key: string) => (value: number) =>
  put(`base.${key}`, { base: { ...base.value, [key]: value } as Base });
const putNeutral = (neutralFraction: number) =>
  put('slab.neutralFraction', { slab: { ...target.value.slab, neutralFraction } });
/** A strip is rolled, not joined: it has neither seam nor base. */
const strip = computed(() => ['stand', 'sheet'].includes(target.value.form.kind));
const traits = computed(() => kindOf(target.value).traits);
/** Which seams it is joined with where its parts are pieces of their own; null where any will do. */
const ownSeams = computed(() => kindOf(target.value).seams?.(target.value.form).kinds ?? null);
const seamWays = computed(() =>
  target.value.form.kind === 'box'
    ? CORNER_WAYS
    : SEAM_WAYS.filter(({ value }) => ownSeams.value?.includes(value) !== false),
);
const baseWay = computed<BaseWay>(() =>
  base.value.join === 'under' && base.value.trim > 0 ? 'traced' : base.value.join,
);
function chooseBase(way: BaseWay): void {
  const next =
    way === 'traced'
      ? baseOfJoin('under', DEFAULT_TRIM)
      : baseOfJoin(way, baseWay.value === 'traced' ? 0 : base.value.trim);
  piece.change({ ...target.value, base: next });
}
const done = () => piece.endGesture();
</script>

<template>
  <section aria-labelledby="flat-heading">
    <h2 id="flat-heading">How it is cut</h2>
    <ChoiceField
      label="Face up"
      name="faceUp"
      :value="target.slab.faceUp"
      :choices="FACE_UP_WAYS"
      @choose="(faceUp) => piece.change({ ...target, slab: { ...target.slab, faceUp } })"
    />
    <template v-if="!strip">
      <ChoiceField
        v-if="seamWays.length > 1"
        :label="target.form.kind === 'box' ? 'Corners' : 'Seam'"
        name="seam"
        :value="seam.kind"
        :choices="seamWays"
        @choose="(kind) => piece.change({ ...target, seam: seamOfKind(kind, seam.panels) })"
      />
      <NumberField
        v-if="seam.kind === 'bevel' && !traits.panels"
        label="Slant, from the face"
        name="angle"
        unit="°"
        :value="seam.angle"
        :take="putSeam('angle')"
        :done="done"
      />
      <LengthField
        v-if="seam.kind === 'lap' || seam.kind === 'half-lap'"
        label="Overlap"
        name="overlap"
        :mm="seam.overlap"
        :take="putSeam('overlap')"
        :done="done"
      />
      <LengthField
        v-if="seam.kind === 'cut-in-place'"
        label="Spare at each end"
        name="margin"
        :mm="seam.margin"
        :take="putSeam('margin')"
        :done="done"
      />
      <ChoiceField
        v-if="target.form.kind === 'facet'"
        label="Sides are"
        name="fold"
        :value="target.form.fold"
        :choices="FOLD_WAYS"
        @choose="(fold) => target.form.kind === 'facet' && piece.change({ ...target, form: { ...target.form, fold } })"
      />
      <div v-if="traits.rimCut" class="explained">
        <WordHelp word="square rim, level rim" />
        <ChoiceField
          label="Rim"
          name="rim-cut"
          :value="target.rim"
          :choices="RIM_WAYS"
          @choose="(rim) => piece.change({ ...target, rim })"
        />
      </div>
      <NumberField
        v-if="!ownSeams"
        label="Wall in pieces"
        name="panels"
        unit=""
        :digits="0"
        :value="seam.panels"
        :take="putSeam('panels')"
        :done="done"
      />
      <ChoiceField
        label="Base"
        name="base"
        :value="baseWay"
        :choices="[...BASE_WAYS, TRACED_WAY]"
        @choose="chooseBase"
      />
      <LengthField
        v-if="base.join === 'skirt'"
        label="Skirt"
        name="skirt"
        :mm="base.overlap"
        :take="putBase('overlap')"
        :done="done"
      />
      <LengthField
        v-if="base.join !== 'none'"
        label="Trim after joining"
        name="trim"
        :mm="base.trim"
        :take="putBase('trim')"
        :done="done"
      />
    </template>
    <FoldAway title="Neutral surface" :holds="`${target.slab.neutralFraction} of the way out`">
      <WordHelp word="neutral fraction" />
      <NumberField
        label="Neutral fraction"
        name="neutralFraction"
        unit=""
        :value="target.slab.neutralFraction"
        :take="putNeutral"
        :done="done"
      />
    </FoldAway>
    <template v-if="!strip">
      <CutterField />
      <RuleOfThree />
      <MarkFields />
    </template>
  </section>
</template>

<style scoped>
.explained {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
}
.explained > :first-child {
  order: 1;
}
</style>
