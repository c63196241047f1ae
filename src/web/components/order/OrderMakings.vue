<script setup lang="ts">
import { useRouter } from 'vue-router';
import type { Kept } from '../../../contract/records.ts';
import { useOrderMakings } from './useOrderMakings.ts';

/** The making of an order: begun here with every piece of it, and how far each kind has come. */
const props = defineProps<{ order: Kept<'order'> }>();
const router = useRouter();
const { lines, gone, busy, trouble, begin } = useOrderMakings(() => props.order);

async function beginAndGo(): Promise<void> {
  const [first] = await begin();
  const piece = first?.pieces[0];
  if (first && piece) void router.push({ name: 'piece', params: { id: piece.designId, stage: 'make' }, query: { making: first.id, piece: 0 } }); // prettier-ignore
}
</script>

<template>
  <section class="makings" aria-label="Its making">
    <VBtn
      v-if="lines.length === 0"
      variant="flat"
      :disabled="order.body.lines.length === 0 || busy"
      :loading="busy"
      @click="beginAndGo"
      >{{ gone > 0 ? 'Begin the making again' : 'Begin the making' }}</VBtn
    >
    <ul v-else>
      <li v-for="line in lines" :key="`${line.making} ${line.piece}`">
        <VBtn
          variant="text"
          :to="{
            name: 'piece',
            params: { id: line.design, stage: 'make' },
            query: { making: line.making, piece: line.piece },
          }"
          >{{ line.pieces }}&nbsp;× {{ line.name }}</VBtn
        >
        <span>{{ line.done }} of {{ line.acts }} acts done; {{ line.ready }} ready for the kiln</span>
      </li>
    </ul>
    <p v-if="gone > 0 && lines.length === 0">Its making was taken away.</p>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.makings p {
  margin: 6px 0 0;
  color: var(--ink-soft);
}
ul {
  padding: 0;
  margin: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
}
li span {
  color: var(--ink-soft);
}
</style>
