<script setup lang="ts">
import { onUnmounted, shallowRef, watch } from 'vue';
import { pieceKit, type PieceKit } from '../../../core/kit/pieceKit.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import { useKit } from '../../stores/records.ts';

/** What of the kit the piece uses, and how many stand on a kiln shelf. */
const piece = usePiece();
const kit = useKit();
const lengths = useLengths();

/** Packing shelves takes a few ms: it waits until the figures have stood still for so long (ms). */
const STILL = 180;

const now = (): PieceKit => pieceKit(kit.list.map(({ body }) => body), piece.target, piece.developed); // prettier-ignore
const used = shallowRef(now());
let timer: ReturnType<typeof setTimeout> | undefined;
watch([() => kit.list, () => piece.developed], () => {
  clearTimeout(timer);
  timer = setTimeout(() => (used.value = now()), STILL);
});
onUnmounted(() => clearTimeout(timer));
</script>

<template>
  <section v-if="kit.list.length" aria-labelledby="kit-use">
    <h2 id="kit-use">From your kit</h2>
    <ul>
      <li v-for="slab in used.slabs" :key="slab.thickness" :class="{ none: slab.kind === 'none' }" data-use="slab">
        <span>{{ lengths.length(slab.thickness) }} slab</span>
        <strong v-if="slab.kind !== 'none'">{{ slab.name }}</strong>
        <strong v-else-if="slab.nearest !== null">nearest {{ lengths.length(slab.nearest) }}</strong>
        <strong v-else>no sticks</strong>
      </li>
      <li v-if="used.cutter" data-use="cutter">
        <span>Base</span>
        <strong>{{ used.cutter }}</strong>
      </li>
      <li v-if="used.former" data-use="former">
        <span>Wrapped on</span> <strong>{{ used.former }}</strong>
      </li>
      <li v-if="used.board" data-use="board">
        <span>Laid out on</span> <strong>{{ used.board }}</strong>
      </li>
      <li v-for="one in used.machines" :key="one.name" data-use="machine">
        <span>{{ one.name }}</span> <strong>{{ one.whole ? 'whole templates' : 'in several sheets' }}</strong>
      </li>
      <li v-for="kiln in used.kilns" :key="kiln.name" :class="{ none: !kiln.fits }" data-use="kiln">
        <span>{{ kiln.name }}</span> <strong>{{ kiln.fits ? 'goes in' : 'too small' }}</strong>
      </li>
      <li
        v-for="shelf in used.shelves"
        :key="shelf.name"
        :class="{ none: !shelf.tall || shelf.count === 0 }"
        data-use="shelf"
      >
        <span>{{ shelf.name }}</span>
        <strong>{{ shelf.tall ? `${shelf.count} at once` : 'too low' }}</strong>
      </li>
    </ul>
    <small>On the kiln shelf as it is when wet, 5 mm apart.</small>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 10px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
li span,
small {
  color: var(--ink-soft);
}
.none strong {
  padding: 0 8px;
  background: var(--care);
  border-left: 4px solid var(--care-edge);
}
</style>
