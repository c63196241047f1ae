<script setup lang="ts">
import { ref } from 'vue';
import { sizePhrase } from '../../../core/piece/formSizes.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';

/** Two people changed one design: both sides are shown, and neither is lost. */
const piece = usePiece();
const lengths = useLengths();
const copied = ref('');

async function keepTheirs(): Promise<void> {
  const copy = await piece.keepTheirs();
  copied.value = copy ? `Your changes are on the shelf as “${copy.name}”.` : '';
}
</script>

<template>
  <section v-if="piece.theirs" class="conflict" role="alert">
    <p>
      <strong>This design was changed elsewhere.</strong> There it is now
      {{ lengths.phrase(sizePhrase(piece.theirs.target.form)) }} (revision {{ piece.theirs.revision }}); here it is
      {{ lengths.phrase(sizePhrase(piece.target.form)) }}.
    </p>
    <div class="ways">
      <button type="button" class="press" @click="piece.keepMine()">Put mine on top</button>
      <button type="button" class="quiet" @click="keepTheirs">Take theirs, keep mine as a copy</button>
    </div>
  </section>
  <p v-else-if="copied" class="conflict" role="status">{{ copied }}</p>
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
  margin: 0;
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
