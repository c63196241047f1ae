<script setup lang="ts">
import { computed } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { isMarkable, placesFrom, placeWays } from '../../../core/marks/placeWays.ts';
import type { Repeat } from '../../../core/marks/repeats.ts';
import { isWall } from '../../../core/part/part.ts';
import { LIMITS, type JoinPlace, type WallMarks } from '../../../core/piece/target.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import NumberField from '../fields/NumberField.vue';
import OptionalLength from '../fields/OptionalLength.vue';
import FoldAway from '../frame/FoldAway.vue';
import { without } from './without.ts';

/** What is drawn on the flat wall: equal panels, where handles and spouts go, texture, words. */
const piece = usePiece();
const lengths = useLengths();
const marks = computed<WallMarks>(() => piece.target.marks ?? {});
const places = computed(() => marks.value.places ?? []);
const count = computed(() => (marks.value.panels && 'count' in marks.value.panels ? marks.value.panels.count : 0));
const wide = computed(() =>
  marks.value.panels && 'width' in marks.value.panels ? marks.value.panels.width : undefined,
);
const repeats = computed(() => piece.developed.repeats ?? []);

const ways = computed(() => placeWays(piece.target));
/** Panels that stand flat have their repeats each for itself. */
const flat = computed(() => ['facet', 'box'].includes(piece.target.form.kind));
/** How many parts a wall of flat panels is marked in: each panel is divided for itself. */
const divided = computed(() => {
  if (!flat.value || !marks.value.panels) return 0;
  const drawn = piece.developed.parts.map(({ count: cut, marks: lines }) => {
    const of = (name: string) => lines.filter((mark) => mark.kind === 'line' && mark.name === name).length;
    return cut * (of('panel') + of('fold') + 1);
  });
  const walls = piece.developed.parts.map((part) => isWall(part));
  return drawn.reduce((sum, parts, index) => sum + (walls[index] ? parts : 0), 0);
});
/** Where a repeat is counted: an edge, and of which part where there are several. */
function edgeWords({ part, edge }: Repeat): string {
  const name = piece.developed.parts.find(({ id }) => id === part)?.name ?? part;
  const of = repeats.value.length > 2 ? `, ${name.toLowerCase()}` : flat.value ? ' of each panel' : '';
  return `${edge === 'rim' ? 'Rim' : 'Foot'}${of}`;
}

function put(change: WallMarks, group: string | null = null): readonly Fault[] {
  const next = without({ ...marks.value, ...change });
  const empty = Object.keys(next).length === 0;
  return piece.change(without({ ...piece.target, marks: empty ? undefined : next }), group);
}
const putCount = (value: number) =>
  put({ panels: value < LIMITS.wallPanels.least ? undefined : { count: value } }, 'marks.panels');
const putWide = (mm: number | undefined) =>
  put({ panels: mm === undefined ? undefined : { width: mm } }, 'marks.panels');
const putPlaces = (next: readonly JoinPlace[], group: string | null = null) =>
  put({ places: next.length === 0 ? undefined : next }, group);
const turn = (index: number) => (at: number) =>
  putPlaces(
    places.value.map((place, one) => (one === index ? { ...place, at } : place)),
    `marks.places.${index}`,
  );
const putText = (event: Event) => {
  const text = (event.target as HTMLInputElement).value.trim();
  put({ text: text || undefined });
};
const give = (mm: number) =>
  Math.abs(mm) < 0.005
    ? 'fits just so'
    : `each ${mm > 0 ? 'stretched' : 'squeezed'} by ${lengths.length(Math.abs(mm))}`;
const done = () => piece.endGesture();
/** What the folded line holds. */
const holds = computed(() => {
  const { panels, repeat, text } = marks.value;
  return [
    ...(panels ? ['panels'] : []),
    ...places.value.map(({ kind }) => kind),
    ...(repeat === undefined ? [] : ['texture']),
    ...(text ? ['words'] : []),
  ].join(', ') || 'none'; // prettier-ignore
});
</script>

<template>
  <div v-if="isMarkable(piece.target)" class="marks">
    <FoldAway title="Marks on the wall" :holds="holds">
      <NumberField
        label="Equal panels"
        name="panels-count"
        unit=""
        :digits="0"
        zero="none"
        :value="count"
        :take="putCount"
        :done="done"
      />
      <OptionalLength label="or about this wide, each" name="panels-width" :mm="wide" :take="putWide" :done="done" />
      <p v-if="divided > 0" class="repeat">
        Each panel is divided for itself: <strong>{{ divided }}</strong> parts round.
      </p>
      <OptionalLength
        label="One repeat of texture"
        name="repeat"
        :mm="marks.repeat"
        :take="(repeat) => put({ repeat }, 'marks.repeat')"
        :done="done"
      />
      <p v-for="found in repeats" :key="found.part + found.edge" class="repeat">
        {{ edgeWords(found) }}: <strong>{{ found.count }}</strong> fit, {{ give(found.give) }}
      </p>
      <ul v-if="places.length > 0">
        <li v-for="(place, index) in places" :key="index">
          <NumberField
            :label="`${place.kind === 'handle' ? 'Handle' : 'Spout'}, round from ${placesFrom(piece.target)}`"
            :name="`place-${index}`"
            unit="°"
            :digits="1"
            :value="place.at"
            :take="turn(index)"
            :done="done"
          />
          <VBtn
            variant="text"
            class="off"
            :aria-label="`Take off ${place.kind} ${index + 1}`"
            @click="putPlaces(places.filter((_, one) => one !== index))"
          >
            Take off
          </VBtn>
        </li>
      </ul>
      <div v-if="places.length < LIMITS.places.greatest" class="ways">
        <VBtn v-for="way in ways" :key="way.words" @click="putPlaces([...places, ...way.places])">
          {{ way.words }}
        </VBtn>
      </div>
      <VTextField
        class="words"
        label="Words on it"
        name="mark-text"
        :maxlength="LIMITS.markText.greatest"
        :model-value="marks.text ?? ''"
        @change="putText"
      />
    </FoldAway>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
.repeat {
  padding: 4px 0 4px 10px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 12px 0;
}
</style>
