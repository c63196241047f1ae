<script setup lang="ts">
import { computed, onMounted } from 'vue';
import type { Kept } from '../../../contract/records.ts';
import { openedAt, pieceKey, type KeptFiring, type PieceAt } from '../../../core/studio/kiln/keptFiring.ts';
import { useFirings } from '../../stores/records.ts';
import { freshFiring } from '../kiln/freshFiring.ts';

/** The firing in which pieces were fired: one on record, or a new one dated today. */
const props = defineProps<{ pieces: readonly PieceAt[] }>();
const emit = defineEmits<{ said: [words: string] }>();
const firings = useFirings();
onMounted(() => firings.state !== 'ready' && void firings.load());

const NEW = 'new';
const keys = computed(() => new Set(props.pieces.map(pieceKey)));
/** The firings that hold any of these pieces. */
const holds = ({ body }: Kept<'firing'>) => body.wanted.some((one) => keys.value.has(pieceKey(one)));
const current = computed(() => firings.list.filter(({ body }) => body.kind !== 'bisque').findLast(holds)?.id ?? null);
const items = computed(() => [
  ...firings.list.filter(({ body }) => body.kind !== 'bisque').map(({ id, body }) => ({ value: id, title: body.name })),
  { value: NEW, title: 'A firing of today' },
]);

/** Without these pieces, or with all of them. */
const without = (body: KeptFiring): KeptFiring => ({
  ...body,
  wanted: body.wanted.filter((one) => !keys.value.has(pieceKey(one))),
  placed: body.placed.filter((one) => !keys.value.has(pieceKey(one))),
});
/** Written after the firing was opened: pieces that had no place on its shelves are left out. */
const opened = (body: KeptFiring) =>
  body.opened === null && body.placed.length > 0 ? openedAt(body, new Date().toISOString()) : body;
const withThem = (body: KeptFiring): KeptFiring => {
  const rest = opened(without(body));
  return { ...rest, wanted: [...rest.wanted, ...props.pieces] };
};

async function choose(id: string): Promise<void> {
  for (const firing of firings.list.filter((one) => one.id !== id && holds(one)))
    firings.change(firing.id, without(firing.body));
  const chosen = firings.list.find((one) => one.id === id);
  const problem = chosen ? firings.change(id, withThem(chosen.body))[0] : undefined;
  const made = chosen ?? (await firings.create(freshFiring(props.pieces)));
  firings.endGesture();
  emit('said', problem?.rule ?? `Their last fire was the ${made?.body.name ?? 'firing'}.`);
}
</script>

<template>
  <VSelect
    class="firing"
    label="Last fired in"
    :items="items"
    :model-value="current"
    placeholder="not written down"
    persistent-placeholder
    @update:model-value="choose"
  />
</template>

<style scoped>
.firing {
  flex: 1 1 330px;
  max-width: 420px;
}
</style>
