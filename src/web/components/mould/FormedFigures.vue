<script setup lang="ts">
import { computed } from 'vue';
import { firedLength } from '../../../core/units/shrinkage.ts';
import { mouldFor, type FormedSize } from '../../../core/bench/ownMould/neededMould.ts';
import LengthField from '../fields/LengthField.vue';
import { isDraped } from '../../../core/forms/mould/draped.ts';
import { kindOf } from '../../../core/forms/kinds.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';

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
