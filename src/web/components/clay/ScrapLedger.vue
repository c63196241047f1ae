<script setup lang="ts">
import { computed, ref } from 'vue';
import { scrapSum } from '../../../core/clay/clay.ts';
import { useMasses } from '../../composables/useMasses.ts';
import { useScraps } from '../../stores/records.ts';

/** What came out of the bag of one clay, and what went back. */
const props = defineProps<{ clay: string }>();
const scraps = useScraps();
const masses = useMasses();

const mine = computed(() => scraps.list.filter(({ body }) => body.name === props.clay));
const sum = computed(() => scrapSum(mine.value.map(({ body }) => body)));
const out = ref('');
const back = ref('');
const problem = ref('');

const today = () => new Intl.DateTimeFormat('en-CA').format(new Date());

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
  const kept = await scraps.create({ day: today(), name: props.clay, out: taken, back: returned });
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
    <form @submit.prevent="add">
      <label>out <input v-model="out" name="scrap-out" inputmode="decimal" autocomplete="off" /></label>
      <label>back <input v-model="back" name="scrap-back" inputmode="decimal" autocomplete="off" /></label>
      <button type="submit" class="quiet">Write down</button>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ul v-if="mine.length">
      <li v-for="entry in [...mine].reverse().slice(0, 12)" :key="entry.id">
        <span class="day">{{ entry.body.day }}</span>
        <span>{{ masses.write(entry.body.out) }} out, {{ masses.write(entry.body.back) }} back</span>
        <button type="button" :aria-label="`Take the entry of ${entry.body.day} away`" @click="scraps.remove(entry.id)">
          ×
        </button>
      </li>
    </ul>
    <p class="caution">
      Keep scraps wet under a lid, and wipe up with water: dry trimmings make dust with silica in it. Never sweep it
      dry.
    </p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 18px;
}
.sum strong {
  font-size: 24px;
}
form {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px;
  margin: 8px 0;
}
label {
  display: grid;
  color: var(--ink-soft);
}
input {
  width: 84px;
  min-height: 44px;
  padding: 2px 8px;
  border: 1.5px solid var(--line);
  border-radius: 8px;
  color: var(--ink);
  background: var(--panel);
}
.day {
  white-space: nowrap;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  border-bottom: 1px dotted var(--line);
}
li button {
  min-width: 44px;
  min-height: 44px;
  color: var(--press);
  font-size: 20px;
  cursor: pointer;
}
.problem {
  padding: 6px 10px;
  background: var(--stop);
  border-left: 4px solid var(--stop-edge);
}
.caution {
  margin-top: 10px;
  padding: 8px 12px;
  background: var(--care);
  border-left: 4px solid var(--care-edge);
  font-size: 15px;
}
</style>
