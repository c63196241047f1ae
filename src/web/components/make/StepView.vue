<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { FINDINGS, type MarkKind } from '../../../core/studio/making/making.ts';
import type { Development } from '../../../core/piece/develop.ts';
import type { NamedPart } from '../../../core/studio/drying/stress.ts';
import type { Target } from '../../../core/target/target.ts';
import type { Phrase } from '../../../core/units/phrase.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useMakings } from '../../stores/makings.ts';
import StepDrawing from './StepDrawing.vue';
import { dayWords } from './momentWords.ts';
import type { MakingInHand } from './useMaking.ts';
import WaitCurve from './WaitCurve.vue';

/** One act, readable from two paces: its figures largest, a drawing of the part, and its buttons. */
const props = defineProps<{
  hand: MakingInHand;
  target: Target;
  developed: Development;
  /** What waits side by side at the step. */
  beside: readonly NamedPart[];
  aloud: boolean;
  /** When it was finished; null while it is in work. */
  putAway: string | null;
}>();
const emit = defineEmits<{ write: []; end: []; again: []; another: [] }>();
const lengths = useLengths();
const makings = useMakings();

const step = computed(() => props.hand.shown.value.step);
const number = computed(() => props.hand.shown.value.number);
const state = computed(() => (step.value ? props.hand.stateOf(step.value.id, number.value).state : 'open'));
const ended = computed(() => props.hand.next.value === null && props.hand.turned.value === null);
const figured = (phrase: Phrase) => phrase.some((part) => typeof part !== 'string');
/** The sentence with the step's own figures is the largest; without figures the act itself is. */
const largest = computed(() => step.value?.says.find(figured) ?? null);
const others = computed(() =>
  (step.value?.says ?? []).filter((phrase) => phrase !== largest.value).map(lengths.phrase),
);
const waitWords = computed(() => (step.value?.waits ? props.hand.waitWords.value : null));
const heading = computed(() => {
  if (state.value === 'missed') return 'Too stiff to join';
  if (waitWords.value) return waitWords.value.heading;
  return largest.value ? lengths.phrase(largest.value).replace(/\.$/, '') : (step.value?.title ?? '');
});

/** More letters than this are set at the smallest size that reads from two paces. */
const LONG = 52;

const FOUND_WORDS: Partial<Record<MarkKind, string>> = {
  'too-soft': 'Too soft',
  ready: 'Ready',
  'too-stiff': 'Too stiff',
  'leather-hard': 'Leather-hard',
  dry: 'Dry',
};
const findings = computed(() => (step.value?.waits ? FINDINGS[step.value.waits.until] : []));
/** What the hand must find before the step can be done. */
const wanted = computed<MarkKind>(() => {
  const until = step.value?.waits?.until;
  return until === 'opens' ? 'ready' : until === 'dry' ? 'dry' : 'leather-hard';
});
const missed = computed(() => state.value === 'missed');
/** The cost of making a part again: the clay of this piece's slabs. */
const costs = computed(() => {
  const grams = props.hand.steps.value
    .filter(({ act }) => act === 'weigh')
    .flatMap(({ says }) => says.flat())
    .reduce((sum, part) => sum + (typeof part !== 'string' && 'grams' in part ? part.grams : 0), 0);
  return grams > 0 ? `, ${lengths.phrase([{ grams }])} of clay` : '';
});
const waiting = computed(() => step.value?.waits !== undefined && state.value === 'open');

const said = ref('');
watch(
  [heading, () => props.aloud],
  ([words, aloud]) => {
    if (!('speechSynthesis' in window)) return;
    window.speechSynthesis.cancel();
    if (!aloud || !words || said.value === words) return;
    said.value = words;
    const utterance = new SpeechSynthesisUtterance([step.value?.title, words, ...others.value].join('. '));
    utterance.lang = 'en-GB';
    window.speechSynthesis.speak(utterance);
  },
  { immediate: true },
);
</script>

<template>
  <section v-if="ended" class="step-view ended">
    <h2 class="act serif">All of it is done</h2>
    <p v-if="putAway" class="more">Put away {{ dayWords(putAway) }}.</p>
    <p v-else class="more">
      {{
        hand.count.value === 1
          ? 'It is dry and waits for the kiln.'
          : `All ${hand.count.value} are dry and wait for the kiln.`
      }}
    </p>
    <div v-if="putAway" class="buttons">
      <VBtn size="x-large" @click="emit('again')">Take it up again</VBtn>
      <VBtn variant="flat" size="x-large" class="main" @click="emit('another')">Begin another</VBtn>
    </div>
    <div v-else class="buttons">
      <VBtn size="x-large" @click="hand.back()">Back</VBtn>
      <VBtn variant="flat" size="x-large" class="main" @click="emit('end')">Put it away</VBtn>
    </div>
  </section>
  <section v-else-if="step" class="step-view" :aria-label="step.title">
    <div class="words" aria-live="polite">
      <p class="kicker">
        <span v-if="largest || waitWords">{{ step.title }}</span>
        <span v-if="hand.count.value > 1">{{ hand.own.value?.name }} {{ number }} of {{ hand.count.value }}</span>
        <span v-if="hand.names.value[number - 1]">{{ hand.names.value[number - 1] }}</span>
        <span v-if="state === 'done' || state === 'skipped'">{{ state }}</span>
      </p>
      <h2 class="act serif" :class="{ long: heading.length > LONG }">{{ heading }}</h2>
      <p v-if="waitWords && !missed" class="more now" role="status">{{ waitWords.state }}</p>
      <p v-for="one in others" :key="one" class="more">{{ one }}</p>
      <VAlert v-if="missed" type="warning">
        The window was missed: it no longer bends. Lay it flat, wet it and let it wait; or make this part again{{
          costs
        }}.
      </VAlert>
    </div>
    <WaitCurve
      v-if="step.waits && hand.wait.value && makings.making"
      class="drawing"
      :part="step.waits.part"
      :air="makings.making.air"
      :wait="hand.wait.value"
      :now="hand.nowMs.value"
      :parts="beside"
    />
    <StepDrawing v-else class="drawing" :step="step" :target="target" :developed="developed" />
    <div class="buttons">
      <VBtn size="x-large" @click="hand.back()">Back</VBtn>
      <template v-if="missed">
        <VBtn variant="flat" size="x-large" class="main" @click="hand.press('wetted')">Wetted again</VBtn>
        <VBtn size="x-large" @click="hand.press('again')">Make it again</VBtn>
      </template>
      <template v-else-if="waiting">
        <VBtn
          v-for="found in findings"
          :key="found"
          size="x-large"
          :variant="found === wanted ? 'flat' : 'outlined'"
          :class="{ main: found === wanted }"
          @click="hand.press(found)"
          >{{ FOUND_WORDS[found] }}</VBtn
        >
      </template>
      <VBtn v-else-if="state !== 'open'" variant="flat" size="x-large" class="main" @click="hand.press('open')"
        >Open it again</VBtn
      >
      <VBtn v-else variant="flat" size="x-large" class="main" @click="hand.press('done')">Done</VBtn>
      <VBtn v-if="state === 'open' && !waiting && hand.count.value > 1" size="x-large" @click="hand.pressAll()"
        >Done for all</VBtn
      >
      <VBtn size="x-large" @click="emit('write')">Measure, note, fault</VBtn>
      <VBtn v-if="state === 'open'" size="x-large" variant="text" @click="hand.press('skipped')">Skip</VBtn>
    </div>
  </section>
</template>

<style scoped>
.step-view {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  gap: 12px;
  min-height: 0;
  padding: 22px 24px;
}
.ended {
  align-content: start;
  grid-template-rows: none;
}
.kicker {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
  margin: 0 0 4px;
  font-size: 20px;
  font-weight: 600;
  color: var(--ink-soft);
}
.act {
  margin: 0;
  font-size: clamp(40px, 4.2vw, 54px);
  line-height: 1.08;
  overflow-wrap: break-word;
}
.act.long {
  font-size: 40px;
}
.more.now {
  font-weight: 600;
  color: var(--ink);
}
.more {
  margin: 8px 0 0;
  font-size: 21px;
  line-height: 1.35;
  color: var(--ink-soft);
}
.drawing {
  min-height: 180px;
}
.buttons {
  position: sticky;
  bottom: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  padding: 10px 0 2px;
  background: var(--ground);
}
.buttons .v-btn {
  flex: 1 1 0;
  min-width: min-content;
  min-height: 72px;
  padding: 0 10px;
  font-size: 18px;
}
.buttons :deep(.v-btn__content) {
  white-space: normal;
}
.buttons .main {
  flex: 2 1 130px;
  font-size: 28px;
}
@media (max-width: 699px) {
  .step-view {
    padding: 16px;
  }
  .buttons .v-btn {
    min-height: 60px;
    flex: 1 0 auto;
    font-size: 17px;
  }
  .buttons .main {
    flex: 1 0 100%;
    order: -1;
    font-size: 24px;
  }
}
</style>
