<script setup lang="ts">
import { computed } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { kindOf } from '../../../core/forms/kinds.ts';
import { isMarkable, placesFrom, placeWays } from '../../../core/bench/marks/placeWays.ts';
import type { Repeat } from '../../../core/bench/marks/repeats.ts';
import { isWall } from '../../../core/parts/part/part.ts';
import { LIMITS, placeWord, type JoinPlace, type PanelMarking, type WallMarks } from '../../../core/target/target.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import { panelCount, placesOf } from '../../../core/bench/marks/marking.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import type { Choice } from '../fields/choice.ts';
import NumberField from '../fields/NumberField.vue';
import TextField from '../fields/TextField.vue';
import OptionalLength from '../fields/OptionalLength.vue';
import FoldAway from '../frame/FoldAway.vue';
import { without } from '../../without.ts';

/** What is drawn on the flat wall: equal panels, where handles and spouts go, texture, words. */
const piece = usePiece();
const lengths = useLengths();
const marks = computed<WallMarks>(() => piece.target.marks ?? {});
const places = computed(() => marks.value.places ?? []);
const count = computed(() => (marks.value.panels && 'count' in marks.value.panels ? marks.value.panels.count : 0));
const wide = computed(() =>
  marks.value.panels && 'width' in marks.value.panels ? marks.value.panels.width : undefined,
);
const repeats = computed(() => piece.beside.developed.repeats ?? []);

const ways = computed(() => placeWays(piece.beside.target));
/** Panels that stand flat have their repeats each for itself. */
const flat = computed(() => kindOf(piece.target).traits.panels === true);
/** How many parts a wall of flat panels is marked in: each panel is divided for itself. */
const divided = computed(() => {
  if (!flat.value || !marks.value.panels) return 0;
  const drawn = piece.beside.developed.parts.map(({ count: cut, marks: lines }) => {
    const of = (name: string) => lines.filter((mark) => mark.kind === 'line' && mark.name === name).length;
    return cut * (of('panel') + of('fold') + 1);
  });
  const walls = piece.beside.developed.parts.map((part) => isWall(part));
  return drawn.reduce((sum, parts, index) => sum + (walls[index] ? parts : 0), 0);
});
/** Where a repeat is counted: an edge, and of which part where there are several. */
function edgeWords({ part, edge }: Repeat): string {
  const name = piece.beside.developed.parts.find(({ id }) => id === part)?.name ?? part;
  const of = repeats.value.length > 2 ? `, ${name.toLowerCase()}` : flat.value ? ' of each panel' : '';
  return `${edge === 'rim' ? 'Rim' : 'Foot'}${of}`;
}

function put(change: WallMarks, group: string | null = null): readonly Fault[] {
  const next = without({ ...marks.value, ...change });
  const empty = Object.keys(next).length === 0;
  return piece.change(without({ ...piece.target, marks: empty ? undefined : next }), group);
}
/** How the panels are marked stays as it is when their number changes. */
const marking = computed(() => (marks.value.panels?.marked ? { marked: marks.value.panels.marked } : {}));
const putCount = (value: number) =>
  put({ panels: value < LIMITS.wallPanels.least ? undefined : { count: value, ...marking.value } }, 'marks.panels');
const putWide = (mm: number | undefined) =>
  put({ panels: mm === undefined ? undefined : { width: mm, ...marking.value } }, 'marks.panels');
function chooseMarking(marked: PanelMarking): void {
  const { panels } = marks.value;
  if (panels) put({ panels: { ...panels, marked } });
}
/** How many panels there are, and how wide each is at rim and foot (mm, along the wall). */
const panelled = computed(() => {
  const { panels } = marks.value;
  const { wrapLength, girthRim = wrapLength, girthFoot = wrapLength, bands } = piece.developed.numbers;
  if (!panels || flat.value || bands || girthRim === undefined || girthFoot === undefined) return null;
  const found = panelCount(panels, Math.max(girthRim, wrapLength ?? 0), piece.target.seam.panels);
  return { count: found, rim: girthRim / found, foot: girthFoot / found };
});
/** A new feature goes where nothing else is marked, so that their words do not lie over one another (degrees). */
const FEATURE_PLACES = [180, 90, 270, 135, 225, 45, 315] as const;
const APART = 30;
function addFeature(): void {
  const taken = placesOf(piece.target).map(({ at }) => at);
  const free = FEATURE_PLACES.find((angle) => taken.every((at) => Math.abs(at - angle) >= APART));
  putPlaces([...places.value, { kind: 'feature', at: free ?? FEATURE_PLACES[0], text: 'face' }]);
}
const rename = (index: number) => (text: string) =>
  putPlaces(
    places.value.map((place, one) => (one === index ? { kind: 'feature', at: place.at, text } : place)),
    `marks.places.${index}.text`,
  );
const NAMES = { handle: 'Handle', spout: 'Spout', feature: 'Feature' } as const;
const MARKINGS: readonly Choice<PanelMarking>[] = [
  { value: 'borders', title: 'their borders', why: 'Lines between equal panels.' },
  { value: 'every-other', title: 'every other one too', why: 'A sign in every other panel: textured, glazed or cut.' },
];
/** Where the words stand when nobody has moved them. */
const TEXT_AT = { at: 180, up: 0.2 } as const;
const moveText = (key: 'at' | 'up') => (value: number) =>
  put({ textAt: { ...TEXT_AT, ...marks.value.textAt, [key]: value } }, `marks.textAt.${key}`);
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
  return (
    [
      ...(panels ? ['panels'] : []),
      ...places.value.map(placeWord),
      ...(repeat === undefined ? [] : ['texture']),
      ...(text ? ['words'] : []),
    ].join(', ') || 'none'
  );
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
      <ChoiceField
        v-if="marks.panels && !flat"
        label="Mark"
        name="panels-marked"
        :value="marks.panels.marked ?? 'borders'"
        :choices="MARKINGS"
        @choose="chooseMarking"
      />
      <p v-if="panelled" class="panelled">
        <strong>{{ panelled.count }}</strong> panels, each {{ lengths.length(panelled.rim) }} wide{{
          Math.abs(panelled.rim - panelled.foot) > 0.05
            ? ` at the rim and ${lengths.length(panelled.foot)} at the foot`
            : ''
        }}
      </p>
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
            :label="`${NAMES[place.kind]}, round from ${placesFrom(piece.target)}`"
            :name="`place-${index}`"
            unit="°"
            :digits="1"
            :value="place.at"
            :take="turn(index)"
            :done="done"
          />
          <TextField
            v-if="place.kind === 'feature'"
            label="Its word"
            :name="`feature-${index}`"
            :value="place.text"
            :most="LIMITS.featureText.greatest"
            :take="rename(index)"
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
        <VBtn @click="addFeature">A feature</VBtn>
      </div>
      <VTextField
        class="words"
        label="Words on it"
        name="mark-text"
        :maxlength="LIMITS.markText.greatest"
        :model-value="marks.text ?? ''"
        @change="putText"
      />
      <template v-if="marks.text">
        <NumberField
          label="Words, round"
          name="text-at"
          unit="°"
          :digits="0"
          :value="marks.textAt?.at ?? TEXT_AT.at"
          :take="moveText('at')"
          :done="done"
        />
        <NumberField
          label="Words, up the wall"
          name="text-up"
          unit=" %"
          :digits="0"
          :factor="0.01"
          :value="marks.textAt?.up ?? TEXT_AT.up"
          :take="moveText('up')"
          :done="done"
        />
      </template>
    </FoldAway>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
.repeat,
.panelled {
  padding: 4px 0 4px 10px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 12px 0;
}
</style>
