<script setup lang="ts">
import { computed } from 'vue';
import {
  BAR_STATES,
  barFigures,
  barShrinkage,
  type BarRun,
  type BarState,
  type ShrinkBar,
} from '../../../core/clay/bars.ts';
import type { Fault } from '../../../core/errors.ts';
import { without } from '../piece/without.ts';
import CellLength from '../fields/CellLength.vue';

/** The shrink bars of a clay as they are measured: wet, then as the clay goes on. */
const props = defineProps<{ bars: readonly ShrinkBar[]; put: (bars: readonly ShrinkBar[]) => readonly Fault[] }>();

/** A line of this length is scratched into a new bar (mm). */
const LINE = 100;
const RUN_WORDS: Readonly<Record<BarRun, string>> = { any: 'either way', along: 'along the roll', across: 'across the roll' }; // prettier-ignore

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
        <CellLength
          :label="`Bar ${index + 1}, wet`"
          :mm="bar.wet"
          :take="(mm) => changed(index, { wet: mm ?? LINE })"
        />
        <CellLength
          v-for="state in BAR_STATES"
          :key="state"
          :label="`Bar ${index + 1}, ${state}`"
          :mm="bar[state]"
          :take="(mm) => measure(index, state, mm)"
        />
        <strong role="cell">{{ percent(bar) }}</strong>
        <span class="ways" role="cell">
          <select
            :value="bar.run"
            :aria-label="`Bar ${index + 1} lay`"
            @change="changed(index, { run: ($event.target as HTMLSelectElement).value as BarRun })"
          >
            <option v-for="(words, run) in RUN_WORDS" :key="run" :value="run">{{ words }}</option>
          </select>
          <span v-if="outlier === index" class="odd">stands apart: measure it again</span>
          <button type="button" @click="setAside(index, !bar.aside)">{{ bar.aside ? 'count it' : 'set aside' }}</button>
          <button type="button" :aria-label="`Take bar ${index + 1} away`" @click="remove(index)">×</button>
        </span>
      </div>
    </div>
    <button type="button" class="quiet" @click="add">Add a bar</button>
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
  grid-template-columns: 28px repeat(4, minmax(0, 74px)) 68px minmax(0, 1fr);
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
  gap: 0 6px;
}
.ways select,
.ways button {
  min-height: 44px;
  color: var(--press);
  background: transparent;
  cursor: pointer;
}
.ways select {
  width: 124px;
  border: 0;
  border-bottom: 1.5px dotted var(--press);
}
.ways button {
  min-width: 44px;
}
.ways select option {
  color: var(--ink);
  background: var(--panel);
}
.odd {
  padding: 2px 8px;
  background: var(--care);
  border-left: 4px solid var(--care-edge);
}
.quiet {
  margin-top: 10px;
}
@media (max-width: 1100px) {
  .row {
    grid-template-columns: 24px repeat(4, minmax(0, 1fr)) 66px;
  }
  .ways {
    grid-column: 2 / -1;
  }
}
</style>
