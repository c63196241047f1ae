<script setup lang="ts">
import type { Kept, RecordKind } from '../../../contract/records.ts';

/** A record that two people changed: both sides are shown, and neither is lost. */
defineProps<{ mine: Kept<RecordKind>; theirs: Kept<RecordKind>; told: (record: Kept<RecordKind>) => string }>();
defineEmits<{ settle: [way: 'mine' | 'both'] }>();
</script>

<template>
  <section class="conflict" role="alert">
    <p><strong>This was changed elsewhere.</strong> There it is now {{ told(theirs) }}; here it is {{ told(mine) }}.</p>
    <div class="ways">
      <button type="button" class="press" @click="$emit('settle', 'mine')">Put mine on top</button>
      <button type="button" class="quiet" @click="$emit('settle', 'both')">Take theirs, keep mine as a copy</button>
    </div>
  </section>
</template>

<style scoped>
.conflict {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  padding: 10px 20px;
  background: var(--care);
  border-bottom: 2px solid var(--care-edge);
}
.conflict p {
  margin: 0;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
