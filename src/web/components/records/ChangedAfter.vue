<script setup lang="ts">
import { shallowRef, watch } from 'vue';
import { changedBetween, type Change } from '../../../core/piece/changedBetween.ts';
import { api } from '../../api.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useConnection } from '../../stores/connection.ts';
import { counted, percent } from './findingWords.ts';

/** What was changed in the design after pieces of a revision were made, revision by revision. */
const props = defineProps<{ design: string; revision: number }>();
const connection = useConnection();
const lengths = useLengths();

interface Later {
  readonly number: number;
  readonly keptAt: string;
  readonly changes: readonly Change[];
}
/** No more than these revisions are listed one by one. */
const MOST = 6;
const later = shallowRef<readonly Later[] | null>(null);
const more = shallowRef(0);

watch(
  [() => props.design, () => props.revision] as const,
  async ([design, revision]) => {
    later.value = null;
    try {
      const all = [];
      for (let offset = 0, total = 1; offset < total;) {
        const page = await api.history(design, offset);
        all.push(...page.lines.filter(({ number }) => number > revision));
        offset += page.lines.length;
        total = page.lines.some(({ number }) => number <= revision) || page.lines.length === 0 ? 0 : page.total;
      }
      const next = all.sort((one, other) => one.number - other.number).slice(0, MOST);
      let before = await api.revision(design, revision);
      const found: Later[] = [];
      for (const { number, keptAt } of next) {
        const after = await api.revision(design, number);
        found.push({ number, keptAt, changes: changedBetween(before, after) });
        before = after;
      }
      more.value = all.length - next.length;
      later.value = found;
    } catch (error) {
      // A design that was taken off the shelf has no later revisions to tell; nor has one while the server is away.
      connection.note(error);
    }
  },
  { immediate: true },
);

const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long' });
function figure(unit: Change['unit'], value: Change['before']): string {
  if (value === null) return 'none';
  if (typeof value === 'string' || unit === 'plain') return String(value);
  return unit === 'share' ? percent(value) : lengths.length(value);
}
const words = ({ label, unit, before, after }: Change) =>
  `${label}: ${figure(unit, after)}, before ${figure(unit, before)}`;
</script>

<template>
  <section aria-labelledby="after-heading">
    <h2 id="after-heading">Changed since then</h2>
    <template v-if="later">
      <div v-for="one in later" :key="one.number">
        <p>Revision {{ one.number }} of {{ day.format(new Date(one.keptAt)) }}</p>
        <ul>
          <li v-for="(change, index) in one.changes" :key="index">{{ words(change) }}</li>
          <li v-if="one.changes.length === 0">kept again without a change</li>
        </ul>
      </div>
      <p v-if="more > 0">And {{ counted(more, 'later revision') }}.</p>
      <p v-if="later.length === 0">The design is as it was.</p>
    </template>
    <p v-else>The design’s later revisions are not known here.</p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 19px;
  margin-bottom: 4px;
}
p {
  margin: 4px 0;
}
ul {
  margin: 0 0 8px;
  padding-left: 18px;
  color: var(--ink-soft);
}
</style>
