<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { barFigures } from '../../../core/studio/clay/bars.ts';
import type { Fault } from '../../../core/errors.ts';
import { hoursToStiffen, mouldOfPiece, type NextMould } from '../../../core/bench/ownMould/castMould.ts';
import { isDraped } from '../../../core/forms/mould/draped.ts';
import { MOULD_LIMITS, type MouldState } from '../../../core/target/mouldForm.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import { useClays } from '../../stores/records.ts';
import { useShelf } from '../../stores/shelf.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';
import { bookedClay } from '../piece/bookedClay.ts';
import { MOULD_STATE_WAYS } from './mouldWays.ts';

/** The piece as the next mould: pressed into, or laid over, once it has stiffened. */
const piece = usePiece();
const shelf = useShelf();
const router = useRouter();
const lengths = useLengths();
const state = ref<MouldState>('leather-hard');
const shrunk = ref<number | null>(null);
const busy = ref(false);
const trouble = ref('');

/** Shares of the whole shrinkage that clay has done by a state, where no bar tells: about half of it is over when it is dry. */
const SHARES: Readonly<Record<MouldState, number>> = { soft: 0, 'leather-hard': 0.3, dry: 0.5, bisque: 0.55, fired: 1 };
const known = computed(() => {
  if (state.value === 'soft' || state.value === 'leather-hard') return null;
  const found = bookedClay(piece.beside.target, useClays().list);
  return (found && barFigures(found.clay.bars).total[state.value]?.mean) ?? null;
});
const usual = computed(() => known.value ?? SHARES[state.value] * piece.beside.target.clay.shrinkage);
const by = computed(() => shrunk.value ?? usual.value);
const hours = computed(() =>
  Math.round(hoursToStiffen({ shrinkage: 0, casts: 1, wall: piece.beside.target.slab.wall })),
);

function putShrunk(value: number): readonly Fault[] {
  const { least, greatest } = MOULD_LIMITS.ownShrinkage;
  if (value < least || value > greatest)
    return [
      { code: 'out-of-range', path: 'shrunk', value: String(value), rule: `must be from ${least} to ${greatest}` },
    ];
  shrunk.value = value;
  return [];
}
function choose(next: MouldState): void {
  state.value = next;
  shrunk.value = null;
}

async function make(face: NextMould['face']): Promise<void> {
  const { target } = piece;
  if (!isDraped(target)) return;
  const found = mouldOfPiece(target, { face, state: state.value, shrunk: by.value });
  trouble.value = found.kind === 'impossible' ? `That makes no mould: it ${found.rule}.` : '';
  if (found.kind === 'impossible') return;
  busy.value = true;
  await piece.keep();
  const design = await shelf.create(found.target);
  busy.value = false;
  if (design) await router.push({ name: 'piece', params: { id: design.id, stage: 'shape' } });
  else trouble.value = shelf.trouble;
}
/** The gap between the new mould and this piece's faces. */
const off = computed(() => {
  const { target } = piece.beside;
  if (!isDraped(target)) return 0;
  const all = (['inside', 'outside'] as const).map((face) =>
    mouldOfPiece(target, { face, state: state.value, shrunk: by.value }),
  );
  return Math.max(0, ...all.map((one) => (one.kind === 'made' ? one.off : 0)));
});
</script>

<template>
  <section v-if="piece.beside.target.form.kind === 'mould'" aria-labelledby="next-mould-heading">
    <h2 id="next-mould-heading">Make the next mould of it</h2>
    <ChoiceField label="When it is" name="next-state" :value="state" :choices="MOULD_STATE_WAYS" @choose="choose" />
    <NumberField
      :label="known === null ? 'It has shrunk by, about' : 'It has shrunk by'"
      name="next-shrunk"
      unit=" %"
      :digits="1"
      :factor="0.01"
      :value="by"
      :take="putShrunk"
      :done="() => undefined"
    />
    <p v-if="state === 'soft'">Uncovered, it takes about {{ hours }} hours to become leather-hard.</p>
    <div class="verbs">
      <VBtn :disabled="busy" @click="make('inside')">Press into it</VBtn>
      <VBtn :disabled="busy" @click="make('outside')">Lay over it</VBtn>
    </div>
    <p v-if="off > 0.1">The new mould may lie up to {{ lengths.length(off) }} from the true face of this piece.</p>
    <VAlert v-if="trouble" type="error">{{ lengths.words(trouble) }}</VAlert>
  </section>
</template>

<style scoped>
.verbs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding-top: 8px;
}
p {
  font-size: 15px;
  padding-top: 6px;
}
</style>
