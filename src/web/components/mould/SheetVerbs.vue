<script setup lang="ts">
import { computed } from 'vue';
import { useLengths } from '../../composables/useLengths.ts';
import OneOf from '../fields/OneOf.vue';
import LengthField from '../fields/LengthField.vue';
import type { useSheetDrawing } from './useSheetDrawing.ts';

/** Which line of a sheet is drawn on, what can be done to it, and the figures of the chosen point or edge. */
const props = defineProps<{ drawing: ReturnType<typeof useSheetDrawing> }>();
const { drawing } = props;
const { names, chosen, line, edge, grip } = drawing;
const lengths = useLengths();
const lines = computed(() =>
  names.value.map((name) => ({ value: drawing.wordsOf(name), words: drawing.wordsOf(name) })),
);
function choose(words: string): void {
  const name = names.value.find((one) => drawing.wordsOf(one) === words);
  if (name) drawing.choose(name);
}

/** The chosen point, to be placed by figures. */
const point = computed(() => line.value?.vertices[grip.value.kind === 'point' ? grip.value.index : -1] ?? null);
const place = (axis: 0 | 1) => (mm: number) => {
  const now = line.value?.vertices[grip.value.index];
  return now ? drawing.drag(grip.value, axis === 0 ? [mm, now[1]] : [now[0], mm]) : [];
};
</script>

<template>
  <div class="bar">
    <OneOf label="Which line" :value="drawing.wordsOf(chosen)" :choices="lines" @choose="choose" />
    <div class="verbs">
      <VBtn @click="drawing.addPoint">Add a point</VBtn>
      <VBtn :disabled="grip.kind !== 'point'" @click="drawing.dropPoint"> Take it off </VBtn>
      <VBtn v-if="chosen.kind !== 'line'" @click="drawing.straighten">Straighten</VBtn>
      <VBtn @click="drawing.addNew('hole')">Add a hole</VBtn>
      <VBtn @click="drawing.addNew('line')">Add a line</VBtn>
      <VBtn v-if="chosen.kind !== 'outline'" @click="drawing.takeOff">
        Take {{ drawing.wordsOf(chosen).toLowerCase() }} off
      </VBtn>
    </div>
    <div v-if="point" class="figures">
      <LengthField label="Along" name="point-x" :mm="point[0]" :take="place(0)" :done="drawing.end" />
      <LengthField label="Up" name="point-y" :mm="point[1]" :take="place(1)" :done="drawing.end" />
    </div>
    <p v-else-if="edge" class="figures">
      Edge <strong>{{ lengths.length(edge.length) }}</strong>
    </p>
  </div>
</template>

<style scoped>
.bar {
  display: grid;
  gap: 6px;
  padding: 8px 18px;
  background: var(--panel);
  border-top: 1px solid var(--line);
}
.verbs,
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
/* Room for a field with a message: the buttons above stay under the finger when one appears or goes. */
.figures {
  align-items: start;
  min-height: 88px;
  margin: 0;
}
.figures > * {
  flex: 0 1 290px;
}
p.figures strong {
  font-size: 22px;
}
</style>
