<script setup lang="ts">
import { computed, ref } from 'vue';
import { drawnSheet } from '../../../core/bentSheet/drawnSheet.ts';
import { scaledSheet, type SheetForm } from '../../../core/bentSheet/bentSheet.ts';
import { readDxf } from '../../../core/drawn/readDxf.ts';
import type { Fault } from '../../../core/errors.ts';
import { bounds } from '../../../core/outline/outline.ts';
import { usePiece } from '../../stores/piece.ts';
import type { Choice } from '../fields/choice.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import FileField from '../fields/FileField.vue';
import LengthField from '../fields/LengthField.vue';
import { without } from '../piece/without.ts';
import { readSvg } from './readSvg.ts';

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
    return Math.abs(by - 1) < 1e-6 ? without({ ...sheet, grew: undefined } as SheetForm) : { ...sheet, grew: by };
  }, 'sheet.grew');

function chooseFeet(count: '0' | '3' | '4'): void {
  put(({ feet, ...sheet }) => count === '0' ? sheet : { ...sheet, feet: { height: 6, diameter: 12, ...feet, count: count === '3' ? 3 : 4 } }); // prettier-ignore
}

/** The drawing's own lines take the place of all that was drawn before. */
async function readFile(file: File): Promise<void> {
  const text = await file.text();
  const drawing = /\.dxf$/i.test(file.name) ? readDxf(text) : readSvg(text);
  const reading = drawing.kind === 'refused' ? drawing : drawnSheet(drawing.lines);
  if (reading.kind === 'refused') {
    trouble.value = `${file.name} ${reading.rule}.`;
    return;
  }
  const faults = put((sheet) => ({ ...without({ ...sheet, lines: undefined, holes: undefined } as unknown as SheetForm), ...reading.sheet })); // prettier-ignore
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
    <ChoiceField
      label="Feet"
      name="sheet-feet"
      :value="`${form.feet?.count ?? 0}`"
      :choices="FEET"
      @choose="chooseFeet"
    />
  </div>
</template>

<style scoped>
.read {
  font-size: 15px;
  color: var(--ink-soft);
  padding: 2px 0 6px;
}
</style>
