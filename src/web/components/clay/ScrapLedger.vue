<script setup lang="ts">
import { computed, ref } from 'vue';
import { localDay } from '../../../core/day.ts';
import { scrapSum } from '../../../core/studio/clay/clay.ts';
import { useMasses } from '../../composables/useMasses.ts';
import { useScraps } from '../../stores/records.ts';

/** What came out of the bag of one clay, and what went back. */
const props = defineProps<{ clay: string }>();
const scraps = useScraps();
const masses = useMasses();

const mine = computed(() => scraps.list.filter(({ body }) => body.name === props.clay));
const sum = computed(() => scrapSum(mine.value.map(({ body }) => body)));
/** More entries than this scroll. */
const SHOWN = 6;
const HEADERS = [
  { key: 'day', title: 'Day' },
  { key: 'out', title: 'Out', sortable: false, align: 'end' },
  { key: 'back', title: 'Back', sortable: false, align: 'end' },
  { key: 'away', title: 'Take away', sortable: false, align: 'end' },
] as const;
const written = (grams: number) => (grams > 0 ? masses.write(grams) : '');
const rows = computed(() =>
  [...mine.value].reverse().map(({ id, body }) => ({
    id,
    day: body.day,
    out: written(body.out),
    back: written(body.back),
  })),
);
const out = ref('');
const back = ref('');
const problem = ref('');

async function add(): Promise<void> {
  const [taken, returned] = [out.value, back.value].map((text) => (text.trim() === '' ? 0 : masses.read(text)));
  if (taken === null || returned === null || taken === undefined || returned === undefined) {
    problem.value = `write a mass such as ${masses.write(1500)}`;
    return;
  }
  if (taken + returned === 0) {
    problem.value = 'write what came out, what went back, or both';
    return;
  }
  problem.value = '';
  const kept = await scraps.create({ day: localDay(new Date()), name: props.clay, out: taken, back: returned });
  if (kept) out.value = back.value = '';
}
</script>

<template>
  <section aria-labelledby="ledger-heading">
    <h2 id="ledger-heading">Out of the bag, and back</h2>
    <p v-if="mine.length" class="sum">
      <strong>{{ masses.write(sum.used) }}</strong> in pieces: {{ masses.write(sum.out) }} out,
      {{ masses.write(sum.back) }} back
    </p>
    <VForm @submit.prevent="add">
      <VTextField
        v-model="out"
        class="mass words"
        label="out"
        name="scrap-out"
        inputmode="decimal"
        autocomplete="off"
      />
      <VTextField
        v-model="back"
        class="mass words"
        label="back"
        name="scrap-back"
        inputmode="decimal"
        autocomplete="off"
      />
      <VBtn type="submit">Write down</VBtn>
    </VForm>
    <VAlert v-if="problem" type="error">{{ problem }}</VAlert>
    <VDataTableVirtual
      v-if="mine.length"
      class="entries"
      :headers="HEADERS"
      :items="rows"
      :height="rows.length > SHOWN ? 320 : undefined"
      density="compact"
    >
      <template #[`header.away`]><span class="unseen">Take away</span></template>
      <template #[`item.away`]="{ item }">
        <VBtn
          variant="text"
          class="away"
          :aria-label="`Take the entry of ${item.day} away`"
          @click="scraps.remove(item.id)"
        >
          ×
        </VBtn>
      </template>
    </VDataTableVirtual>
    <VAlert type="warning" role="note">
      Keep scraps wet under a lid, and wipe up with water: dry trimmings make dust with silica in it. Never sweep it
      dry.
    </VAlert>
  </section>
</template>

<style scoped>
.mass {
  flex: 1 1 120px;
}
.away {
  font-size: 20px;
}
.sum strong {
  font-size: 24px;
}
.v-form {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px;
  margin: 8px 0;
}
.entries {
  background: transparent;
}
.entries :deep(td),
.entries :deep(th) {
  padding: 0 6px !important;
  font-size: 16px;
}
</style>
