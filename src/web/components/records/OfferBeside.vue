<script setup lang="ts">
import { computed } from 'vue';
import type { ClayRecords } from '../../../contract/made.ts';
import type { Design } from '../../../contract/api.ts';
import { useLengths } from '../../composables/useLengths.ts';
import BehaviourList from './BehaviourList.vue';
import { counted, percent } from './findingWords.ts';

/** What an offer changes, how sure it is, and which patterns the pieces show. */
const props = defineProps<{ shown: ClayRecords; designs: readonly Design[] }>();
const lengths = useLengths();

const learnt = computed(() => props.shown.finding.learnt);
/** Shrinkages that differ by less are one: a hundredth of a per cent. */
const SAME_SHRINKAGE = 1e-4;

const offers = computed(() => props.shown.finding.kind === 'offer');
/** Designs cut for another figure than the one that is worked with, or will be. */
const apart = computed(() =>
  props.designs.filter(
    ({ target }) =>
      target.clay.name === props.shown.name &&
      Math.abs(target.clay.shrinkage - props.shown.finding.shrinkage) > SAME_SHRINKAGE,
  ),
);
const wet = computed(() => {
  const { difference, shrinkage } = props.shown.finding;
  if (!difference) return null;
  const [then, now] = [shrinkage, props.shown.now].map((share) => lengths.length(difference.drawn / (1 - share)));
  return { drawn: lengths.length(difference.drawn), then, now };
});
/** Between which sizes the next piece comes out that is cut for the offered figure. */
const next = computed(() => {
  const { difference, shrinkage } = props.shown.finding;
  const range = learnt.value.shrinkage?.next;
  if (!difference || !range) return null;
  const made = difference.drawn / (1 - shrinkage);
  return lengths.between([made * (1 - range.high), made * (1 - range.low)]);
});
const aside = computed(() => learnt.value.setAside.map((one) => ('wrap' in one ? one.wrap.outside : one.fired)));
</script>

<template>
  <aside class="beside" aria-label="Beside">
    <section v-if="offers && wet">
      <h2>What it changes</h2>
      <p>
        What is drawn <strong>{{ wet.drawn }}</strong> is made <strong>{{ wet.then }}</strong> wet instead of
        {{ wet.now }}.
        {{
          apart.length === 0
            ? 'No design is cut in this clay yet.'
            : `${counted(apart.length, 'design')} in this clay will ask whether to follow.`
        }}
        Pieces already cut keep theirs.
      </p>
    </section>
    <section v-else-if="apart.length">
      <h2>Cut for another figure</h2>
      <ul>
        <li v-for="design in apart" :key="design.id">
          <RouterLink :to="{ name: 'piece', params: { id: design.id } }">{{ design.name }}</RouterLink>
          <span>{{ percent(design.target.clay.shrinkage) }}</span>
        </li>
      </ul>
    </section>
    <section v-if="learnt.shrinkage && learnt.spread">
      <h2>How sure</h2>
      <p>
        Between {{ percent(learnt.shrinkage.low, 2) }} and {{ percent(learnt.shrinkage.high, 2) }} for the clay<template
          v-if="next"
          >; the next piece {{ next }}</template
        >. Firings differ by {{ percent(learnt.spread.firing, 2) }}, pieces in one firing by
        {{ percent(learnt.spread.piece, 2) }}, readings by {{ lengths.length(learnt.spread.measuring) }}.
      </p>
      <p v-if="aside.length">
        {{ counted(aside.length, 'reading') }} ({{ aside.map((mm) => lengths.length(mm)).join(', ') }})
        {{ aside.length === 1 ? 'is' : 'are' }} set aside: more likely a slip than not.
      </p>
      <p v-if="learnt.neutralFraction">
        The neutral surface of the slab lies at {{ learnt.neutralFraction.mean.toFixed(2) }} of its thickness from
        inside, between {{ learnt.neutralFraction.low.toFixed(2) }} and {{ learnt.neutralFraction.high.toFixed(2) }}.
      </p>
    </section>
    <BehaviourList :behaviour="shown.behaviour" />
    <VAlert v-for="pattern in shown.patterns" :key="pattern.fault" type="warning">
      <strong>{{ pattern.missed.count }} of {{ pattern.missed.of }}</strong> joined after the window closed have a
      {{ pattern.fault }}; {{ pattern.kept.count }} of {{ pattern.kept.of }} within it.
    </VAlert>
  </aside>
</template>

<style scoped>
.beside {
  display: grid;
  gap: 18px;
  align-content: start;
}
h2 {
  font-size: 19px;
}
p {
  margin: 4px 0 0;
  color: var(--ink-soft);
  overflow-wrap: anywhere;
}
p strong {
  color: var(--ink);
}
ul {
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  min-height: 44px;
  align-items: center;
  border-bottom: 1px dotted var(--line);
}
li a {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
}
</style>
