<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core';
import { computed, onUnmounted, shallowRef, watch } from 'vue';
import type { KilnKit } from '../../../core/studio/kit/kilnKit.ts';
import { pieceKit } from '../../../core/studio/kit/pieceKit.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import { useKit } from '../../stores/records.ts';
import { sent } from '../../workers/blankWork.ts';
import type { KitQuestion } from '../../workers/kit.worker.ts';
import { workerJob } from '../../workers/workerJob.ts';

/** What the piece uses of the kit, and how many stand on a kiln shelf. */
const piece = usePiece();
const kit = useKit();
const lengths = useLengths();

const items = computed(() => kit.list.map(({ body }) => body));
const used = computed(() => pieceKit(items.value, piece.beside.target, piece.beside.developed));

/** Rest of the figures before a worker packs the shelves (ms). */
const STILL = 500;
/** The worker stays ready this long for the next change (ms). */
const STAYS = 30_000;
const NONE: KilnKit = { shelves: [], kilns: [] };
const kiln = shallowRef(NONE);
const job = workerJob<KitQuestion, KilnKit>({
  make: () => new Worker(new URL('../../workers/kit.worker.ts', import.meta.url), { type: 'module' }),
  ends: () => true,
  broken: NONE,
  stays: STAYS,
});
async function look(): Promise<void> {
  if (items.value.length === 0) return;
  const kit = JSON.parse(JSON.stringify(items.value)) as KitQuestion['kit'];
  kiln.value = (await job.ask({ ...sent(piece.target), kit })) ?? kiln.value;
}
const lookSoon = useDebounceFn(() => void look(), STILL);
watch([items, () => piece.target], lookSoon, { immediate: true });
onUnmounted(job.stop);
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
      <li v-for="one in kiln.kilns" :key="one.name" :class="{ none: !one.fits }" data-use="kiln">
        <span>{{ one.name }}</span> <strong>{{ one.fits ? 'goes in' : 'too small' }}</strong>
      </li>
      <li
        v-for="shelf in kiln.shelves"
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
