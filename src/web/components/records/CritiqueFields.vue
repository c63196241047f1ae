<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { Critique } from '../../../contract/makings.ts';
import { useMakings } from '../../stores/makings.ts';

/** The maker's own judgement of a finished piece. The program calculates nothing here. */
const props = defineProps<{ piece: number; number: number }>();
const makings = useMakings();

const ASKED = [
  { key: 'holds', title: 'Holds what it should' },
  { key: 'even', title: 'Of one thickness, felt in three places' },
  { key: 'balanced', title: 'Sits and balances well' },
  { key: 'fits', title: 'Fits where it must' },
] as const;
const newest = computed(() =>
  (makings.making?.critiques ?? []).findLast(({ piece, number }) => piece === props.piece && number === props.number),
);
const text = ref('');
watch(newest, (now) => (text.value = now?.text ?? ''), { immediate: true });

function put(change: Partial<Critique>): void {
  const {
    holds = null,
    even = null,
    balanced = null,
    fits = null,
    rating = null,
    text: words = '',
  } = newest.value ?? {};
  makings.critique({
    piece: props.piece,
    number: props.number,
    step: 'records',
    holds,
    even,
    balanced,
    fits,
    rating,
    text: words,
    ...change,
  });
}
const keepText = () => text.value.trim() !== (newest.value?.text ?? '') && put({ text: text.value.trim() });
</script>

<template>
  <section class="critique" aria-labelledby="critique-heading">
    <h2 id="critique-heading">Beside the drawing</h2>
    <div v-for="{ key, title } in ASKED" :key="key" class="row">
      <span :id="`critique-${key}`">{{ title }}</span>
      <VBtnToggle
        :model-value="newest?.[key] ?? null"
        :aria-labelledby="`critique-${key}`"
        @update:model-value="(now: boolean | null | undefined) => put({ [key]: now ?? null })"
      >
        <VBtn :value="true">Yes</VBtn>
        <VBtn :value="false">No</VBtn>
      </VBtnToggle>
    </div>
    <div class="row">
      <span id="critique-rating">Your rating</span>
      <VRating
        :model-value="newest?.rating ?? 0"
        :length="5"
        clearable
        item-aria-label="{0} of {1}"
        aria-labelledby="critique-rating"
        @update:model-value="(now: number | string) => put({ rating: Number(now) || null })"
      />
    </div>
    <VTextarea v-model="text" label="In your words" rows="2" auto-grow maxlength="2000" @blur="keepText" />
  </section>
</template>

<style scoped>
.critique {
  display: grid;
  gap: 8px;
}
h2 {
  font-size: 19px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  justify-content: space-between;
  align-items: center;
  min-height: 48px;
  border-bottom: 1px dotted var(--line);
}
</style>
