<script setup lang="ts">
import { computed } from 'vue';
import { kindKey, type StandingKind } from '../../../core/studio/kiln/firingLoad.ts';
import { pieceKey, type FiringPiece, type FiringShelf } from '../../../core/studio/kiln/keptFiring.ts';
import { vDrag } from '../../composables/vDrag.ts';

/** One shelf from above, with what stands on it: dragged, turned and locked by hand. */
const props = defineProps<{
  shelf: FiringShelf;
  pieces: readonly FiringPiece[];
  kinds: ReadonlyMap<string, StandingKind>;
  wrong: ReadonlyMap<string, string>;
  chosen: string;
  nameOf: (piece: FiringPiece) => string;
  letterOf: (piece: FiringPiece) => string;
  /** Px for each mm. */
  scale: number;
}>();
const emit = defineEmits<{ choose: [key: string]; move: [key: string, x: number, y: number]; moved: [] }>();

/** A press of an arrow moves by this (mm), with Shift by more. */
const STEP = { plain: 1, shift: 10 } as const;
const EDGE = 6;

const size = computed(() =>
  'width' in props.shelf
    ? ([props.shelf.width, props.shelf.depth] as const)
    : ([props.shelf.diameter, props.shelf.diameter] as const),
);
/** Where the shelf's own zero is drawn (px): a rectangle's lower left, a disc's middle. */
const zero = computed(() =>
  'width' in props.shelf
    ? ([EDGE, EDGE + size.value[1] * props.scale] as const)
    : ([EDGE + (size.value[0] * props.scale) / 2, EDGE + (size.value[1] * props.scale) / 2] as const),
);
const drawn = computed(() =>
  props.pieces.flatMap((piece) => {
    const kind = props.kinds.get(kindKey(piece));
    if (!kind) return [];
    const key = pieceKey(piece);
    const path = `M${kind.outline.map(([x, y]) => `${(x * props.scale).toFixed(1)} ${(-y * props.scale).toFixed(1)}`).join('L')}Z`;
    const at = [zero.value[0] + piece.x * props.scale, zero.value[1] - piece.y * props.scale] as const;
    return [
      {
        piece,
        key,
        path,
        at,
        wrong: props.wrong.get(key),
        name: `${props.letterOf(piece)}${piece.number}, ${props.nameOf(piece)}`,
      },
    ];
  }),
);

let from: readonly [number, number] = [0, 0];
const verbs = (key: string, piece: FiringPiece) => ({
  start: () => {
    from = [piece.x, piece.y];
    emit('choose', key);
  },
  move: (dx: number, dy: number) => emit('move', key, from[0] + dx / props.scale, from[1] - dy / props.scale),
  end: () => emit('moved'),
});
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
function press(event: KeyboardEvent, key: string, piece: FiringPiece): void {
  const way = ARROWS[event.key];
  if (!way) return;
  event.preventDefault();
  const step = event.shiftKey ? STEP.shift : STEP.plain;
  emit('move', key, piece.x + step * way[0], piece.y + step * way[1]);
  emit('moved');
}
</script>

<template>
  <svg
    class="shelf"
    :width="size[0] * scale + 2 * EDGE"
    :height="size[1] * scale + 2 * EDGE"
    role="group"
    :aria-label="`${shelf.name}, from above`"
  >
    <rect
      v-if="'width' in shelf"
      class="board"
      :x="EDGE"
      :y="EDGE"
      :width="size[0] * scale"
      :height="size[1] * scale"
    />
    <circle v-else class="board" :cx="zero[0]" :cy="zero[1]" :r="(size[0] * scale) / 2" />
    <g
      v-for="one in drawn"
      :key="one.key"
      v-drag="verbs(one.key, one.piece)"
      class="piece"
      :class="{ wrong: one.wrong, chosen: one.key === chosen, locked: one.piece.locked }"
      tabindex="0"
      role="button"
      :aria-pressed="one.key === chosen"
      :aria-label="`${one.name}${one.wrong ? `, ${one.wrong}` : ''}${one.piece.locked ? ', locked' : ''}`"
      :transform="`translate(${one.at[0]} ${one.at[1]})`"
      @focus="emit('choose', one.key)"
      @keydown="(event) => press(event, one.key, one.piece)"
    >
      <path :d="one.path" :transform="`rotate(${-one.piece.turn})`" />
      <text aria-hidden="true" y="5">{{ letterOf(one.piece) }}{{ one.piece.number }}</text>
    </g>
  </svg>
</template>

<style scoped>
.shelf {
  max-width: 100%;
  touch-action: none;
}
.board {
  fill: var(--panel);
  stroke: var(--ink-soft);
  stroke-width: 2;
}
.piece {
  cursor: grab;
}
.piece path {
  fill: var(--slab);
  stroke: var(--slab-edge);
  stroke-width: 1.5;
}
.piece text {
  fill: var(--ink);
  font-size: 15px;
  text-anchor: middle;
  pointer-events: none;
}
.chosen path {
  stroke: var(--press);
  stroke-width: 4;
}
.locked path {
  stroke-dasharray: 6 3;
}
.wrong path {
  fill: var(--stop);
  stroke: var(--stop-edge);
  stroke-width: 3;
}
</style>
