<script setup lang="ts">
import { computed, ref } from 'vue';
import { MESH_FILE_LIMIT } from '../../../core/geometry/mesh/readObj.ts';
import type { MouldSide } from '../../../core/target/mouldSide.ts';
import { wallBy } from '../../../core/forms/mould/drawnWall.ts';
import { DRAGGED_POINTS, type MouldForm, type MouldWall } from '../../../core/target/mouldForm.ts';
import { planShrunk } from '../../../core/parts/plan/plan.ts';
import { isDraped } from '../../../core/forms/mould/draped.ts';
import { useMouldReading } from '../../stores/mouldReading.ts';
import { usePiece } from '../../stores/piece.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import FileField from '../fields/FileField.vue';
import KitMoulds from './KitMoulds.vue';
import { SIDE_WAYS, WALL_WAYS } from './mouldWays.ts';
import { readProfile } from './readProfile.ts';

/** What kind of mould it is, or the file that it is read from. */
const piece = usePiece();
const form = computed(() => (isDraped(piece.beside.target) ? piece.beside.target.form : null));
const reading = useMouldReading();
const trouble = ref('');

function chooseSide(side: MouldSide): void {
  const { target } = piece;
  if (isDraped(target)) piece.change({ ...target, form: { ...target.form, side } });
}

/** A full dome has no floor; all others get one of three quarters of the rim. */
function chooseWall(wall: MouldWall): void {
  const { form: now } = piece.target;
  if (now.kind !== 'mould') return;
  const { foot, profile, ...rest } = now;
  const floor = foot ?? planShrunk(now.rim);
  const next: MouldForm =
    wall === 'dome'
      ? { ...rest, wall }
      : {
          ...rest,
          wall,
          foot: floor,
          ...(wall === 'drawn' && {
            profile: profile ?? [
              [0, 0],
              [0.5, 0.3],
              [1, 1],
            ],
          }),
        };
  const faults = piece.change({ ...piece.target, form: next });
  trouble.value = faults[0]?.rule ?? '';
}

/** Points of a drawn wall, more or fewer, along the line that it has. */
function setPoints(count: number): void {
  const { form: now } = piece.target;
  if (now.kind !== 'mould') return;
  const faults = piece.change({ ...piece.target, form: wallBy(now, count) });
  trouble.value = faults[0] ? `The wall ${faults[0].rule}.` : '';
}
const points = computed(() =>
  form.value?.kind === 'mould' && form.value.wall === 'drawn' ? (form.value.profile?.length ?? 0) : 0,
);

async function readFile(file: File): Promise<void> {
  reading.trouble = '';
  trouble.value = file.size > MESH_FILE_LIMIT ? `${file.name} is too large to be read.` : '';
  if (trouble.value) return;
  if (/\.svg$/i.test(file.name)) return takeProfile(file.name, await file.text());
  await reading.read(file);
}

function takeProfile(name: string, text: string): void {
  const { form: now } = piece.target;
  const reading = readProfile(text);
  if (reading.kind === 'refused') {
    trouble.value = `${name} ${reading.rule}.`;
    return;
  }
  if (now.kind !== 'mould') {
    trouble.value = 'A wall is read for a mould that is given by its outlines.';
    return;
  }
  const faults = piece.change({
    ...piece.target,
    form: { ...now, wall: 'drawn', foot: now.foot ?? planShrunk(now.rim), profile: reading.profile },
  });
  trouble.value = faults[0] ? `${name}: ${faults[0].rule}.` : '';
}
</script>

<template>
  <div v-if="form">
    <ChoiceField label="The slab lies" name="side" :value="form.side" :choices="SIDE_WAYS" @choose="chooseSide" />
    <ChoiceField
      v-if="form.kind === 'mould'"
      label="Its wall is"
      name="mould-wall"
      :value="form.wall"
      :choices="WALL_WAYS"
      @choose="chooseWall"
    />
    <KitMoulds />
    <div v-if="points > 0" class="points">
      <VBtn v-if="points > DRAGGED_POINTS" @click="setPoints(5)"> Draw it by five points </VBtn>
      <template v-else>
        <VBtn :disabled="points >= DRAGGED_POINTS" @click="setPoints(points + 1)"> One point more </VBtn>
        <VBtn :disabled="points <= 3" @click="setPoints(points - 1)">One fewer</VBtn>
      </template>
    </div>
    <p v-if="form.kind === 'mesh'" class="read">Read from a file: {{ form.vertices.length }} vertices.</p>
    <FileField
      label="Read a mould from a file"
      name="mould-file"
      accept=".obj,.stl,.svg"
      note="OBJ or STL, or a wall drawn as one SVG path from floor to rim."
      :trouble="trouble || reading.trouble"
      @read="readFile"
    />
    <p v-if="reading.busy" class="read" role="status">
      Reading the file.
      <VBtn @click="reading.stop()">Stop</VBtn>
    </p>
  </div>
</template>

<style scoped>
.read {
  font-size: 15px;
  color: var(--ink-soft);
  padding: 2px 0 6px;
}
.points {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 8px 0;
}
</style>
