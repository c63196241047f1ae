<script setup lang="ts">
import { computed } from 'vue';
import type { Spot } from '../../../core/studio/making/making.ts';
import { struckOut } from '../../../core/studio/making/strikes.ts';
import { useMakings } from '../../stores/makings.ts';
import FileField from '../fields/FileField.vue';
import HeldPicture from './HeldPicture.vue';

/** Photographs of one piece of the making in hand: taken or chosen, kept or still to be sent. */
const props = defineProps<{ spot: Spot }>();
const emit = defineEmits<{ said: [words: string] }>();
const makings = useMakings();
const own = ({ piece, number }: Spot) => piece === props.spot.piece && number === props.spot.number;
const kept = computed(() => (makings.making?.photographs ?? []).filter(own));
const gone = computed(() => struckOut(makings.making?.strikes ?? []));
const unsent = computed(() => makings.unsentPhotographs.filter(own));
const clock = new Intl.DateTimeFormat('en-GB', { weekday: 'short', hour: '2-digit', minute: '2-digit' });
const words = (at: string) => `Photograph, ${clock.format(new Date(at))}`;

function strike(id: string, { out }: { out: boolean }): void {
  makings.strike(id, { out });
  emit('said', out ? 'The photograph is struck out.' : 'The photograph counts again.');
}

async function take(file: File): Promise<void> {
  await makings.photograph(props.spot, file);
  emit('said', 'The photograph is kept.');
}
</script>

<template>
  <FileField
    label="Take or choose a photograph"
    name="photograph"
    accept="image/jpeg,image/png,image/webp"
    note="From the camera or a file. Kept on your server without the place where it was taken."
    :trouble="makings.photographTrouble"
    @read="take"
  />
  <ul v-if="kept.length + unsent.length" class="pictures">
    <li v-for="{ id, hash, at } in kept" :key="id" :class="{ out: gone.has(id) }">
      <a :href="`/api/photographs/${hash}/full.jpg`" target="_blank" rel="noopener">
        <img :src="`/api/photographs/${hash}/small.jpg`" :alt="words(at)" />
      </a>
      <VBtn
        variant="text"
        :aria-label="`${gone.has(id) ? 'Put back' : 'Strike out'}: ${words(at)}`"
        @click="strike(id, { out: !gone.has(id) })"
      >
        {{ gone.has(id) ? 'Put back' : 'Strike out' }}
      </VBtn>
    </li>
    <li v-for="one in unsent" :key="one.id">
      <HeldPicture :picture="one.picture" :alt="words(one.at)" />
      <span>waits to be sent</span>
    </li>
  </ul>
</template>

<style scoped>
.pictures {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(110px, 1fr));
  gap: 10px;
  padding: 0;
  margin: 0;
  list-style: none;
}
.pictures :deep(img) {
  display: block;
  width: 100%;
  aspect-ratio: 1;
  object-fit: cover;
  border-radius: 6px;
  border: 1px solid var(--line);
}
.out img {
  opacity: 0.3;
}
span {
  font-size: 15px;
  color: var(--ink-soft);
}
</style>
