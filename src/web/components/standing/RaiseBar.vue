<script setup lang="ts">
import type { SizeState } from '../../../core/target/target.ts';
import OneOf from '../fields/OneOf.vue';
import type { CutOpen, RaiseChoices } from './raiseChoices.ts';
import type { ViewName } from './standingScene.ts';

/** The slider that raises the flat parts, and what is shown of the raised piece. */
const share = defineModel<number>('share', { required: true });
const choices = defineModel<RaiseChoices>('choices', { required: true });
defineProps<{ canHole: boolean }>();
const emit = defineEmits<{ look: [view: ViewName] }>();

const VIEWS: readonly { name: ViewName; words: string }[] = [
  { name: 'turned', words: 'Turned' },
  { name: 'side', words: 'Side' },
  { name: 'seam', words: 'Seam' },
  { name: 'above', words: 'Above' },
];
const CUTS: readonly { value: CutOpen; words: string }[] = [
  { value: 'whole', words: 'Whole' },
  { value: 'level', words: 'Cut level' },
  { value: 'upright', words: 'Half' },
];
const STATES: readonly { value: SizeState; words: string }[] = [
  { value: 'wet', words: 'Wet' },
  { value: 'fired', words: 'Fired' },
];
const put = (change: Partial<RaiseChoices>) => (choices.value = { ...choices.value, ...change });
</script>

<template>
  <div class="raise-bar">
    <div class="slide">
      <VBtn variant="text" @click="share = 0">Flat</VBtn>
      <VSlider
        v-model="share"
        min="0"
        max="1"
        step="0.01"
        name="Raise the flat parts to the standing piece"
        :aria-valuetext="`${Math.round(100 * share)} % raised`"
      />
      <VBtn variant="text" @click="share = 1">Standing</VBtn>
    </div>
    <div v-if="share > 0" class="choices">
      <div role="group" aria-label="Look from">
        <VBtn v-for="view in VIEWS" :key="view.name" variant="text" @click="emit('look', view.name)">
          {{ view.words }}
        </VBtn>
      </div>
      <OneOf label="Cut open" :value="choices.section" :choices="CUTS" @choose="(section) => put({ section })" />
      <OneOf label="Size" :value="choices.state" :choices="STATES" @choose="(state) => put({ state })" />
      <div role="group" aria-label="Beside it">
        <VBtn variant="text" :aria-pressed="choices.hand" @click="put({ hand: !choices.hand })">Hand</VBtn>
        <VBtn v-if="canHole" variant="text" :aria-pressed="choices.hole" @click="put({ hole: !choices.hole })">
          Rack hole
        </VBtn>
      </div>
    </div>
  </div>
</template>

<style scoped>
.raise-bar {
  padding: 6px 18px;
  background: var(--panel);
  border-top: 1px solid var(--line);
}
.slide {
  display: flex;
  align-items: center;
  gap: 14px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  padding-bottom: 4px;
}
</style>
