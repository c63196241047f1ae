<script setup lang="ts">
import { computed } from 'vue';
import { sameLean, type Lean } from '../../../core/part/lean.ts';
import { AIR, TAG } from '../../composables/tableLayout.ts';
import LeanTag from './LeanTag.vue';
import { kindOnTable, leaningEdges, type PartPlace, type TablePlaces } from './tablePlaces.ts';

/** The tags of all leaning edges, laid on their parts. */
const props = defineProps<{ places: TablePlaces }>();

interface Tag {
  readonly key: string;
  readonly lean: Lean;
  readonly left: number;
  readonly top: number;
  readonly hang: 'start' | 'middle' | 'end';
}

/** Where hanging tags begin below a part (px): under the words of a wall, under the dimension of a base. */
const BELOW = { wall: 26, base: 52, pad: 52 } as const;

/** From an end of a part to the tag on it (px): on a low wall the seam's letter stands between them. */
const END = { high: 10, low: 32 } as const;
const LOW_WALL = 110;

function onPart({ part, ...place }: PartPlace): Tag[] {
  const end = place.traced.pxHeight < LOW_WALL ? END.low : END.high;
  const low = place.y - TAG.height - 6;
  const run = place.width - place.traced.pxLength;
  const middle = place.traced.left + place.traced.pxLength / 2;
  return leaningEdges(part).map((lean): Tag => {
    const tag = (left: number, top: number, hang: Tag['hang']): Tag => ({
      key: `${part.id}-${lean.edge}`,
      lean,
      left,
      top,
      hang,
    });
    if (lean.edge === 'left') return tag(place.traced.left + run + end, low, 'start');
    if (lean.edge === 'right') return tag(place.traced.left + place.traced.pxLength - end, low, 'end');
    return tag(middle, lean.edge === 'rim' ? place.y - place.height + 12 : low, 'middle');
  });
}

function below({ part, ...place }: PartPlace, leans: readonly Lean[]): Tag[] {
  const kind = kindOnTable(part);
  // The middle of the room that the layout gave to the part.
  const middle = place.x + place.width / 2 + (AIR[kind].right - AIR[kind].left) / 2;
  const top = place.y + BELOW[kind];
  return leans.map((lean, index): Tag => {
    const alone = index === leans.length - 1 && index % 2 === 0;
    const hang = alone ? 'middle' : index % 2 === 0 ? 'end' : 'start';
    const left = alone ? middle : middle + (hang === 'end' ? -4 : 4);
    return { key: `${part.id}-${lean.edge}`, lean, left, top: top + Math.floor(index / 2) * TAG.height, hang };
  });
}

const tagsOf = (place: PartPlace): Tag[] => (place.hanging.length > 0 ? below(place, place.hanging) : onPart(place));

const HANG = { start: '', middle: ' translateX(-50%)', end: ' translateX(-100%)' } as const;
/** Each edge's lean as it was told last: while it stays the same its tag is moved, not drawn again. */
const told = new Map<string, Lean>();
function steady(tag: Tag): Tag {
  const before = told.get(tag.key);
  const lean = before && sameLean(before, tag.lean) ? before : tag.lean;
  told.set(tag.key, lean);
  return { ...tag, lean };
}
const tags = computed(() => props.places.parts.flatMap(tagsOf).map(steady));
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
