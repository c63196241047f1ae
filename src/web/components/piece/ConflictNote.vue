<script setup lang="ts">
import { ref } from 'vue';
import { sizePhrase } from '../../../core/forms/roughSize.ts';
import { useLengths } from '../../composables/useLengths.ts';
import ConflictBar from '../frame/ConflictBar.vue';
import { usePiece } from '../../stores/piece.ts';

/** Two people changed one design: both sides are shown, and neither is lost. */
const piece = usePiece();
const lengths = useLengths();
const copied = ref('');

async function settle(way: 'mine' | 'both'): Promise<void> {
  if (way === 'mine') return void piece.keepMine();
  const copy = await piece.keepTheirs();
  copied.value = copy ? `Your changes are on the shelf as “${copy.name}”.` : '';
}
</script>

<template>
  <ConflictBar v-if="piece.theirs" @settle="settle">
    <strong>This piece was changed elsewhere.</strong> There it is now
    {{ lengths.phrase(sizePhrase(piece.theirs.target.form)) }} (revision {{ piece.theirs.revision }}); here it is
    {{ lengths.phrase(sizePhrase(piece.target.form)) }}.
  </ConflictBar>
  <p v-else-if="copied" class="copied" role="status">{{ copied }}</p>
</template>

<style scoped>
.copied {
  margin: 0;
  padding: 10px 20px;
  background: var(--care);
  border-bottom: 2px solid var(--care-edge);
}
</style>
