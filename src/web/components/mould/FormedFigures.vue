<script setup lang="ts">
import { computed } from 'vue';
import { barFigures } from '../../../core/clay/bars.ts';
import { firedLength } from '../../../core/clay/shrinkage.ts';
import type { Fault } from '../../../core/errors.ts';
import { modelFactor, mouldFor, type FormedSize } from '../../../core/mould/neededMould.ts';
import type { OwnMould } from '../../../core/mould/mouldForm.ts';
import { supportOf } from '../../../core/outline/plan.ts';
import { acrossOf } from '../../../core/piece/standing.ts';
import LengthField from '../fields/LengthField.vue';
import NumberField from '../fields/NumberField.vue';
import { isDraped } from '../../../core/mould/draped.ts';
import { kindOf } from '../../../core/piece/kinds/kinds.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import { useClays } from '../../stores/records.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import { bookedClay } from '../piece/bookedClay.ts';
import { MOULD_STATE_WAYS } from './mouldWays.ts';

/** The piece that the mould gives, and beside the blank of a round one the two circles of the bench. */
const piece = usePiece();
const lengths = useLengths();
const numbers = computed(() => piece.beside.developed.numbers);
const circles = computed(() => {
  const { lengthTrue, areaTrue, girthExcess } = numbers.value;
  if (lengthTrue === undefined || areaTrue === undefined || girthExcess === undefined) return null;
  return { length: 2 * lengthTrue, area: 2 * areaTrue, excess: girthExcess };
});
const out = computed(() => {
  const { target } = piece.beside;
  if (!isDraped(target)) return null;
  const { across, mouth, height } = kindOf(target).standing(target);
  const fired = (mm: number) => firedLength(mm, target.clay.shrinkage);
  return { outside: across.map(fired), inside: mouth.map(fired), height: fired(height) };
});

const mould = computed(() => (piece.beside.target.form.kind === 'mould' ? piece.beside.target.form : null));
const formed = computed(() => {
  const round = mould.value?.rim.kind === 'circle' || mould.value?.rim.kind === 'polygon';
  const [length = 0, width = 0] = out.value?.outside ?? [];
  return [
    { size: 'length' as const, label: round ? 'Outside, across' : 'Outside, length', mm: length },
    ...(round ? [] : [{ size: 'width' as const, label: 'Outside, width', mm: width }]),
    { size: 'height' as const, label: 'High', mm: out.value?.height ?? 0 },
  ];
});
const need = (size: FormedSize) => (mm: number) =>
  isDraped(piece.target) ? piece.change(mouldFor(piece.target, size, mm), `formed.${size}`) : [];

/** Without shrinkage the mould is of plaster, wood or another stuff that keeps its size. */
function own(change: Partial<OwnMould>): readonly Fault[] {
  const { form } = piece.target;
  if (form.kind !== 'mould') return [];
  const { own: before, ...rest } = form;
  const next = { shrinkage: before?.shrinkage ?? 0, casts: before?.casts ?? 1, ...change };
  return piece.change({ ...piece.target, form: next.shrinkage === 0 ? rest : { ...rest, own: next } }, 'mould.own');
}
/** What the piece's own clay shrinks by to the mould's state, where the clay book has bars of it. */
const booked = computed(() => {
  const state = mould.value?.own?.state;
  if (state !== 'dry' && state !== 'bisque' && state !== 'fired') return null;
  const found = bookedClay(piece.beside.target, useClays().list);
  const mean = found && barFigures(found.clay.bars).total[state]?.mean;
  return mean === null || mean === undefined || Math.abs(mean - (mould.value?.own?.shrinkage ?? 0)) < 5e-4 ? null : mean; // prettier-ignore
});
const model = computed(() => {
  if (!mould.value?.own) return null;
  const factor = modelFactor(mould.value.own);
  const [length, width] = acrossOf(supportOf(mould.value.rim));
  return { length: length * factor, width: width * factor, depth: mould.value.depth * factor };
});
</script>

<template>
  <section v-if="out">
    <h2>What the mould gives, fired</h2>
    <template v-if="mould">
      <LengthField
        v-for="one in formed"
        :key="one.size"
        :label="one.label"
        :name="`formed-${one.size}`"
        :mm="one.mm"
        :take="need(one.size)"
        :done="piece.endGesture"
      />
    </template>
    <dl>
      <div v-if="!mould">
        <dt>Outside</dt>
        <dd>{{ lengths.figure(out.outside[0] ?? 0) }} × {{ lengths.length(out.outside[1] ?? 0) }}</dd>
      </div>
      <div>
        <dt>Inside</dt>
        <dd>{{ lengths.figure(out.inside[0] ?? 0) }} × {{ lengths.length(out.inside[1] ?? 0) }}</dd>
      </div>
      <div v-if="!mould">
        <dt>High</dt>
        <dd>{{ lengths.length(out.height) }}</dd>
      </div>
    </dl>
    <template v-if="mould">
      <h2>A mould of your own clay</h2>
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
      <NumberField
        v-if="mould.own"
        label="Times it shrank"
        name="own-casts"
        unit=""
        :digits="0"
        :value="mould.own.casts"
        :take="(casts) => own({ casts })"
        :done="piece.endGesture"
      />
      <ChoiceField
        v-if="mould.own"
        label="It is now"
        name="own-state"
        :value="mould.own.state ?? 'leather-hard'"
        :choices="MOULD_STATE_WAYS"
        @choose="(state) => own({ state })"
      />
      <button v-if="booked !== null" type="button" class="quiet" @click="own({ shrinkage: booked })">
        As {{ piece.beside.target.clay.name }} shrinks by then: {{ (100 * booked).toFixed(1) }} %
      </button>
      <p v-if="model" data-testid="model">
        Model it <strong>{{ lengths.figure(model.length) }} × {{ lengths.length(model.width) }}</strong
        >, {{ lengths.length(model.depth) }} deep.
      </p>
    </template>
    <template v-if="circles">
      <h2>As a plain circle, without margin</h2>
      <dl>
        <div>
          <dt>By length</dt>
          <dd data-testid="length-true">Ø {{ lengths.length(circles.length) }}</dd>
        </div>
        <div>
          <dt>By area</dt>
          <dd data-testid="area-true">Ø {{ lengths.length(circles.area) }}</dd>
        </div>
      </dl>
      <p>Cut by length, its edge is {{ lengths.length(circles.excess) }} too long for the rim: it must gather.</p>
    </template>
  </section>
</template>

<style scoped>
h2 {
  font-size: 17px;
  margin-bottom: 4px;
}
dl div {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 5px 2px;
  border-bottom: 1px solid var(--line);
}
dd {
  font-weight: 700;
  font-size: 18px;
  white-space: nowrap;
}
dl + h2 {
  margin-top: 14px;
}
p {
  font-size: 15px;
  padding-top: 6px;
}
</style>
