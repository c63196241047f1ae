<script setup lang="ts">
import { computed, onMounted } from 'vue';
import type { Kept } from '../../../contract/records.ts';
import { pieceKey, USUAL_SEGMENTS, type KeptFiring, type PieceAt } from '../../../core/kiln/keptFiring.ts';
import { useFirings } from '../../stores/records.ts';

/** In which firing pieces got their last fire: one that is written down, or a new one of today. */
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
const without = (body: KeptFiring): KeptFiring => ({ ...body, wanted: body.wanted.filter((one) => !keys.value.has(pieceKey(one))), placed: body.placed.filter((one) => !keys.value.has(pieceKey(one))) }); // prettier-ignore
const withThem = (body: KeptFiring): KeptFiring => ({ ...without(body), wanted: [...without(body).wanted, ...props.pieces] }); // prettier-ignore

function freshFiring(): KeptFiring {
  const now = new Date();
  const day = now.toISOString().slice(0, 10);
  const name = `Firing of ${new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long' }).format(now)}`;
  return { name, kind: 'once', day, cone: '', segments: USUAL_SEGMENTS.once, curve: [], witness: [], gap: 5, shelves: [], wanted: [...props.pieces], placed: [], opened: null, note: '' }; // prettier-ignore
}

async function choose(id: string): Promise<void> {
  for (const firing of firings.list.filter((one) => one.id !== id && holds(one))) firings.change(firing.id, without(firing.body)); // prettier-ignore
  const chosen = firings.list.find((one) => one.id === id);
  const problem = chosen ? firings.change(id, withThem(chosen.body))[0] : undefined;
  const made = chosen ?? (await firings.create(freshFiring()));
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
