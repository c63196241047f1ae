<script setup lang="ts">
import { asBall, asProfile } from '../../../core/forms/gores/asBall.ts';
import type { GoresForm } from '../../../core/target/goresForm.ts';
import { usePiece } from '../../stores/piece.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import ProfilePoints from './ProfilePoints.vue';

/** By what the side of a piece of strips is given, and the points of its profile. */
defineProps<{ form: GoresForm }>();
const piece = usePiece();

const SIDE_WAYS = [
  { value: 'profile', title: 'a profile', why: 'Heights and widths, with a smooth line through them.' },
  {
    value: 'ball',
    title: 'part of a ball',
    why: 'A bowl or jar that is truly round: the ball, its foot and its height.',
  },
] as const;

function put(form: GoresForm): void {
  piece.change({ ...piece.target, form });
}

function choose(way: 'profile' | 'ball'): void {
  const { form } = piece.target;
  if (form.kind !== 'gores' || way in form) return;
  put('ball' in form ? asProfile(form) : asBall(form));
}
</script>

<template>
  <div>
    <ChoiceField
      label="Its side is"
      name="side"
      :value="'ball' in form ? 'ball' : 'profile'"
      :choices="SIDE_WAYS"
      @choose="choose"
    />
    <ProfilePoints
      v-if="'profile' in form"
      :profile="form.profile"
      adds="Add a point"
      :least="2"
      @change="(profile) => put({ ...form, profile })"
    />
  </div>
</template>
