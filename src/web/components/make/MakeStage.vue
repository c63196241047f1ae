<script setup lang="ts">
import { useFullscreen, useWakeLock } from '@vueuse/core';
import { computed, onMounted, onUnmounted, ref, shallowRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { Making } from '../../../contract/makings.ts';
import type { Target } from '../../../core/target/target.ts';
import { api } from '../../api.ts';
import { held } from '../../held.ts';
import { usePiece } from '../../stores/piece.ts';
import { useMakings } from '../../stores/makings.ts';
import EmptyPlace from '../frame/EmptyPlace.vue';
import BeginMaking from './BeginMaking.vue';
import MakingTable from './MakingTable.vue';

/** The stage Make: begins a making of the piece, or goes on with the one in work. */
const route = useRoute();
const piece = usePiece();
const makings = useMakings();
const stage = ref<HTMLElement | null>(null);
const whole = useFullscreen(stage);
const awake = useWakeLock();

const design = computed(() => piece.design);
/** The address may say which making is meant, and which kind of piece in it. */
const wanted = computed(() => String(route.query['making'] ?? ''));
watch([() => design.value?.id, wanted], ([id]) => id && void makings.open(id, wanted.value), { immediate: true });

/** The kind of piece that is shown: that of the design which is open. */
const kind = computed(() => {
  const pieces = makings.making?.pieces ?? [];
  const asked = Number(route.query['piece'] ?? -1);
  if (pieces[asked]?.designId === design.value?.id) return asked;
  return Math.max(
    0,
    pieces.findIndex(({ designId }) => designId === design.value?.id),
  );
});

/** The target that the making was begun with: of its revision, not of the piece as it is now. */
const target = shallowRef<Target | null>(null);
async function fetchTarget({ pieces }: Making): Promise<void> {
  const own = pieces[kind.value];
  if (!own) return;
  target.value = null;
  const name = `revision:${own.designId}:${own.revision}`;
  if (own.revision === piece.design?.revision && piece.keeping === 'kept') {
    target.value = piece.target;
  } else {
    const kept = await held.read(name);
    target.value = kept
      ? (JSON.parse(kept) as Target)
      : await api.revision(own.designId, own.revision).catch(() => piece.target);
  }
  // Read with the server away.
  if (!('vertices' in target.value.form)) held.write(name, JSON.stringify(target.value));
}
watch([() => makings.making?.id, kind], () => makings.making && void fetchTarget(makings.making), { immediate: true });

/** The screen stays on while a making is in hand. */
watch(
  () => makings.making !== null,
  (on) => void (on ? awake.request('screen') : awake.release()).catch(() => undefined),
  { immediate: true },
);
onMounted(() => void makings.sendHeld());
onUnmounted(() => void awake.release().catch(() => undefined));
</script>

<template>
  <div ref="stage" class="make-stage">
    <p v-if="makings.state === 'loading'" class="plain" aria-busy="true">Looking for a making in work.</p>
    <EmptyPlace
      v-else-if="makings.state === 'failed'"
      title="The making could not be fetched"
      :words="makings.trouble"
    />
    <MakingTable
      v-else-if="makings.making && target"
      :key="`${makings.making.id} ${kind}`"
      :making="makings.making"
      :piece="kind"
      :target="target"
      :awake="awake.isActive.value"
      :whole="whole.isFullscreen.value"
      @whole="void whole.toggle()"
    />
    <BeginMaking v-else-if="!makings.making && design" :design="design" :target="piece.target" />
    <VSnackbar :model-value="makings.lastGone !== null" :timeout="12000" @update:model-value="makings.lastGone = null">
      The making was taken away.
      <template #actions><VBtn variant="text" @click="makings.putBack()">Put it back</VBtn></template>
    </VSnackbar>
  </div>
</template>

<style scoped>
.make-stage {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 0;
  overflow: auto;
  background: var(--ground);
}
.plain {
  padding: 40px 24px;
}
</style>
