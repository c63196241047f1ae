<script setup lang="ts">
import { ref } from 'vue';
import { drawnPlans } from '../../../core/files/drawn/drawnPlans.ts';
import { DXF_LIMITS } from '../../../core/files/drawn/readDxf.ts';
import { planShrunk } from '../../../core/parts/plan/plan.ts';
import { usePiece } from '../../stores/piece.ts';
import FileField from '../fields/FileField.vue';
import { readDrawing } from '../mould/readDrawing.ts';

/** Reads the outlines of rim and foot from a drawing. */
const piece = usePiece();
const trouble = ref('');

async function readFile(file: File): Promise<void> {
  const { form } = piece.target;
  if (form.kind !== 'loft' && form.kind !== 'mould') return;
  if (file.size > DXF_LIMITS.file) {
    trouble.value = `${file.name} is too large to be read.`;
    return;
  }
  const drawing = readDrawing(file.name, await file.text());
  const reading = drawing.kind === 'refused' ? drawing : drawnPlans(drawing.lines);
  if (reading.kind === 'refused') {
    trouble.value = `${file.name} ${reading.rule}.`;
    return;
  }
  const { rim } = reading;
  // A full dome has no foot; where only one outline is drawn, the foot is the same, smaller.
  const foot = form.foot && { foot: reading.foot ?? planShrunk(rim) };
  const faults = piece.change({ ...piece.target, form: { ...form, rim, ...foot } });
  trouble.value = faults[0] ? `${file.name}: ${faults[0].rule}.` : '';
}
</script>

<template>
  <FileField
    label="Read rim and foot from a drawing"
    name="plan-file"
    accept=".svg,.dxf"
    note="SVG or DXF: the larger closed line is the rim, a smaller one the foot. Both must bulge all round."
    :trouble="trouble"
    @read="readFile"
  />
</template>
