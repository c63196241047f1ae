<script setup lang="ts" generic="K extends RecordKind">
import { computed } from 'vue';
import type { Kept, RecordKind } from '../../../contract/records.ts';
import ConflictBar from './ConflictBar.vue';

/** Records that were changed elsewhere meanwhile: both versions of each, and what can be done. */
const props = defineProps<{
  book: {
    readonly list: readonly Kept<K>[];
    readonly conflicts: Readonly<Record<string, Kept<K>>>;
    readonly settle: (id: string, way: 'mine' | 'both') => Promise<void>;
  };
  told: (body: Kept<K>['body']) => string;
}>();
const all = computed(() =>
  Object.entries(props.book.conflicts).map(([id, theirs]) => ({
    id,
    theirs,
    mine: props.book.list.find((one) => one.id === id) ?? theirs,
  })),
);
</script>

<template>
  <ConflictBar v-for="{ id, theirs, mine } in all" :key="id" @settle="(way) => void book.settle(id, way)">
    <strong>{{ mine.body.name }} was changed elsewhere.</strong> There it is now {{ told(theirs.body) }}; here it is
    {{ told(mine.body) }}.
  </ConflictBar>
</template>
