<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { usePiece } from '../../stores/piece.ts';
import { planWords } from './planWords.ts';
import { usePlans } from '../../stores/records.ts';
import { useShelf } from '../../stores/shelf.ts';
import { useSlabPlan } from '../../stores/slabPlan.ts';
import { useLengths } from '../../composables/useLengths.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import type { Choice } from '../fields/choice.ts';
import LengthField from '../fields/LengthField.vue';
import NumberField from '../fields/NumberField.vue';
import SheetDialog from '../frame/SheetDialog.vue';

/** What is made in this batch, and how parts are laid on the slab. */
const plan = useSlabPlan();
const piece = usePiece();
const plans = usePlans();
const shelf = useShelf();
const lengths = useLengths();
const adding = ref(false);
const words = ref('');

onMounted(() => {
  void plans.load();
  void shelf.load();
});

const nameOf = (design: string) => plan.targetOf(design)?.name ?? 'a piece that is not on the shelf';
const others = computed(() => {
  const taken = new Set(plan.plan.pieces.map(({ design }) => design));
  const asked = words.value.trim().toLowerCase();
  return shelf.designs
    .filter((design) => !taken.has(design.id) && design.name.toLowerCase().includes(asked))
    .slice(0, 12);
});
const done = () => plans.endGesture();
const planWays = computed(() =>
  plan.own.map(({ id, body }) => ({ value: id, title: body.name, why: planWords(body) })),
);
const TURNS: readonly Choice<'along' | 'any'>[] = [
  {
    value: 'along',
    title: 'along the roll',
    why: 'Clay shrinks a little more along the roll: walls in line shrink alike. Bases may turn.',
  },
  {
    value: 'any',
    title: 'whichever way fits',
    why: 'Takes the least clay. Parts of one piece may shrink a little apart.',
  },
];
</script>

<template>
  <section aria-labelledby="batch-heading">
    <ChoiceField
      v-if="plan.own.length > 1"
      label="Plan"
      name="plan"
      :value="plan.kept?.id ?? ''"
      :choices="planWays"
      @choose="(id) => (plan.chosen = id)"
    />
    <h2 id="batch-heading">How many</h2>
    <div v-for="one in plan.plan.pieces" :key="one.design" class="made" :data-made="nameOf(one.design)">
      <NumberField
        :label="nameOf(one.design)"
        :name="`count-${one.design}`"
        unit=""
        :digits="0"
        :value="one.count"
        :take="(count) => plan.setCount(one.design, Math.round(count))"
        :done="done"
      />
      <VBtn
        v-if="one.design !== piece.design?.id"
        variant="text"
        :aria-label="`Take ${nameOf(one.design)} out of the batch`"
        @click="plan.drop(one.design)"
      >
        ×
      </VBtn>
    </div>
    <VBtn class="another" @click="adding = true">Add another piece</VBtn>
    <h2>On the slab</h2>
    <ChoiceField
      label="Walls lie"
      name="along"
      :value="plan.plan.alongRoll ? 'along' : 'any'"
      :choices="TURNS"
      @choose="(way) => plan.put({ alongRoll: way === 'along' })"
    />
    <LengthField
      label="Between parts"
      name="gap"
      :mm="plan.plan.gap"
      :take="(gap) => plan.put({ gap }, 'gap')"
      :done="done"
    />
    <LengthField
      label="Trim all round"
      name="margin"
      :mm="plan.plan.margin"
      :take="(margin) => plan.put({ margin }, 'margin')"
      :done="done"
    />
    <p class="hint">
      No slab larger than {{ lengths.figure(plan.greatest.length) }} × {{ lengths.length(plan.greatest.width) }}, by
      your board and roller in the <RouterLink :to="{ name: 'kit' }">kit</RouterLink>.
    </p>
    <SheetDialog v-model="adding" aria-label="Add a piece to the batch">
      <section class="sheet-card" aria-label="Add a piece to the batch">
        <h2>Which piece</h2>
        <VTextField v-model="words" class="bare" type="search" aria-label="Find a piece" placeholder="Find a piece" />
        <VList aria-label="Pieces on the shelf">
          <VListItem
            v-for="design in others"
            :key="design.id"
            :data-add="design.name"
            :title="design.name"
            @click="(plan.add(design.id), (adding = false))"
          />
        </VList>
        <p v-if="others.length === 0">Nothing else on the shelf is called that.</p>
      </section>
    </SheetDialog>
  </section>
</template>

<style scoped>
.another {
  margin: 10px 0 18px;
}
.made {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
}
.hint {
  padding: 10px 0;
  color: var(--ink-soft);
}
</style>
