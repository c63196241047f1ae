<script setup lang="ts">
import { computed } from 'vue';
import {
  BAR_STATES,
  barFigures,
  barShrinkage,
  type BarRun,
  type BarState,
  type ShrinkBar,
} from '../../../core/studio/clay/bars.ts';
import type { Fault } from '../../../core/errors.ts';
import { without } from '../../without.ts';
import BarsTable from './BarsTable.vue';
import CellLength from '../fields/CellLength.vue';

/** The shrink bars of a clay as they are measured: wet, then as the clay goes on. */
const props = defineProps<{ bars: readonly ShrinkBar[]; put: (bars: readonly ShrinkBar[]) => readonly Fault[] }>();

/** A line of this length is scratched into a new bar (mm). */
const LINE = 100;
const RUN_WORDS: Readonly<Record<BarRun, string>> = {
  any: 'either way',
  along: 'along the roll',
  across: 'across the roll',
};

const RUNS = Object.entries(RUN_WORDS).map(([value, title]) => ({ value, title }));

const outlier = computed(() => barFigures(props.bars).outlier);

function changed(index: number, change: Partial<ShrinkBar>): readonly Fault[] {
  return props.put(props.bars.map((bar, at) => (at === index ? { ...bar, ...change } : bar)));
}

function measure(index: number, state: BarState, mm: number | undefined): readonly Fault[] {
  return props.put(
    props.bars.map((bar, at) => {
      if (at !== index) return bar;
      return without({ ...bar, [state]: mm });
    }),
  );
}

function setAside(index: number, aside: boolean): void {
  props.put(
    props.bars.map((bar, at) => {
      if (at !== index) return bar;
      return without({ ...bar, aside: aside || undefined });
    }),
  );
}

const add = () => props.put([...props.bars, { wet: props.bars.at(-1)?.wet ?? LINE, run: 'any' }]);
const remove = (index: number) => props.put(props.bars.filter((_, at) => at !== index));
const percent = (bar: ShrinkBar) => {
  const fired = barShrinkage(bar, 'fired');
  return fired === null ? '' : `${(100 * fired).toFixed(1)} %`;
};
</script>

<template>
  <section aria-labelledby="bars-heading">
    <h2 id="bars-heading">Shrink bars</h2>
    <p class="hint">
      Scratch a line of known length into a soft slab, and measure it again when it is dry, bisque and fired.
    </p>
    <div v-if="bars.length" class="rows" role="table" aria-label="Shrink bars">
      <div class="row head" role="row">
        <span role="columnheader" class="unseen">Bar</span>
        <span role="columnheader">wet</span>
        <span v-for="state in BAR_STATES" :key="state" role="columnheader">{{ state }}</span>
        <span role="columnheader">shrank</span>
      </div>
      <div
        v-for="(bar, index) in bars"
        :key="index"
        class="row"
        role="row"
        :class="{ aside: bar.aside }"
        :data-bar="index"
      >
        <span role="rowheader" class="number">{{ index + 1 }}</span>
        <span role="cell">
          <CellLength
            :label="`Bar ${index + 1}, wet`"
            :mm="bar.wet"
            :take="(mm) => changed(index, { wet: mm ?? LINE })"
          />
        </span>
        <span v-for="state in BAR_STATES" :key="state" role="cell">
          <CellLength
            :label="`Bar ${index + 1}, ${state}`"
            :mm="bar[state]"
            :take="(mm) => measure(index, state, mm)"
          />
        </span>
        <strong role="cell">{{ percent(bar) }}</strong>
        <span class="ways" role="cell">
          <VSelect
            class="run"
            :items="RUNS"
            :model-value="bar.run"
            :aria-label="`Bar ${index + 1} lay`"
            @update:model-value="(run: BarRun) => changed(index, { run })"
          />
          <span v-if="outlier === index" class="odd">out of line: measure it again</span>
          <VBtn variant="text" @click="setAside(index, !bar.aside)">{{ bar.aside ? 'count it' : 'set aside' }}</VBtn>
          <VBtn variant="text" :aria-label="`Take bar ${index + 1} away`" @click="remove(index)">×</VBtn>
        </span>
      </div>
    </div>
    <VBtn class="add" @click="add">Add a bar</VBtn>
    <BarsTable :bars="bars" :put="put" />
  </section>
</template>

<style scoped>
h2 {
  font-size: 19px;
}
.hint {
  margin: 2px 0 10px;
  color: var(--ink-soft);
  max-width: 60ch;
}
.row {
  display: grid;
  grid-template-columns: 28px repeat(4, minmax(0, 62px)) 74px minmax(0, 1fr);
  gap: 6px 8px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.head {
  color: var(--ink-soft);
  text-align: right;
  padding: 0 0 2px;
}
.head .unseen {
  position: static;
}
.number {
  font-weight: 700;
  text-align: center;
}
.row > strong {
  text-align: right;
  font-size: 18px;
}
.aside {
  opacity: 0.6;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0;
}
.run {
  flex: none;
  width: 136px;
}
.odd {
  padding: 2px 8px;
  background: var(--care);
  border-left: 4px solid var(--care-edge);
}
.add {
  margin-top: 10px;
}
@media (max-width: 1199px) {
  .row {
    grid-template-columns: 24px repeat(4, minmax(0, 1fr)) 66px;
  }
  .ways {
    grid-column: 2 / -1;
  }
}
</style>
