<script setup lang="ts">
import { LENGTH_TOLERANCE } from '../../../core/numbers.ts';
import { computed, ref } from 'vue';
import { drawnSheet } from '../../../core/files/drawn/drawnSheet.ts';
import { finishedLength, scaledToFinished, type SheetSlab } from '../../../core/forms/bentSheet/finishedLength.ts';
import { scaledSheet } from '../../../core/forms/bentSheet/sheetForm.ts';
import type { SheetForm, SheetMould } from '../../../core/target/sheetForm.ts';
import { DXF_LIMITS } from '../../../core/files/drawn/readDxf.ts';
import type { Fault } from '../../../core/errors.ts';
import type { MouldWall } from '../../../core/target/mouldForm.ts';
import { bounds } from '../../../core/geometry/outline/outline.ts';
import { planReach, planShrunk } from '../../../core/parts/plan/plan.ts';
import type { PlanOutline } from '../../../core/target/plan.ts';
import { usePiece } from '../../stores/piece.ts';
import type { Choice } from '../fields/choice.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import FileField from '../fields/FileField.vue';
import LengthField from '../fields/LengthField.vue';
import { without } from '../../without.ts';
import { planOfKind, planWays } from '../piece/formWays.ts';
import { BEND_WAYS, SIDE_WAYS, WALL_WAYS, type BendWay } from './mouldWays.ts';
import { readDrawing } from './readDrawing.ts';

/** The outline of a bent sheet: read from a drawing, scaled to a length, mended when it grew; and its feet. */
const piece = usePiece();
const trouble = ref('');
const form = computed(() => (piece.beside.target.form.kind === 'sheet' ? piece.beside.target.form : null));
/** Along the drawing's larger side (mm). */
const longest = (sheet: SheetForm) => {
  const { minX, minY, maxX, maxY } = bounds(sheet.outline);
  return Math.max(maxX - minX, maxY - minY);
};

const FEET: readonly Choice<'0' | '3' | '4'>[] = [
  { value: '0', title: 'none', why: 'It lies on its lowest line and rocks.' },
  { value: '3', title: 'three', why: 'Three feet stand on any table.' },
  { value: '4', title: 'four', why: 'Four feet hold a long sheet, once they are pressed level.' },
];

function put(change: (sheet: SheetForm) => SheetForm, group: string | null = null): readonly Fault[] {
  const { target } = piece;
  if (target.form.kind !== 'sheet') return [];
  return piece.change({ ...target, form: change(target.form) }, group);
}

const scaleTo = (mm: number) => put((sheet) => scaledSheet(sheet, mm / longest(sheet)), 'sheet.scale');
const grew = (mm: number) =>
  put((sheet) => {
    const by = mm / longest(sheet);
    return Math.abs(by - 1) < LENGTH_TOLERANCE
      ? without({ ...sheet, grew: undefined } as SheetForm)
      : { ...sheet, grew: by };
  }, 'sheet.grew');

/** Places chosen by hand are given back to the program. */
function freed(sheet: SheetForm): SheetForm {
  if (!sheet.feet) return sheet;
  const { count, height, diameter } = sheet.feet;
  return { ...sheet, feet: { count, height, diameter } };
}
function chooseFeet(count: '0' | '3' | '4'): void {
  put(({ feet, ...sheet }) =>
    count === '0'
      ? sheet
      : { ...sheet, feet: { height: feet?.height ?? 6, diameter: feet?.diameter ?? 12, count: count === '3' ? 3 : 4 } },
  );
}

const slab = computed((): SheetSlab => {
  const { slab: own, clay } = piece.beside.target;
  return { thickness: own.wall, neutralFraction: own.neutralFraction, shrinkage: clay.shrinkage };
});
/** A length that no scale can reach is refused as out of range. */
const scaleFinished = (mm: number) => {
  const { form: now } = piece.target;
  if (now.kind !== 'sheet') return [];
  const found = scaledToFinished(now, slab.value, mm);
  if (found) return put(() => found, 'sheet.finished');
  return [
    {
      code: 'impossible-piece',
      path: 'form.outline',
      value: String(mm),
      rule: 'cannot be had: the bend is too tight for it',
    },
  ] as const;
};

function bendOver(way: BendWay): void {
  put((sheet) => {
    const { angle } = sheet.bend;
    if (way === 'cylinder')
      return { ...sheet, bend: { diameter: 'diameter' in sheet.bend ? sheet.bend.diameter : 90, angle } };
    const across = Math.ceil((1.5 * longest(sheet)) / 10) * 10;
    return {
      ...sheet,
      bend:
        'mould' in sheet.bend
          ? sheet.bend
          : {
              mould: { rim: { kind: 'circle', diameter: across }, depth: across / 8, wall: 'dome', side: 'hump' },
              angle,
            },
    };
  });
}
const mould = computed(() => (form.value && 'mould' in form.value.bend ? form.value.bend.mould : null));
function putMould(change: (now: SheetMould) => SheetMould): void {
  const faults = put((sheet) =>
    'mould' in sheet.bend ? { ...sheet, bend: { ...sheet.bend, mould: change(sheet.bend.mould) } } : sheet,
  );
  trouble.value = faults[0] ? `The mould ${faults[0].rule}.` : '';
}
function chooseWall(wall: MouldWall): void {
  if (wall === 'drawn') return;
  putMould(({ foot, ...now }) =>
    wall === 'dome' ? { ...now, wall } : { ...now, wall, foot: foot ?? planShrunk(now.rim) },
  );
}
function chooseRim(kind: PlanOutline['kind']): void {
  if (kind === 'drawn') return;
  putMould((now) => {
    const rim = planOfKind(kind, planReach(now.rim));
    return { ...now, rim, ...(now.foot && { foot: planShrunk(rim) }) };
  });
}

/** The drawing's own lines take the place of all that was drawn before. */
async function readFile(file: File): Promise<void> {
  if (file.size > DXF_LIMITS.file) {
    trouble.value = `${file.name} is too large to be read.`;
    return;
  }
  const text = await file.text();
  const drawing = readDrawing(file.name, text);
  const reading = drawing.kind === 'refused' ? drawing : drawnSheet(drawing.lines);
  if (reading.kind === 'refused') {
    trouble.value = `${file.name} ${reading.rule}.`;
    return;
  }
  // Feet that stood on the drawing before are placed anew.
  const faults = put((sheet) => ({
    ...without({ ...freed(sheet), lines: undefined, holes: undefined } as unknown as SheetForm),
    ...reading.sheet,
  }));
  trouble.value = faults[0] ? `${file.name}: ${faults[0].rule}.` : '';
}
</script>

<template>
  <div v-if="form">
    <FileField
      label="Read an outline"
      name="sheet-file"
      accept=".svg,.dxf"
      note="SVG or DXF: the largest closed line is the sheet, closed lines in it are holes, open ones are scored."
      :trouble="trouble"
      @read="readFile"
    />
    <LengthField
      label="Longest side, flat"
      name="sheet-length"
      :mm="longest(form)"
      :take="scaleTo"
      :done="piece.endGesture"
    />
    <LengthField
      label="Measured, once smoothed"
      name="sheet-grew"
      :mm="longest(form) * (form.grew ?? 1)"
      :take="grew"
      :done="piece.endGesture"
    />
    <p v-if="form.grew" class="read">
      It grew by {{ ((form.grew - 1) * 100).toFixed(1) }} %: the template is cut smaller by as much.
    </p>
    <LengthField
      label="Longest, bent and fired"
      name="sheet-finished"
      :mm="finishedLength(form, slab)"
      :take="scaleFinished"
      :done="piece.endGesture"
    />
    <ChoiceField
      label="It is laid"
      name="sheet-bend"
      :value="mould ? 'mould' : 'cylinder'"
      :choices="BEND_WAYS"
      @choose="bendOver"
    />
    <template v-if="mould">
      <ChoiceField
        label="The slab lies"
        name="sheet-side"
        :value="mould.side"
        :choices="SIDE_WAYS"
        @choose="(side) => putMould((now) => ({ ...now, side }))"
      />
      <ChoiceField
        label="Its wall is"
        name="sheet-wall"
        :value="mould.wall"
        :choices="WALL_WAYS.filter(({ value }) => value !== 'drawn')"
        @choose="chooseWall"
      />
      <ChoiceField
        label="Its rim is"
        name="sheet-rim"
        :value="mould.rim.kind"
        :choices="planWays(mould.rim.kind)"
        @choose="chooseRim"
      />
    </template>
    <ChoiceField
      label="Feet"
      name="sheet-feet"
      :value="`${form.feet?.count ?? 0}`"
      :choices="FEET"
      @choose="chooseFeet"
    />
    <VBtn v-if="form.feet?.at" @click="put(freed)">Place the feet for me</VBtn>
    <p v-else-if="form.feet" class="read">Placed where they stand best: drag them on the drawing of the outline.</p>
  </div>
</template>

<style scoped>
.read {
  font-size: 15px;
  color: var(--ink-soft);
  padding: 2px 0 6px;
}
</style>
