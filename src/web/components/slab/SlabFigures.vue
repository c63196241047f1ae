<script setup lang="ts">
import { computed } from 'vue';
import { thicknesses, thicknessWay } from '../../../core/studio/kit/kit.ts';
import { HEAVY, lumpPlan, type Pass } from '../../../core/studio/slabPlan/lump.ts';
import { scaleUp } from '../../../core/units/mass.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useMasses } from '../../composables/useMasses.ts';
import { usePiece } from '../../stores/piece.ts';
import { useKit } from '../../stores/records.ts';
import { useSettings } from '../../stores/settings.ts';
import { useSlabPlan } from '../../stores/slabPlan.ts';

/** What to weigh out, what to pat and roll, and what comes back. */
const plan = useSlabPlan();
const piece = usePiece();
const kit = useKit();
const lengths = useLengths();
const masses = useMasses();
const settings = useSettings();

const items = computed(() => kit.list.map(({ body }) => body));
const offered = computed(() => thicknesses(items.value).map(({ thickness }) => thickness));
const weighed = (grams: number) => scaleUp(grams, settings.unit === 'inch' ? 'lb' : 'g');
const up = (grams: number) => masses.write(weighed(grams));
const slabs = computed(() =>
  plan.sized.map((slab, index) => {
    const mass = ((slab.length * slab.width * slab.thickness) / 1000) * piece.target.clay.wetDensity;
    const way = thicknessWay(items.value, slab.thickness);
    const rolled =
      way.kind !== 'none'
        ? way.name
        : way.nearest === null
          ? 'no sticks in the kit'
          : `no sticks for it; nearest ${lengths.length(way.nearest)}`;
    return {
      ...slab,
      mass,
      rolled,
      offcuts: plan.offcuts[index] ?? [],
      known: way.kind !== 'none',
      lump: lumpPlan(slab, offered.value),
    };
  }),
);
const weigh = computed(() => {
  const rolled = slabs.value.reduce((sum, { mass }) => sum + weighed(mass), 0);
  return plan.lumps.reduce((sum, { count, mass }) => sum + count * weighed(mass), rolled);
});
const heavy = computed(() => slabs.value.some(({ mass }) => mass > HEAVY));
const passWords = (pass: Pass) =>
  `${lengths.figure(pass.to)}${pass.turn ? ', turned a quarter' : ''}: ${lengths.figure(pass.length)} × ${lengths.length(pass.width)}`;
</script>

<template>
  <section v-if="slabs.length" aria-label="Clay for the plan">
    <p class="weigh">
      <span>Weigh out</span><strong data-testid="weigh-out">{{ masses.write(weigh) }}</strong>
    </p>
    <dl>
      <div>
        <dt>In the parts</dt>
        <dd>{{ masses.write(plan.sum.parts) }}</dd>
      </div>
      <div>
        <dt>Back to the bag</dt>
        <dd data-testid="trim">{{ masses.write(plan.sum.trim) }}</dd>
      </div>
      <div>
        <dt>Slab used</dt>
        <dd data-testid="utilisation">{{ (100 * plan.sum.utilisation).toFixed(0) }} %</dd>
      </div>
    </dl>
    <p v-for="lump in plan.lumps" :key="lump.name">{{ lump.count }} × {{ lump.name }}, {{ up(lump.mass) }} each</p>
    <article v-for="(slab, index) in slabs" :key="index">
      <h2>Slab {{ index + 1 }}</h2>
      <p class="size">
        <strong
          >{{ lengths.figure(slab.length) }} × {{ lengths.figure(slab.width) }} ×
          {{ lengths.length(slab.thickness) }}</strong
        >
      </p>
      <p :class="{ care: !slab.known }">{{ up(slab.mass) }}; {{ slab.rolled }}</p>
      <p>
        Pat a lump {{ lengths.figure(slab.lump.length) }} × {{ lengths.figure(slab.lump.width) }},
        {{ lengths.length(slab.lump.thickness) }} thick<template v-if="slab.lump.passes.length"
          >, then roll to</template
        >
      </p>
      <ol v-if="slab.lump.passes.length">
        <li v-for="(pass, step) in slab.lump.passes" :key="step">{{ passWords(pass) }}</li>
      </ol>
      <p v-for="cut in slab.offcuts" :key="cut.name" class="cut" data-testid="off-cut">
        Off-cut <strong>{{ cut.name }}</strong>, {{ lengths.figure(cut.length) }} × {{ lengths.length(cut.width) }}: for
        {{ cut.use.count }} × {{ cut.use.name }}
      </p>
    </article>
    <p v-if="heavy" class="care">A slab of more than {{ masses.write(HEAVY) }} is carried by two, on a board.</p>
    <p class="care">
      Rollers pinch: keep fingers and sleeves away from the gap. Keep trimmings wet, and never sweep dry clay.
    </p>
  </section>
  <p v-else class="soon">What to weigh and roll stands here once the parts are laid out.</p>
</template>

<style scoped>
.weigh {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  gap: 0 10px;
}
.weigh strong {
  font-size: 40px;
  line-height: 1.1;
}
.weigh span,
dt,
.soon {
  color: var(--ink-soft);
}
dl > div {
  display: flex;
  justify-content: space-between;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
dd {
  font-weight: 700;
  font-size: 19px;
}
article {
  padding: 12px 0 8px;
  border-bottom: 1px solid var(--line);
}
.size strong {
  font-size: 18.5px;
  letter-spacing: -0.01em;
}
ol {
  padding-left: 22px;
}
.care {
  margin-top: 8px;
  padding: 8px 12px;
  background: var(--care);
  border-left: 4px solid var(--care-edge);
}
</style>
