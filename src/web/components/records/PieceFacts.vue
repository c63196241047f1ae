<script setup lang="ts">
import { computed, onMounted } from 'vue';
import type { MadeLine } from '../../../contract/made.ts';
import { insideOf, pieceKey } from '../../../core/studio/kiln/keptFiring.ts';
import { joinedInTime } from '../../../core/studio/learning/story.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useMakings } from '../../stores/makings.ts';
import { useFirings } from '../../stores/records.ts';
import StepPhotographs from '../make/StepPhotographs.vue';
import { percent } from './findingWords.ts';

/** What is known of one piece besides its sizes: clay, slab and joins, its window, where it was fired, and its photographs. */
const props = defineProps<{ piece: number; number: number; line: MadeLine | null }>();
const emit = defineEmits<{ said: [words: string] }>();
const makings = useMakings();
const firings = useFirings();
const lengths = useLengths();
onMounted(() => firings.state !== 'ready' && void firings.load());

const window = computed(() => {
  const { making } = makings;
  const kind = making?.pieces[props.piece];
  if (!making || !kind) return null;
  const own = making.marks.filter(({ piece, number }) => piece === props.piece && number === props.number);
  return joinedInTime(kind.steps, own);
});
const fired = computed(() => {
  const key = pieceKey({ making: makings.making?.id ?? '', piece: props.piece, number: props.number });
  return firings.list.flatMap(({ body }) => {
    if (!insideOf(body).some((one) => pieceKey(one) === key)) return [];
    const stood = body.placed.find((one) => pieceKey(one) === key)?.shelf;
    return [[body.name, body.shelves.find(({ id }) => id === stood)?.name].filter(Boolean).join(', ')];
  });
});
const rows = computed(() => {
  const { facts, clayName } = props.line ?? {};
  return [
    ['Clay', clayName ?? 'not named'],
    ...(facts
      ? [
          ['Made for', percent(facts.shrinkage)],
          ['Slab', lengths.length(facts.thickness)],
          ['Seam', facts.seam],
          ['Base', facts.base],
        ]
      : []),
    ['Window', window.value === null ? 'not felt by hand' : window.value ? 'joined within it' : 'joined too late'],
    ['Fired', fired.value.length > 0 ? fired.value.join('; ') : 'not written down'],
  ] as const;
});
const spot = computed(() => ({ piece: props.piece, number: props.number, step: 'records' }));
</script>

<template>
  <dl>
    <div v-for="[name, value] in rows" :key="name">
      <dt>{{ name }}</dt>
      <dd>{{ value }}</dd>
    </div>
  </dl>
  <StepPhotographs :spot="spot" @said="(words) => emit('said', words)" />
</template>

<style scoped>
dl {
  margin: 0;
}
dl > div {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 5px 0;
  border-bottom: 1px dotted var(--line);
}
dt {
  color: var(--ink-soft);
}
dd {
  margin: 0;
  text-align: right;
  overflow-wrap: anywhere;
}
</style>
