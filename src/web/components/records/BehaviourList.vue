<script setup lang="ts">
import { computed } from 'vue';
import type { ShrinkageFigure } from '../../../core/studio/clay/bars.ts';
import type { Behaves, Behaviour } from '../../../core/studio/learning/behaviour.ts';
import { STATE_NAMES } from '../make/measuredNames.ts';
import { counted, percent } from './findingWords.ts';

/** How a clay behaves besides its total shrinkage: steps, directions, off a mould, as an oval; each with its interval and count. */
const props = defineProps<{ behaviour: Behaviour }>();

interface Row {
  readonly name: string;
  readonly figure: string;
  readonly words: string;
}
const range = ({ low, high, count }: Behaves) => `${percent(low)} to ${percent(high)}, ${counted(count, 'reading')}`;
const learned = (name: string, of: Behaves | null): Row[] =>
  of ? [{ name, figure: percent(of.mean), words: range(of) }] : [];
function seen(name: string, of: ShrinkageFigure | null): Row[] {
  if (!of) return [];
  const words = of.interval ? `${percent(of.interval[0])} to ${percent(of.interval[1])}, ` : '';
  return [{ name, figure: percent(of.mean), words: `${words}${counted(of.count, 'piece')}` }];
}
const rows = computed<Row[]>(() => {
  const { steps, along, across, springBack, relaxing } = props.behaviour;
  return [
    ...steps.flatMap((step) => learned(`${STATE_NAMES[step.from]} to ${STATE_NAMES[step.to].toLowerCase()}`, step)),
    ...learned('Along the roll', along),
    ...learned('Across the roll', across),
    ...seen('Springs back off its mould', springBack),
    ...seen('Ovals relax toward round by', relaxing),
  ];
});
</script>

<template>
  <section v-if="rows.length" aria-labelledby="behaviour-heading">
    <h2 id="behaviour-heading">How it behaves</h2>
    <dl>
      <div v-for="row in rows" :key="row.name">
        <dt>{{ row.name }}</dt>
        <dd>
          <strong>{{ row.figure }}</strong>
          <small>{{ row.words }}</small>
        </dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
h2 {
  font-size: 19px;
}
dl {
  margin: 4px 0 0;
}
dl > div {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px dotted var(--line);
}
dd {
  margin: 0;
  text-align: right;
}
small {
  display: block;
  color: var(--ink-soft);
}
</style>
