<script setup lang="ts">
import { computed } from 'vue';
import { sameLean, type Lean } from '../../../core/parts/part/lean.ts';
import LeanTag from './LeanTag.vue';
import { leanTags, type LeanTagPlace } from './leanTags.ts';
import type { TablePlaces } from './tablePlaces.ts';

/** The tags of all leaning edges, laid on their parts. */
const props = defineProps<{ places: TablePlaces }>();

const HANG = { start: '', middle: ' translateX(-50%)', end: ' translateX(-100%)' } as const;
/** Each edge's last lean: while it does not change, its tag is only moved, not rendered again. */
const told = new Map<string, Lean>();
function steady(tag: LeanTagPlace): LeanTagPlace {
  const before = told.get(tag.key);
  const lean = before && sameLean(before, tag.lean) ? before : tag.lean;
  told.set(tag.key, lean);
  return { ...tag, lean };
}
const tags = computed(() => props.places.parts.flatMap(leanTags).map(steady));
</script>

<template>
  <div
    v-for="tag in tags"
    :key="tag.key"
    class="tag"
    :style="{ transform: `translate(${tag.left}px, ${tag.top}px)${HANG[tag.hang]}` }"
  >
    <LeanTag :lean="tag.lean" />
  </div>
</template>

<style scoped>
.tag {
  position: absolute;
  top: 0;
  left: 0;
  display: grid;
}
</style>
