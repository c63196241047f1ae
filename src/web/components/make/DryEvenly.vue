<script setup lang="ts">
import { computed } from 'vue';
import { crackRisk, HELD_BACK, partsNow, type Gentler, type NamedPart } from '../../../core/studio/drying/stress.ts';
import type { Air } from '../../../core/studio/drying/air.ts';
import type { DryingPart } from '../../../core/studio/drying/partDrying.ts';
import { dryingAlike } from '../../../core/studio/making/waitingParts.ts';
import { courseOf } from '../../../core/studio/making/waitWindow.ts';
import { spanWords } from './momentWords.ts';
import type { WaitNow } from './useMaking.ts';

/** Whether the parts that wait dry alike, what they are likely to suffer, and what helps. */
const props = defineProps<{ part: DryingPart; air: Air; wait: WaitNow; now: number; parts: readonly NamedPart[] }>();

const HOUR = 3_600_000;
const percent = (share: number, digits: number) => `${(100 * share).toFixed(digits)} %`;
const lower = (name: string) => `the ${name.toLowerCase()}`;

const kinds = computed(() => dryingAlike(props.parts));
const apart = computed(() =>
  partsNow(kinds.value, (thickness) => courseOf({ ...props.part, thickness }, props.air), {
    hours: Math.max(0, (props.now - props.wait.began) / HOUR),
    slower: props.wait.factor.usual,
  }),
);
const advice = computed(() => {
  const { value } = apart;
  if (!value || value.share < HELD_BACK.watch) return '';
  const cover = `Cover ${lower(value.drier)}`;
  const until =
    value.catchUp === null ? '' : `: in about ${spanWords(HOUR * value.catchUp)} ${lower(value.wetter)} is as dry`;
  return `The ${value.drier.toLowerCase()} has already shrunk ${percent(value.share, 1)} more than ${lower(value.wetter)}. ${cover}${until}.`;
});

const WAYS: Readonly<Record<'turn' | 'still' | 'cloth' | 'loose-film' | 'tight-film', string>> = {
  turn: 'Let air reach both faces: on a rack, or turned over often',
  still: 'Keep it out of the draught',
  cloth: 'Lay a cloth over it',
  'loose-film': 'Lay film loosely over it',
  'tight-film': 'Tuck film in around it',
};
const wordsOf = (way: Gentler) => WAYS[way.kind === 'cover' ? (way.cover as keyof typeof WAYS) : way.kind];
const risk = computed(() => {
  const { share, gentler } = crackRisk(props.part, props.air, courseOf);
  if (share < HELD_BACK.watch) return '';
  const likely = share >= HELD_BACK.cracks ? 'it is likely to crack or warp' : 'watch it for cracks';
  const help = gentler ? ` ${wordsOf(gentler.way)}: that makes it ${percent(gentler.share, 1)}.` : '';
  return `As it dries, its face shrinks up to ${percent(share, 1)} ahead of the rest: ${likely}. Rims and corners more.${help}`;
});
</script>

<template>
  <section v-if="apart || risk" class="evenly" aria-label="How evenly it dries">
    <h2>How evenly it dries</h2>
    <ul v-if="apart">
      <li v-for="{ name, thickness, moisture } in apart.parts" :key="thickness">
        <span>{{ name }}</span> <strong>{{ percent(moisture, 1) }} water</strong>
      </li>
    </ul>
    <VAlert v-if="advice" type="warning">{{ advice }}</VAlert>
    <VAlert v-if="risk" type="warning">{{ risk }}</VAlert>
  </section>
</template>

<style scoped>
.evenly {
  display: grid;
  gap: 8px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
}
</style>
