<script setup lang="ts">
import { computed } from 'vue';
import type { Lean } from '../../../core/part/lean.ts';
import LeanTag from './LeanTag.vue';
import type { TablePlaces } from './tablePlaces.ts';

/** The tags of all leaning edges, laid on their parts. */
const props = defineProps<{ places: TablePlaces; narrow: boolean }>();

interface Tag {
  readonly lean: Lean;
  readonly left: number;
  readonly top: number;
  readonly hang: 'start' | 'middle' | 'end';
}

/** Height of a tag (px). */
const TAG = { height: 44 };

const tags = computed<Tag[]>(() => {
  const { wall, base, scale } = props.places;
  const leaning = (lean: Lean) => lean.word !== 'straight down';
  const run = (wall.width - wall.traced.pxLength) / scale;
  const { narrow } = props;
  const low = narrow ? wall.y + 28 : wall.y - TAG.height - 8;
  const found = wall.part.leans.filter(leaning).map((lean): Tag => {
    switch (lean.edge) {
      case 'left':
        return { lean, left: narrow ? 8 : wall.x + run * scale + 10, top: low, hang: 'start' };
      case 'right':
        return { lean, left: wall.x + wall.traced.pxLength + (narrow ? 92 : -10), top: low, hang: 'end' };
      default:
        return { lean, left: wall.x + wall.traced.pxLength / 2, top: low, hang: 'middle' };
    }
  });
  const round = base?.part.leans.find(leaning);
  if (!base || !round) return found;
  return [...found, { lean: round, left: base.x + base.width / 2, top: base.y - base.height * 0.3, hang: 'middle' }];
});
</script>

<template>
  <LeanTag
    v-for="tag in tags"
    :key="`${tag.lean.edge}-${tag.hang}`"
    class="tag"
    :class="tag.hang"
    :lean="tag.lean"
    :style="{ left: `${tag.left}px`, top: `${tag.top}px` }"
  />
</template>

<style scoped>
.tag {
  position: absolute;
}
.tag.end {
  transform: translateX(-100%);
}
.tag.middle {
  transform: translateX(-50%);
}
</style>
