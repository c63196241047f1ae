<script setup lang="ts">
import { computed } from 'vue';
import { useDryPieces } from '../../composables/useDryPieces.ts';
import { counted } from '../records/findingWords.ts';

/** What is dry and waits for the kiln: one press takes all of it into a firing. */
const props = defineProps<{ firing?: string }>();
const emit = defineEmits<{ taken: [firing: string] }>();
const dry = useDryPieces();
const { lines, more } = dry;
const count = computed(() => lines.value.reduce((sum, { numbers }) => sum + numbers.length, 0));

async function take(): Promise<void> {
  const id = await dry.take(props.firing);
  if (id) emit('taken', id);
}
</script>

<template>
  <section v-if="lines.length" class="dry" aria-labelledby="dry-heading">
    <h2 id="dry-heading">Dry, for the kiln</h2>
    <p v-for="line in lines" :key="`${line.making} ${line.piece}`">
      <strong>{{ line.numbers.length }} × {{ line.name }}</strong> {{ line.called }}
    </p>
    <p v-if="more">{{ counted(more, 'more kind') }} of piece, listed once these are in a firing.</p>
    <VBtn @click="take"
      >Take {{ count === 1 ? 'it' : `${more ? 'these' : 'all'} ${counted(count, 'piece')}` }} into a firing</VBtn
    >
  </section>
</template>

<style scoped>
.dry {
  margin-bottom: 16px;
}
h2 {
  font-size: 19px;
}
p {
  margin: 4px 0 8px;
  color: var(--ink-soft);
}
strong {
  display: block;
  color: var(--ink);
}
.v-btn {
  height: auto;
  min-height: 44px;
  white-space: normal;
}
</style>
