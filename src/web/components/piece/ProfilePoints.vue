<script setup lang="ts">
import { MOST_PROFILE_POINTS } from '../../../core/target/target.ts';

/** Buttons that add a point to a profile, and take one off: the lowest and the highest stay. */
type Profile = readonly (readonly [height: number, across: number])[];

const props = defineProps<{ profile: Profile; adds: string; least: number }>();
const emit = defineEmits<{ change: [profile: Profile] }>();

/** How much wider a new point is than halfway between its neighbours, so that it is seen (mm). */
const WIDER = 2;

/** A new point stands halfway below the highest, so that the piece keeps its height. */
function add(): void {
  const [low = [0, 0], high = [0, 0]] = props.profile.slice(-2);
  const middle = [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2 + WIDER] as const;
  emit('change', [...props.profile.slice(0, -1), middle, high]);
}

function drop(): void {
  emit(
    'change',
    props.profile.filter((_, index) => index !== props.profile.length - 2),
  );
}
</script>

<template>
  <div class="points">
    <VBtn :disabled="profile.length >= MOST_PROFILE_POINTS" @click="add">{{ adds }}</VBtn>
    <VBtn :disabled="profile.length <= least" @click="drop">Take one off</VBtn>
  </div>
</template>

<style scoped>
.points {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 8px 0;
}
</style>
