<script setup lang="ts">
import { computed } from 'vue';
import { bounds } from '../../../core/geometry/outline/outline.ts';
import { kindKey, type StandingKind } from '../../../core/studio/kiln/firingLoad.ts';
import { pieceKey, type FiringPiece, type FiringShelf } from '../../../core/studio/kiln/keptFiring.ts';
import { useLengths } from '../../composables/useLengths.ts';

/** The shelves from the side, the first at the bottom, with posts between them and what stands on each at its height. */
const props = defineProps<{
  shelves: readonly FiringShelf[];
  placed: readonly FiringPiece[];
  kinds: ReadonlyMap<string, StandingKind>;
  wrong: ReadonlyMap<string, string>;
  /** Px for each mm. */
  scale: number;
}>();
const lengths = useLengths();

/** A shelf's own thickness as it is drawn, and room for its words (px). */
const BOARD = 6;
const WORDS = 110;

const across = (shelf: FiringShelf) => ('width' in shelf ? shelf.width : shelf.diameter);
const wide = computed(() => Math.max(0, ...props.shelves.map(across)) * props.scale);
const rows = computed(() => {
  let y = props.shelves.reduce((sum, { clear }) => sum + clear * props.scale + BOARD, 0) + 4;
  return props.shelves.map((shelf) => {
    const own = props.placed.filter((one) => one.shelf === shelf.id);
    const zero = 'width' in shelf ? 0 : across(shelf) / 2;
    const floor = y - BOARD;
    y -= shelf.clear * props.scale + BOARD;
    const pieces = own.flatMap((piece) => {
      const kind = props.kinds.get(kindKey(piece));
      if (!kind) return [];
      const { minX, maxX, minY, maxY } = bounds(kind.outline);
      const turned = (piece.turn * Math.PI) / 180;
      const half = (Math.abs((maxX - minX) * Math.cos(turned)) + Math.abs((maxY - minY) * Math.sin(turned))) / 2;
      const high = kind.height * props.scale;
      return [
        {
          key: pieceKey(piece),
          x: (zero + piece.x - half) * props.scale,
          wide: 2 * half * props.scale,
          y: floor - high,
          high,
          far: piece.y,
          wrong: props.wrong.has(pieceKey(piece)),
        },
      ];
    });
    // What stands further back is drawn first.
    return {
      shelf,
      floor,
      top: floor - shelf.clear * props.scale,
      wide: across(shelf) * props.scale,
      pieces: pieces.sort((one, other) => other.far - one.far),
    };
  });
});
const high = computed(() => props.shelves.reduce((sum, { clear }) => sum + clear * props.scale + BOARD, 0) + 8);
const words = computed(() =>
  props.shelves.map(({ name, clear }) => `${name}, ${lengths.length(clear)} clear`).join('; '),
);
</script>

<template>
  <svg
    v-if="shelves.length"
    class="side"
    :width="wide + WORDS"
    :height="high"
    role="img"
    :aria-label="`The kiln from the side, from below: ${words}`"
  >
    <g v-for="row in rows" :key="row.shelf.id">
      <rect
        v-for="piece in row.pieces"
        :key="piece.key"
        class="piece"
        :class="{ wrong: piece.wrong }"
        :x="piece.x"
        :y="piece.y"
        :width="piece.wide"
        :height="piece.high"
      />
      <path class="post" :d="`M3 ${row.floor}V${row.top}M${row.wide - 3} ${row.floor}V${row.top}`" />
      <rect class="board" x="0" :y="row.floor" :width="row.wide" :height="BOARD" />
      <text :x="row.wide + 8" :y="row.floor">{{ row.shelf.name }}</text>
    </g>
  </svg>
</template>

<style scoped>
.side {
  max-width: 100%;
}
.piece {
  fill: var(--slab);
  stroke: var(--slab-edge);
}
.wrong {
  fill: var(--stop);
  stroke: var(--stop-edge);
}
.post {
  stroke: var(--ink-soft);
  stroke-width: 5;
}
.board {
  fill: var(--ink-soft);
}
text {
  font-size: 14px;
  fill: var(--ink-soft);
}
</style>
