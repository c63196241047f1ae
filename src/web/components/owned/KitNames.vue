<script setup lang="ts">
import { computed, onMounted } from 'vue';
import type { KitItem, KitKind } from '../../../core/studio/kit/kit.ts';
import { useKit } from '../../stores/records.ts';

/** The things of one kind in the kit, by their names: one press takes over its measures. */
const props = defineProps<{ kind: KitKind }>();
const emit = defineEmits<{ choose: [item: KitItem] }>();
const kit = useKit();
const items = computed(() => kit.list.filter(({ body }) => body.kind === props.kind));
onMounted(() => void (kit.state === 'ready' || kit.load()));
</script>

<template>
  <p v-if="items.length > 0" class="names">
    <span>From your kit</span>
    <VBtn v-for="{ id, body } in items" :key="id" variant="text" @click="emit('choose', body)">{{ body.name }}</VBtn>
  </p>
</template>

<style scoped>
.names {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  padding: 6px 0;
}
.names span {
  flex-basis: 100%;
  color: var(--ink-soft);
}
</style>
