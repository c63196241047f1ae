<script setup lang="ts">
import { computed } from 'vue';
import {
  BAR_STATES,
  barFigures,
  knownShrinkage,
  type BarState,
  type ShrinkageFigure,
} from '../../../core/studio/clay/bars.ts';
import type { Clay } from '../../../core/studio/clay/clay.ts';

/** How much a clay shrinks in all, how sure that is, and in which steps. */
const props = defineProps<{ clay: Clay }>();

const known = computed(() => knownShrinkage(props.clay));
const figures = computed(() => barFigures(props.clay.bars));
const percent = (share: number, digits = 1) => `${(100 * share).toFixed(digits)} %`;

const STEP_WORDS: Readonly<Record<BarState, string>> = {
  dry: 'wet to dry',
  bisque: 'dry to bisque',
  fired: 'bisque to fired',
};
const sureness = computed(() => {
  const { from, interval } = known.value;
  if (from === 'pieces' && interval) {
    const { pieces = 0, firings = 0 } = props.clay.learnt ?? {};
    const between = `between ${percent(interval[0], 2)} and ${percent(interval[1], 2)}`;
    return `${between}, learned from ${pieces} pieces of ${firings} firings`;
  }
  if (from === 'maker') return 'the maker’s figure; no bar of yours has been fired';
  if (from === 'guess') return 'a guess; fire a few bars to know';
  const count = figures.value.total.fired?.count ?? 0;
  if (!interval) return 'from one bar: one more tells how sure it is';
  return `between ${percent(interval[0], 2)} and ${percent(interval[1], 2)}, by ${count} bars`;
});
const deviation = computed(() => figures.value.total.fired?.deviation ?? null);
const steps = computed(() =>
  BAR_STATES.flatMap((state) => {
    const step = figures.value.step[state];
    return step ? [{ state, words: STEP_WORDS[state], step }] : [];
  }),
);
const runs = computed(() => {
  const { along, across } = figures.value;
  const said = (figure: ShrinkageFigure | null, words: string) => (figure ? [{ words, figure }] : []);
  return [...said(along, 'along the roll'), ...said(across, 'across the roll')];
});
</script>

<template>
  <section class="figures" aria-label="How much it shrinks">
    <p class="all">
      <strong data-testid="shrinkage">{{ percent(known.shrinkage) }}</strong>
      <span>
        shrinks, wet to fired<br /><span :class="known.from" data-testid="sureness">{{ sureness }}</span>
        <template v-if="deviation !== null"
          ><br />one bar differs by {{ percent(deviation, 2) }} (standard deviation)</template
        >
      </span>
    </p>
    <dl v-if="steps.length || runs.length">
      <div v-for="{ state, words, step } in steps" :key="state">
        <dt>{{ words }}</dt>
        <dd>
          {{ percent(step.mean) }} <small v-if="step.deviation !== null">± {{ percent(step.deviation, 2) }}</small>
        </dd>
      </div>
      <div v-for="{ words, figure } in runs" :key="words">
        <dt>{{ words }}</dt>
        <dd>{{ percent(figure.mean) }}</dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
.all {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
}
.all > strong {
  font-size: 48px;
  line-height: 1;
  letter-spacing: -0.01em;
}
.guess,
.maker {
  padding: 1px 8px;
  background: var(--care);
  border-left: 4px solid var(--care-edge);
}

.bars,
.pieces {
  font-weight: 700;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 28px;
  margin-top: 12px;
}
dt {
  color: var(--ink-soft);
}
dd {
  font-size: 20px;
  font-weight: 700;
}
small {
  font-weight: 400;
  font-size: 15px;
}
</style>
