<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js';
import { computed, ref } from 'vue';
import { useDisplay } from 'vuetify';
import type { Making } from '../../../contract/makings.ts';
import { waitingParts } from '../../../core/studio/making/waitingParts.ts';
import { develop } from '../../../core/piece/develop.ts';
import type { Target } from '../../../core/target/target.ts';
import { useShortcuts } from '../../composables/useShortcuts.ts';
import { useBench } from '../../stores/bench.ts';
import { useMakings } from '../../stores/makings.ts';
import SheetDialog from '../frame/SheetDialog.vue';
import ClassLines from './ClassLines.vue';
import ChangeMaking from './ChangeMaking.vue';
import EntrySheet from './EntrySheet.vue';
import { clockWords, dayWords } from './momentWords.ts';
import MakingKinds from './MakingKinds.vue';
import OrderList from './OrderList.vue';
import StepBeside from './StepBeside.vue';
import StepView from './StepView.vue';
import { useMaking } from './useMaking.ts';

/** A making in hand: its order of work, the step that is due, and what to look for. */
const props = defineProps<{ making: Making; piece: number; target: Target; awake: boolean; whole: boolean }>();
const emit = defineEmits<{ whole: [] }>();
const makings = useMakings();
const bench = useBench();
const hand = useMaking(() => props.making, props.piece);
const developed = computed(() => develop(props.target, bench.bench));
const waiting = computed(() =>
  hand.shown.value.step ? waitingParts(hand.shown.value.step, developed.value.parts) : [],
);
const { mdAndDown: narrow } = useDisplay();
const tab = ref<'step' | 'order' | 'look'>('step');
const aloud = ref(false);
const writing = ref(false);
const leaving = ref(false);
const changing = ref(false);

/** Moves on by key, pedal or knuckle; a wait is left only by saying what the hand has found. */
function goOn(): void {
  const { step, number } = hand.shown.value;
  if (!step || step.waits || hand.stateOf(step.id, number).state !== 'open') return;
  hand.press('done');
}
useShortcuts([
  { keys: 'space or arrowright or pagedown', words: 'Done: the next step', run: goOn },
  { keys: 'arrowleft or pageup', words: 'Back to the step before', run: hand.back },
  { keys: 'm', words: 'Measure, note, fault', run: () => (writing.value = true) },
]);

const verbs = computed<readonly { readonly words: string; readonly on?: boolean; readonly run: () => void }[]>(() => [
  { words: 'Read aloud', on: aloud.value, run: () => (aloud.value = !aloud.value) },
  { words: props.whole ? 'Leave the whole screen' : 'Whole screen', run: () => emit('whole') },
  { words: 'Change', run: () => (changing.value = true) },
  { words: 'Take away', run: () => (leaving.value = true) },
]);
const kept = computed(() => {
  if (makings.waiting === 0) return makings.trouble || 'All is kept.';
  return `${makings.waiting} ${makings.waiting === 1 ? 'entry waits' : 'entries wait'} to be sent.`;
});
async function takeAway(): Promise<void> {
  leaving.value = false;
  await makings.remove();
}
</script>

<template>
  <div class="making-table" :class="{ narrow, several: making.pieces.length > 1 }">
    <div class="strip">
      <span
        >{{ hand.count.value === 1 ? making.name : `${making.name}, ${hand.count.value}` }}, begun
        {{ clockWords(making.startedAt) }}{{ making.endedAt ? `, put away ${dayWords(making.endedAt)}` : '' }}</span
      >
      <span role="status" data-testid="sent">{{ kept }}</span>
      <span class="room" />
      <span v-if="awake && !narrow">Screen stays on</span>
      <template v-if="!narrow">
        <VBtn
          v-for="verb in verbs"
          :key="verb.words"
          variant="text"
          :aria-pressed="verb.on"
          :class="{ on: verb.on }"
          @click="verb.run"
          >{{ verb.words }}</VBtn
        >
      </template>
      <VMenu v-else>
        <template #activator="{ props: opener }">
          <VBtn variant="text" v-bind="opener" :icon="mdiDotsHorizontal" aria-label="More for this making" />
        </template>
        <VList>
          <VListItem
            v-for="verb in verbs"
            :key="verb.words"
            :title="verb.words"
            :active="verb.on === true"
            @click="verb.run"
          />
        </VList>
      </VMenu>
    </div>
    <MakingKinds v-if="making.pieces.length > 1" :making="making" />
    <VTabs v-if="narrow" v-model="tab" class="tabs" grow height="48" aria-label="Parts of the making">
      <VTab value="step">Step</VTab>
      <VTab value="order">Order</VTab>
      <VTab value="look">Look for</VTab>
    </VTabs>
    <div class="columns">
      <OrderList v-show="!narrow || tab === 'order'" class="left" :hand="hand" @click="tab = 'step'" />
      <StepView
        v-show="!narrow || tab === 'step'"
        class="middle"
        :hand="hand"
        :target="target"
        :developed="developed"
        :beside="waiting"
        :aloud="aloud"
        :put-away="making.endedAt"
        @write="writing = true"
        @end="void makings.end(new Date().toISOString())"
        @again="void makings.end(null)"
        @another="makings.leave()"
      />
      <aside v-show="!narrow || tab === 'look'" class="right" aria-label="What to look for">
        <ClassLines :hand="hand" />
        <StepBeside :hand="hand" :air="making.air" :parts="waiting" />
      </aside>
    </div>
    <EntrySheet
      v-if="hand.shown.value.step"
      v-model="writing"
      :step="hand.shown.value.step"
      :piece="hand.piece"
      :number="hand.shown.value.number"
      :target="target"
    />
    <ChangeMaking v-model="changing" :making="making" />
    <SheetDialog v-model="leaving" aria-label="Take this making away">
      <section class="sheet-card">
        <h2>Take this making away?</h2>
        <p>Its ticks, sizes, notes, photographs and faults go with it. The design stays as it is.</p>
        <div class="pair">
          <VBtn @click="leaving = false">Keep it</VBtn>
          <VBtn variant="flat" color="error" @click="takeAway">Take it away</VBtn>
        </div>
      </section>
    </SheetDialog>
  </div>
</template>

<style scoped>
.making-table {
  --kinds: 0px;
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 0;
}
.several {
  --kinds: 49px;
}
.strip {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 18px;
  min-height: 48px;
  padding: 2px 18px;
  border-bottom: 1px solid var(--line);
  color: var(--ink-soft);
}
.on {
  text-decoration: underline 3px;
  text-underline-offset: 5px;
}
.room {
  flex: 1;
}
.tabs {
  flex: none;
}
.columns {
  display: grid;
  flex: 1;
  grid-template-columns: 300px minmax(0, 1fr) 286px;
  min-height: 0;
}
.left,
.right,
.middle {
  height: calc(100dvh - 154px - var(--kinds));
  min-height: 440px;
  overflow: auto;
}
.left {
  border-right: 1px solid var(--line);
}
.right {
  padding: 18px;
  border-left: 1px solid var(--line);
}
.narrow .strip {
  flex-wrap: nowrap;
}
.narrow .columns {
  grid-template-columns: minmax(0, 1fr);
}
.narrow .left,
.narrow .right {
  border: 0;
}
.narrow .left,
.narrow .right,
.narrow .middle {
  height: auto;
  min-height: calc(100dvh - 216px - var(--kinds));
}
</style>
