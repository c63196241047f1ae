<script setup lang="ts">
import type { Fault } from '../../../core/errors.ts';
import { ovalFromRing, ringOf } from '../../../core/studio/reverse/ovalFromRing.ts';
import { standFromStrip } from '../../../core/studio/reverse/strip.ts';
import { rollsOf } from '../../../core/forms/stand/stand.ts';
import { computed } from 'vue';
import { planReach } from '../../../core/parts/plan/plan.ts';
import type { PlanOutline } from '../../../core/target/plan.ts';
import { formOfKind } from '../../../core/forms/formOfKind.ts';
import { formSizes } from '../../../core/forms/formSizes.ts';
import type { FormKind, Target } from '../../../core/target/target.ts';
import { usePiece } from '../../stores/piece.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import OptionalLength from '../fields/OptionalLength.vue';
import LengthField from '../fields/LengthField.vue';
import NumberField from '../fields/NumberField.vue';
import ProfilePoints from './ProfilePoints.vue';
import { FormGrid, GoreFields, MouldFields, PlanFile, SheetFields } from './laterParts.ts';
import { useOpenedParts } from '../../composables/openedParts.ts';
import { without } from '../../without.ts';
import { FORM_WAYS, planOfKind, planWays } from './formWays.ts';

/** The form of the piece and its sizes. */
const stands = useOpenedParts();
const piece = usePiece();
const form = computed(() => piece.beside.target.form);
/** A mould from a file is reached by reading the file. */
const formWays = computed(() => FORM_WAYS.filter(({ value }) => value !== 'mesh' || form.value.kind === 'mesh'));
/** A full dome has no foot. */
const plannedEdges = computed(() =>
  form.value.kind === 'mould' && !form.value.foot ? (['rim'] as const) : (['rim', 'foot'] as const),
);
const sizes = computed(() => formSizes(form.value));
/** Fields are made a few at a time. */
const SIZES_AT_ONCE = 4;
const madeSizes = computed(() => {
  const turns = ['sizes', 'more sizes'] as const;
  return stands('all sizes') ? sizes.value : sizes.value.slice(0, SIZES_AT_ONCE * turns.filter(stands).length);
});

function take(key: string) {
  return (value: number) => {
    const size = formSizes(piece.target.form).find((one) => one.key === key);
    return size ? piece.change({ ...piece.target, form: size.put(value) }, `form.${key}`) : [];
  };
}

function chooseKind(kind: FormKind): void {
  // A template that is owned goes with the cone it was traced for.
  piece.change(without({ ...piece.target, owned: undefined, form: formOfKind(kind, piece.target.form) } as Target));
}

function choosePlan(edge: 'rim' | 'foot', kind: PlanOutline['kind']): void {
  const { form: now } = piece.target;
  if ((now.kind !== 'loft' && now.kind !== 'mould') || kind === 'drawn') return;
  const plan = now[edge];
  if (plan) piece.change({ ...piece.target, form: { ...now, [edge]: planOfKind(kind, planReach(plan)) } });
}

const ROLL_WAYS = [
  { value: 'one', title: 'both alike', why: 'One size for both ends of the strip.' },
  { value: 'two', title: 'back larger', why: 'A large roll holds the back, a small one stops the foot.' },
] as const;

/** A front roll is about so much of the back one. */
const FRONT_SHARE = 0.7;

function chooseRolls(way: 'one' | 'two'): void {
  const { target } = piece;
  if (target.form.kind !== 'stand') return;
  const { back } = rollsOf(target.form);
  const roll = way === 'one' ? back : { back, front: Math.round(FRONT_SHARE * back) };
  piece.change({ ...target, form: { ...target.form, roll } });
}

function fromStrip(mm: number | undefined): readonly Fault[] {
  if (mm === undefined) return [];
  const found = standFromStrip(piece.target, mm);
  if (found.kind === 'made') return piece.change(found.target);
  return [{ code: 'impossible-piece', path: 'form.roll', value: `${mm}`, rule: found.rule }];
}

/** A round ring is squeezed to the oval: it keeps its length, and its width follows. */
function fromRing(ring: number): readonly Fault[] {
  const { target } = piece;
  if (target.form.kind !== 'oval') return [];
  const oval = ovalFromRing(target.form, ring);
  if (oval) return piece.change({ ...target, form: oval }, 'form.ring');
  return [{ code: 'impossible-piece', path: 'form.width', value: `${ring}`, rule: 'makes no oval of that length' }];
}
</script>

<template>
  <div>
    <ChoiceField label="Form" name="form" :value="form.kind" :choices="formWays" @choose="chooseKind">
      <template #ways="{ choose }"><FormGrid :value="form.kind" @choose="choose" /></template>
    </ChoiceField>
    <MouldFields v-if="stands('hold') && (form.kind === 'mould' || form.kind === 'mesh')" />
    <SheetFields v-if="stands('hold') && form.kind === 'sheet'" />
    <GoreFields v-if="form.kind === 'gores'" :form="form" />
    <template v-if="form.kind === 'loft' || form.kind === 'mould'">
      <ChoiceField
        v-for="edge in plannedEdges"
        :key="edge"
        :label="edge === 'rim' ? 'Rim is' : 'Foot is'"
        :name="`${edge}-plan`"
        :value="form[edge]?.kind ?? 'circle'"
        :choices="planWays(form[edge]?.kind)"
        @choose="(kind) => choosePlan(edge, kind)"
      />
      <PlanFile v-if="stands('plan file')" />
    </template>
    <ChoiceField
      v-if="form.kind === 'stand'"
      label="Rolls"
      name="rolls"
      :value="typeof form.roll === 'object' ? 'two' : 'one'"
      :choices="ROLL_WAYS"
      @choose="chooseRolls"
    />
    <OptionalLength
      v-if="form.kind === 'stand'"
      label="Strip you own, long, wet"
      name="owned-strip"
      :mm="undefined"
      :take="fromStrip"
      :done="() => piece.endGesture()"
    />
    <template v-for="size in madeSizes" :key="size.key">
      <NumberField
        v-if="size.unit === 'count'"
        :label="size.label"
        :name="size.key"
        unit=""
        :digits="size.key === 'friction' ? 2 : 0"
        :value="size.value"
        :take="take(size.key)"
        :done="piece.endGesture"
      />
      <LengthField
        v-else
        :label="size.label"
        :name="size.key"
        :mm="size.value"
        :take="take(size.key)"
        :done="piece.endGesture"
      />
    </template>
    <LengthField
      v-if="form.kind === 'oval'"
      label="From a round ring of"
      name="ring"
      :mm="ringOf(form)"
      :take="fromRing"
      :done="() => piece.endGesture()"
    />
    <ProfilePoints
      v-if="form.kind === 'stack'"
      :profile="form.profile"
      adds="Add a band"
      :least="2"
      @change="(profile) => form.kind === 'stack' && piece.change({ ...piece.target, form: { ...form, profile } })"
    />
  </div>
</template>
