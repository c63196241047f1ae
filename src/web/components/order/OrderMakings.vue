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
  if (first && piece)
    void router.push({
      name: 'piece',
      params: { id: piece.designId, stage: 'make' },
      query: { making: first.id, piece: 0 },
    });
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
    <VList v-else bg-color="transparent" tag="nav" role="navigation" aria-label="Pieces in work" class="lines">
      <VListItem
        v-for="line in lines"
        :key="`${line.making} ${line.piece}`"
        :title="`${line.pieces} × ${line.name}`"
        :subtitle="`${line.done} of ${line.acts} acts done; ${line.ready} ready for the kiln`"
        :to="{
          name: 'piece',
          params: { id: line.design, stage: 'make' },
          query: { making: line.making, piece: line.piece },
        }"
      />
    </VList>
    <p v-if="gone > 0 && lines.length === 0">Its making was taken away.</p>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.makings p {
  margin: 6px 0 0;
  color: var(--ink-soft);
}
.lines {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
}
</style>
