<script setup lang="ts">
import type { MadeLine } from '../../../contract/made.ts';
import { useMade } from '../../stores/made.ts';
import SizeRange from './SizeRange.vue';

/** Everything that was made, newest first, found by words and figures. */
const made = useMade();
const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });
function says({ faulty, fired, clayName, startedAt }: MadeLine): string {
  const parts = [clayName ?? 'clay not named', day.format(new Date(startedAt))];
  if (fired > 0) parts.push(`${fired} measured fired`);
  if (faulty > 0) parts.push(`${faulty} with a fault`);
  return parts.join(', ');
}
</script>

<template>
  <section class="made" aria-labelledby="made-heading">
    <VBtn :to="{ name: 'kiln' }">Kiln and firings</VBtn>
    <h2 id="made-heading">Made</h2>
    <VTextField
      v-model="made.find"
      class="bare"
      type="search"
      aria-label="Find what was made"
      placeholder="buff, 5 mm, cracked"
    />
    <SizeRange />
    <ul>
      <li v-for="line in made.lines" :key="`${line.making} ${line.piece}`">
        <RouterLink :to="{ name: 'made', params: { making: line.making, piece: line.piece } }">
          <span class="name">{{ line.name }}, {{ line.count }}</span>
          <small>{{ says(line) }}</small>
        </RouterLink>
      </li>
    </ul>
    <p v-if="made.lines.length === 0" class="none">
      {{
        made.find || made.range.what || made.range.state
          ? 'Nothing that was made fits this.'
          : 'Nothing was made yet: begin a piece at its stage Make.'
      }}
    </p>
    <VBtn v-if="made.lines.length < made.total" @click="made.search(true)">
      Show more of the other {{ made.total - made.lines.length }}
    </VBtn>
  </section>
</template>

<style scoped>
.made {
  display: grid;
  gap: 8px;
}
h2 {
  font-size: 19px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li a {
  display: grid;
  align-content: center;
  min-height: 54px;
  padding: 4px 2px;
  color: var(--ink);
  text-decoration: none;
  border-bottom: 1px dotted var(--line);
}
li a:hover .name {
  text-decoration: underline;
}
small,
.none {
  color: var(--ink-soft);
}
</style>
