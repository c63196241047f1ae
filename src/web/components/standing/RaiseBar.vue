<script setup lang="ts">
import type { SizeState } from '../../../core/piece/target.ts';
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
      <button type="button" @click="share = 0">Flat</button>
      <input
        v-model.number="share"
        type="range"
        min="0"
        max="1"
        step="0.01"
        aria-label="Raise the flat parts to the standing piece"
        :aria-valuetext="`${Math.round(100 * share)} % raised`"
        :style="{ '--done': `${100 * share}%` }"
      />
      <button type="button" @click="share = 1">Standing</button>
    </div>
    <div v-if="share > 0" class="choices">
      <div role="group" aria-label="Look from">
        <button v-for="view in VIEWS" :key="view.name" type="button" @click="emit('look', view.name)">
          {{ view.words }}
        </button>
      </div>
      <div role="group" aria-label="Cut open">
        <button
          v-for="cut in CUTS"
          :key="cut.value"
          type="button"
          :aria-pressed="choices.section === cut.value"
          @click="put({ section: cut.value })"
        >
          {{ cut.words }}
        </button>
      </div>
      <div role="group" aria-label="Size">
        <button
          v-for="state in STATES"
          :key="state.value"
          type="button"
          :aria-pressed="choices.state === state.value"
          @click="put({ state: state.value })"
        >
          {{ state.words }}
        </button>
      </div>
      <div role="group" aria-label="Beside it">
        <button type="button" :aria-pressed="choices.hand" @click="put({ hand: !choices.hand })">Hand</button>
        <button v-if="canHole" type="button" :aria-pressed="choices.hole" @click="put({ hole: !choices.hole })">
          Rack hole
        </button>
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
.slide button {
  min-height: 44px;
  min-width: 44px;
  font-weight: 700;
  cursor: pointer;
}
input {
  flex: 1;
  min-width: 0;
  height: 44px;
  appearance: none;
  background: none;
  cursor: pointer;
}
input::-webkit-slider-runnable-track {
  height: 8px;
  border-radius: 4px;
  background: linear-gradient(to right, var(--press) var(--done), var(--wood) var(--done));
}
input::-moz-range-track {
  height: 8px;
  border-radius: 4px;
  background: linear-gradient(to right, var(--press) var(--done), var(--wood) var(--done));
}
input::-webkit-slider-thumb {
  appearance: none;
  width: 34px;
  height: 34px;
  margin-top: -13px;
  border-radius: 50%;
  border: 3px solid var(--panel);
  background: var(--press);
  box-shadow: 0 1px 4px #0006;
}
input::-moz-range-thumb {
  width: 30px;
  height: 30px;
  border-radius: 50%;
  border: 3px solid var(--panel);
  background: var(--press);
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  padding-bottom: 4px;
}
.choices > div {
  display: flex;
}
.choices button {
  min-height: 44px;
  padding: 0 6px;
  border-bottom: 3px solid transparent;
  color: var(--press);
  font-weight: 600;
  cursor: pointer;
}
.choices button[aria-pressed='true'] {
  border-bottom-color: var(--press);
  background: var(--press-soft);
  border-radius: 6px 6px 0 0;
}
</style>
