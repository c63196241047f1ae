<script setup lang="ts">
import { computed } from 'vue';
import { pathData, screenPx } from '../../../core/files/format/pathData.ts';
import { bounds } from '../../../core/geometry/outline/outline.ts';
import { middleOfPart, type Mark, type Part } from '../../../core/parts/part/part.ts';
import { kindOnTable, leaningEdges, LOW_WALL } from './tablePlaces.ts';

/** One flat part on the cloth, its lower left corner at `at` (px); its tags lie on it, or hang below it. */
const props = defineProps<{ part: Part; scale: number; at: readonly [number, number]; hanging: boolean }>();

const box = computed(() => {
  const up = bounds(props.part.outline);
  const under = bounds(props.part.underside);
  return {
    minX: Math.min(up.minX, under.minX),
    minY: Math.min(up.minY, under.minY),
    width: Math.max(up.maxX, under.maxX) - Math.min(up.minX, under.minX),
    height: Math.max(up.maxY, under.maxY) - Math.min(up.minY, under.minY),
  };
});
const origin = computed(
  () => [props.at[0] - box.value.minX * props.scale, props.at[1] + box.value.minY * props.scale] as const,
);
const px = (x: number) => origin.value[0] + x * props.scale;
const py = (y: number) => origin.value[1] - y * props.scale;
const leans = computed(() => props.part.leans.some((lean) => lean.word !== 'straight down'));
const middle = computed(() => {
  const [x, y] = middleOfPart(props.part);
  return [px(x), py(y)] as const;
});
const roomy = computed(() => box.value.width * props.scale > 150 && box.value.height * props.scale > 64);
/** All lines of one kind are one path: a texture has many. */
const lines = computed(() => {
  const paths = new Map<string, string>();
  for (const mark of props.part.marks) {
    if (mark.kind === 'path') {
      const d = pathData(mark.outline, {
        scale: props.scale,
        origin: origin.value,
        write: screenPx,
        ends: mark.closed ? 'closed' : 'open',
      });
      paths.set(mark.name, `${paths.get(mark.name) ?? ''}${d}`);
    }
    if (mark.kind !== 'line') continue;
    const [[x0, y0], [x1, y1]] = [mark.from, mark.to];
    const d = `M${px(x0).toFixed(2)} ${py(y0).toFixed(2)}L${px(x1).toFixed(2)} ${py(y1).toFixed(2)}`;
    paths.set(mark.name, `${paths.get(mark.name) ?? ''}${d}`);
  }
  return [...paths].map(([name, d]) => ({ name, d }));
});
/** Tags on a low part leave no room for words beside the seam's letters. */
const covered = computed(
  () => !props.hanging && leaningEdges(props.part).length > 0 && box.value.height * props.scale < LOW_WALL,
);
/** A tag in the middle of a still lower part leaves none for its name (px). */
const NAME_ROOM = 96;
const named = computed(
  () =>
    !covered.value ||
    box.value.height * props.scale > NAME_ROOM ||
    leaningEdges(props.part).every(({ edge }) => edge === 'left' || edge === 'right'),
);
/** On a part no wider than this the seam's letters would stand on its name (px). */
const LETTER_ROOM = 110;
const lettered = computed(() => box.value.width * props.scale > LETTER_ROOM);
/** On a smaller part the leans along an edge that varies would stand on one another: the tag has their range (px). */
const STATION_ROOM = 360;
const stationed = computed(() => box.value.width * props.scale > STATION_ROOM);
const words = computed(() =>
  props.part.marks.filter((mark): mark is Exclude<Mark, { kind: 'line' | 'path' }> =>
    mark.kind === 'letter'
      ? lettered.value
      : mark.kind !== 'line' &&
        mark.kind !== 'path' &&
        roomy.value &&
        !covered.value &&
        (mark.kind !== 'lean' || stationed.value),
  ),
);
/** A lean is written this far inside its edge (px). */
const LEAN_CLEAR = 19;
/** Words nearer to a seam's letter than this stand under it (px). */
const LETTER_CLEAR = { across: 48, up: 20 };
function wordAt(mark: Exclude<Mark, { kind: 'line' | 'path' }>): readonly [number, number] {
  const [x, y] = [px(mark.at[0]), py(mark.at[1])];
  const letter = mark.kind === 'words' && words.value.find((one) => one.kind === 'letter' && near(one.at, mark.at));
  if (letter) return [x, py(letter.at[1]) + 4 + LETTER_CLEAR.up];
  if (mark.kind !== 'lean') return [x, y + 4];
  return [x + LEAN_CLEAR * mark.inward[0], y + 4 - LEAN_CLEAR * mark.inward[1]];
}
function near(one: readonly [number, number], other: readonly [number, number]): boolean {
  const { across, up } = LETTER_CLEAR;
  return Math.abs(one[0] - other[0]) * props.scale < across && Math.abs(one[1] - other[1]) * props.scale < up;
}
/** A low part has no room for the face beside words of its own, or tags; the table tells it anyway (px). */
const FACE_ROOM = 120;
/** The words lie between two tags on a smaller part (px). */
const TAG_ROOM = { width: 420, height: 140 };
const tagged = computed(
  () =>
    !props.hanging &&
    leaningEdges(props.part).length > 0 &&
    box.value.width * props.scale < TAG_ROOM.width &&
    box.value.height * props.scale < TAG_ROOM.height,
);
/** A pad has its name beside it. */
const beside = computed(() => kindOnTable(props.part) === 'pad');
const nameX = computed(() => (beside.value ? props.at[0] + box.value.width * props.scale + 12 : middle.value[0]));
/** Text is moved by a transform, so that its letters are not laid out again. */
const moved = (x: number, y: number) => `translate(${x} ${y})`;
const second = computed(() => {
  const crowded =
    words.value.some(({ kind }) => kind === 'words') &&
    box.value.height * props.scale < FACE_ROOM &&
    props.part.count === 1;
  if (roomy.value && !crowded && !tagged.value) return `${props.part.faceUp} face up`;
  return props.part.count > 1 && !roomy.value ? `cut ${props.part.count}` : '';
});
const name = computed(() =>
  roomy.value && props.part.count > 1 ? `${props.part.name}, cut ${props.part.count}` : props.part.name,
);
/** Width of a letter of the name by its size, the room that a seam's letter takes on either side, and sizes of the name (px). */
const NAME = { letter: 0.54, seam: 22, largest: 20, least: 13 };
/** The name is as small as the room between the seam's letters asks. */
const nameSize = computed(() => {
  if (beside.value) return NAME.largest;
  const room = box.value.width * props.scale - (words.value.some(({ kind }) => kind === 'letter') ? 2 * NAME.seam : 0);
  return Math.min(NAME.largest, Math.max(NAME.least, room / (NAME.letter * name.value.length)));
});
/** From the middle of the part down to its name (px): above the second line, above the tags, or in the middle. */
const nameBy = computed(() => (second.value ? -6 : tagged.value ? -16 : 2));
</script>

<template>
  <g :data-part="part.id" class="flat-part">
    <path v-if="leans" class="under" :d="pathData(part.underside, { scale, origin, write: screenPx })" />
    <path class="cut" :d="pathData(part.outline, { scale, origin, write: screenPx })" />
    <path
      v-for="(hole, index) in part.holes ?? []"
      :key="`hole ${index}`"
      class="hole"
      :d="pathData(hole, { scale, origin, write: screenPx })"
    />
    <path v-for="drawn in lines" :key="drawn.name" :class="['mark', drawn.name]" :d="drawn.d" />
    <text v-for="(mark, index) in words" :key="index" :class="mark.kind" :transform="moved(...wordAt(mark))">
      {{ mark.text }}
    </text>
    <g :class="{ beside }" :transform="moved(nameX, middle[1])">
      <text v-if="named" class="name" :y="nameBy" :font-size="nameSize">{{ name }}</text>
      <text v-if="named && second" class="face" y="18">{{ second }}</text>
    </g>
  </g>
</template>

<style scoped>
.under {
  fill: var(--slab-under);
  stroke: var(--slab-edge);
  stroke-width: 1.2;
  stroke-dasharray: 5 4;
}
.cut {
  fill: var(--slab);
  stroke: var(--slab-edge);
  stroke-width: 2;
}
.hole {
  fill: var(--cloth);
  stroke: var(--slab-edge);
  stroke-width: 2;
}
.mark {
  fill: none;
  stroke: var(--slab-edge);
  stroke-width: 1;
  stroke-dasharray: 12 4 3 4;
  opacity: 0.55;
}
text {
  fill: var(--ink);
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--slab);
  stroke-width: 5px;
  stroke-linejoin: round;
}
.beside text {
  text-anchor: start;
  stroke: var(--cloth);
}
.name,
.letter {
  font-family: 'Bitter', serif;
  font-weight: 600;
}
.letter {
  font-size: 20px;
}
.face,
.words {
  font-size: 15px;
}
.lean {
  font-size: 13px;
  fill: var(--ink-soft);
}
.mark.panel {
  stroke-dasharray: none;
  opacity: 0.4;
}
.mark.repeat {
  stroke-dasharray: none;
}
.mark.place {
  stroke-width: 2;
  stroke-dasharray: 9 5;
  opacity: 0.9;
}
</style>
