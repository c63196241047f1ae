<script setup lang="ts">
import { computed } from 'vue';
import { thicknesses } from '../../../core/studio/kit/kit.ts';
import { LIMITS } from '../../../core/target/target.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import { useKit } from '../../stores/records.ts';

/** The thicknesses that the kit rolls to: one press sets wall and base, which dry together when they are alike. */
const piece = usePiece();
const kit = useKit();
const lengths = useLengths();

/** Thicker slabs are passed through on the way, not built with (mm). */
const GREATEST = 13;

const offered = computed(() => {
  const all = thicknesses(kit.list.map(({ body }) => body)).map(({ thickness }) => thickness);
  return [...new Set(all)].filter((one) => one >= LIMITS.thickness.least && one <= GREATEST);
});

/** As fractions in inches: 3/16, 1/4, 5/16; fine enough that no two sticks read alike. */
const written = computed(() =>
  lengths.style.value.unit === 'inch' ? lengths.apart(offered.value) : offered.value.map(lengths.editable),
);

function take(thickness: number): void {
  const { slab } = piece.target;
  piece.change({ ...piece.target, slab: { ...slab, wall: thickness, base: thickness } });
}
</script>

<template>
  <p v-if="offered.length" class="sticks">
    <span>Your sticks and roller</span>
    <VBtn
      v-for="(one, index) in offered"
      :key="one"
      variant="text"
      :aria-pressed="one === piece.beside.target.slab.wall && one === piece.beside.target.slab.base"
      :aria-label="`Wall and base ${lengths.length(one)}`"
      @click="take(one)"
    >
      {{ written[index] }}
    </VBtn>
  </p>
</template>

<style scoped>
.sticks {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
  padding: 6px 0;
  border-bottom: 1.5px dotted var(--line);
}
.sticks span {
  flex-basis: 100%;
  color: var(--ink-soft);
}
</style>
