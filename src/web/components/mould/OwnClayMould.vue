<script setup lang="ts">
import { computed } from 'vue';
import { barFigures } from '../../../core/studio/clay/bars.ts';
import type { Fault } from '../../../core/errors.ts';
import { castsOf, modelOf } from '../../../core/bench/ownMould/castMould.ts';
import type { MouldCast, OwnMould } from '../../../core/target/mouldForm.ts';
import { supportOf } from '../../../core/parts/plan/plan.ts';
import { acrossOf } from '../../../core/forms/kind/standing.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import { useClays } from '../../stores/records.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import LengthField from '../fields/LengthField.vue';
import NumberField from '../fields/NumberField.vue';
import { bookedClay } from '../piece/bookedClay.ts';
import { CAST_FACE_WAYS, MOULD_STATE_WAYS } from './mouldWays.ts';

/** Shrinkages that differ by less are shown alike: a twentieth of a per cent. */
const SAME_SHRINKAGE = 5e-4;

/** A mould of the potter's own clay: how it shrank, the casts that it comes from, and the model that it needs. */
const piece = usePiece();
const lengths = useLengths();
const mould = computed(() => (piece.beside.target.form.kind === 'mould' ? piece.beside.target.form : null));
const casts = computed(() => (mould.value?.own ? castsOf(mould.value.own) : []));

/** Without shrinkage the mould is of plaster, wood or another material that keeps its size. */
function own(change: Partial<OwnMould>): readonly Fault[] {
  const { form } = piece.target;
  if (form.kind !== 'mould') return [];
  const { own: before, ...rest } = form;
  const next = { shrinkage: before?.shrinkage ?? 0, casts: before?.casts ?? 1, ...before, ...change };
  return piece.change({ ...piece.target, form: next.shrinkage === 0 ? rest : { ...rest, own: next } }, 'mould.own');
}
const putCast = (index: number, change: Partial<MouldCast>) =>
  own({ casts: casts.value.map((one, at) => (at === index ? { ...one, ...change } : one)) });
function countCasts(count: number): readonly Fault[] {
  const more = Array.from(
    { length: Math.max(0, Math.round(count)) },
    (_, index) => casts.value[index] ?? { thickness: 0, face: 'same' as const },
  );
  return own({ casts: more });
}

/** What the piece's own clay shrinks by to the mould's state, where the clay book has bars of it. */
const booked = computed(() => {
  const state = mould.value?.own?.state;
  if (state !== 'dry' && state !== 'bisque' && state !== 'fired') return null;
  const found = bookedClay(piece.beside.target, useClays().list);
  const mean = found && barFigures(found.clay.bars).total[state]?.mean;
  return mean === null || mean === undefined || Math.abs(mean - (mould.value?.own?.shrinkage ?? 0)) < SAME_SHRINKAGE
    ? null
    : mean;
});
const model = computed(() => {
  if (!mould.value?.own) return null;
  const form = modelOf(mould.value);
  const [length, width] = acrossOf(supportOf(form.rim));
  return { length, width, depth: form.depth };
});
</script>

<template>
  <section v-if="mould" aria-labelledby="own-clay-heading">
    <h2 id="own-clay-heading">A mould of your own clay</h2>
    <NumberField
      label="Its clay shrank by"
      name="own-shrinkage"
      unit=" %"
      :digits="1"
      :factor="0.01"
      zero="not at all"
      :value="mould.own?.shrinkage ?? 0"
      :take="(shrinkage) => own({ shrinkage })"
      :done="piece.endGesture"
    />
    <template v-if="mould.own">
      <NumberField
        label="Times it was cast"
        name="own-casts"
        unit=""
        :digits="0"
        :value="casts.length"
        :take="countCasts"
        :done="piece.endGesture"
      />
      <template v-for="(cast, index) in casts" :key="index">
        <ChoiceField
          :label="`Cast ${index + 1}, used by`"
          :name="`cast-face-${index}`"
          :value="cast.face"
          :choices="CAST_FACE_WAYS"
          @choose="(face) => putCast(index, { face, thickness: cast.thickness || piece.target.slab.wall })"
        />
        <LengthField
          v-if="cast.face !== 'same'"
          :label="`Cast ${index + 1}, thick`"
          :name="`cast-thickness-${index}`"
          :mm="cast.thickness"
          :take="(thickness) => putCast(index, { thickness })"
          :done="piece.endGesture"
        />
      </template>
      <ChoiceField
        label="It is now"
        name="own-state"
        :value="mould.own.state ?? 'leather-hard'"
        :choices="MOULD_STATE_WAYS"
        @choose="(state) => own({ state })"
      />
      <VBtn v-if="booked !== null" @click="own({ shrinkage: booked })">
        As {{ piece.beside.target.clay.name }} shrinks by then: {{ (100 * booked).toFixed(1) }} %
      </VBtn>
      <p v-if="model" data-testid="model">
        Model it <strong>{{ lengths.figure(model.length) }} × {{ lengths.length(model.width) }}</strong
        >, {{ lengths.length(model.depth) }} deep.
      </p>
    </template>
  </section>
</template>

<style scoped>
p {
  font-size: 15px;
  padding-top: 6px;
}
</style>
