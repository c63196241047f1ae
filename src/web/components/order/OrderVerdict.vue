<script setup lang="ts">
import { computed } from 'vue';
import { localDay } from '../../../core/day.ts';
import { AIR_SPEEDS } from '../../../core/studio/drying/air.ts';
import type { KeptOrder } from '../../../core/studio/order/keptOrder.ts';
import { makesIt, type NoWay } from '../../../core/studio/order/order.ts';
import type { Help } from '../../../core/studio/order/whatHelps.ts';
import { spanWords } from '../make/momentWords.ts';
import { blockTitle, clockText, longDayWord, manyText } from './blockWords.ts';

/** Whether the order is in time; where it is not, what cannot make it, why, and what would help, each at one press. */
const props = defineProps<{
  order: KeptOrder;
  busy: boolean;
  looking: boolean;
  helps: readonly Help[];
  trouble: string;
}>();
const emit = defineEmits<{ change: [part: Partial<KeptOrder>]; stop: []; lay: [] }>();

const MINUTE = 60_000;
const laid = computed(() => props.order.laid);
const pieces = computed(() => props.order.lines.reduce((sum, { count }) => sum + count, 0));
const fired = (kind: 'bisque' | 'glaze') => laid.value?.kiln.find((one) => one.kind === kind);
const good = computed(() => laid.value !== null && makesIt(laid.value));
const failing = computed(() =>
  props.order.lines.map((_, line) => (laid.value?.late[line] ?? 0) + (laid.value?.left[line] ?? 0)),
);
const all = computed(() => failing.value.reduce((sum, count) => sum + count, 0));

const heading = computed(() => {
  if (pieces.value === 0) return 'Say which pieces are wanted, and how many';
  if (!laid.value) return 'The order is being laid';
  const opened = fired('glaze')?.to;
  if (good.value && opened) return `All ${pieces.value} fired by ${longDayWord(opened)}`;
  if (laid.value.dryBy === null) return 'No time is left to fire it';
  return all.value === pieces.value
    ? 'None can be fired in time'
    : `${all.value} of ${pieces.value} cannot be fired in time`;
});

/** Working time of the potter in the whole order (ms). */
const hands = computed(() =>
  [
    ...(laid.value?.blocks ?? []).map(({ start, end }) => end - start),
    ...(laid.value?.kiln ?? [])
      .filter(({ kind }) => kind !== 'bisque' && kind !== 'glaze')
      .map(({ from, to }) => to - from),
  ].reduce((sum, ms) => sum + ms, 0),
);
const under = computed(() => {
  const now = laid.value;
  if (!now || pieces.value === 0) return '';
  if (now.dryBy === null)
    return 'Loading, firing, cooling and glazing do not fit between now and that day. A later day, or fewer hours of cooling, if your kiln allows it.';
  const dry = `All has to be dry by ${longDayWord(now.dryBy)}, ${clockText(now.dryBy)}, for the ${props.order.once ? 'kiln' : 'bisque'}.`;
  if (good.value) return `${dry} About ${spanWords(hands.value)} of your hands.`;
  const late = manyText(props.order, now.late);
  const left = manyText(props.order, now.left);
  return [dry, late && `Dry too late: ${late}.`, left && `There is no room for ${left}.`].filter(Boolean).join(' ');
});

function reason(one: NoWay): string {
  const name = props.order.lines[one.line]?.name ?? '';
  const title = blockTitle(props.order, one);
  if (one.kind === 'waited')
    return `${one.pieces} × ${name} waited too long for “${title}”. Feel one: if it still bends, do it now and tick it; if not, make it again.`;
  if (one.kind === 'never-dry') return `In this air ${name} never gets dry enough to go on: it is too damp.`;
  const takes = `“${title}” takes about ${Math.round(one.minutes)} min for one ${name}, without a break.`;
  return `${takes} Your longest free stretch is ${Math.round(one.stretch)} min.`;
}

const AIR = { still: 'still air', moving: 'moving air: a door or window open', fan: 'a fan' } as const;
const helpWords = computed(() =>
  props.helps.map((help) => {
    switch (help.kind) {
      case 'start':
        return { help, words: `Begin on ${longDayWord(help.start)}` };
      case 'air':
        return { help, words: `Dry in ${AIR[help.speed]}` };
      case 'hours':
        return {
          help,
          words: `${help.minutes === 60 ? 'One more hour' : 'Two more hours'} at the end of each stretch of your week`,
        };
      case 'fewer':
        return { help, words: `Make ${manyText(props.order, help.counts)}` };
      case 'ready':
        return { help, words: `Be ready on ${longDayWord(help.ready)}` };
    }
  }),
);

function take(help: Help): void {
  const { lines, air, week } = props.order;
  if (help.kind === 'start') emit('change', { start: localDay(new Date(help.start)) });
  else if (help.kind === 'ready') emit('change', { ready: localDay(new Date(help.ready)) });
  else if (help.kind === 'air')
    emit('change', { air: { ...air, speed: AIR_SPEEDS.find((speed) => speed === help.speed) ?? air.speed } });
  else if (help.kind === 'hours')
    emit('change', { week: week.map((own) => ({ ...own, to: Math.min(24 * 60, own.to + help.minutes) })), held: [] });
  else
    emit('change', {
      lines: lines.map((line, index) => ({ ...line, count: help.counts[index] ?? 0 })).filter(({ count }) => count > 0),
      held: [],
    });
}
const slack = computed(() => {
  const last = Math.max(...(laid.value?.blocks ?? []).map(({ end }) => end));
  const left = (laid.value?.dryBy ?? 0) - last;
  return good.value && left > 24 * 60 * MINUTE ? `The last is dry ${spanWords(left)} before that.` : '';
});
</script>

<template>
  <section class="verdict" aria-live="polite">
    <h1 class="serif" :class="{ stop: laid && !good && pieces > 0 }">{{ heading }}</h1>
    <p v-if="under">{{ under }} {{ slack }}</p>
    <VAlert v-for="one in laid?.never ?? []" :key="`${one.line} ${one.block}`" type="error" role="note">
      {{ reason(one) }}
    </VAlert>
    <VAlert v-if="trouble" type="error" role="alert">
      {{ trouble }} <VBtn @click="emit('lay')">Lay it again</VBtn>
    </VAlert>
    <div v-if="busy" class="busy">
      <VProgressLinear indeterminate aria-label="The order is being laid" />
      <span>{{ looking ? 'Looking for what would help' : 'Laying it on your hours' }}</span>
      <VBtn @click="emit('stop')">Stop</VBtn>
    </div>
    <div v-if="helpWords.length" class="helps">
      <h2>Any one of these would do</h2>
      <VBtn v-for="{ help, words } in helpWords" :key="help.kind" :data-help="help.kind" @click="take(help)">
        {{ words }}
      </VBtn>
    </div>
  </section>
</template>

<style scoped>
.verdict {
  display: grid;
  gap: 8px;
}
h1 {
  font-size: clamp(26px, 2.8vw, 38px);
  line-height: 1.12;
}
h1.stop {
  color: var(--stop-edge);
}
p {
  max-width: 760px;
  margin: 0;
  color: var(--ink-soft);
}
.busy {
  display: grid;
  grid-template-columns: minmax(80px, 220px) auto auto;
  gap: 12px;
  align-items: center;
  justify-content: start;
}
.helps {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.helps h2 {
  width: 100%;
  font-size: 17px;
}
</style>
