<script setup lang="ts">
import { useRouter } from 'vue-router';
import { KIT, KIT_KINDS, type KitItem, type KitKind } from '../../../core/studio/kit/kit.ts';
import { useKit } from '../../stores/records.ts';
import SheetDialog from '../frame/SheetDialog.vue';

/** What is added to the kit: one of its kinds, with the usual figures. */
const open = defineModel<boolean>({ required: true });
const kit = useKit();
const router = useRouter();

async function add(kind: KitKind): Promise<void> {
  open.value = false;
  const { one, sizes } = KIT[kind];
  const usual = Object.fromEntries(sizes.map((size) => [size.key, size.usual]));
  const body: KitItem = { kind, name: one, sizes: usual, ...(kind === 'roller' && { settings: [10, 8, 6] }) };
  const made = await kit.create(body);
  if (made) void router.push({ name: 'kit', params: { id: made.id } });
}
</script>

<template>
  <SheetDialog v-model="open" aria-label="Add something to the kit">
    <section class="sheet-card" aria-label="Add something to the kit">
      <h2>What is it</h2>
      <VList aria-label="Kinds of things">
        <VListItem v-for="kind in KIT_KINDS" :key="kind" :data-kind="kind" :title="KIT[kind].one" @click="add(kind)" />
      </VList>
    </section>
  </SheetDialog>
</template>

<style scoped>
h2 {
  margin-top: 18px;
  font-size: 17px;
}
</style>
