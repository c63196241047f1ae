<script setup lang="ts">
import { useRouter } from 'vue-router';
import type { Kept } from '../../../contract/records.ts';
import { useKit } from '../../stores/records.ts';
import KitFields from './KitFields.vue';

/** The chosen thing of the kit: its figures, and removing it. */
const props = defineProps<{ item: Kept<'kit'> }>();
const kit = useKit();
const router = useRouter();

async function remove(): Promise<void> {
  await kit.remove(props.item.id);
  void router.replace({ name: 'kit' });
}
</script>

<template>
  <KitFields
    :key="item.id"
    :item="item.body"
    :put="(body, group) => kit.change(item.id, body, group)"
    :done="kit.endGesture"
    @remove="remove"
  />
</template>
