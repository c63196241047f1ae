<script setup lang="ts">
import { storeToRefs } from 'pinia';
import type { Fault } from '../../../core/errors.ts';
import { rangeFaults } from '../../../core/ranges.ts';
import { PAPER_TITLES, ROLL_LIMITS, type PaperName } from '../../../core/studio/printer/paper.ts';
import { usePrinter } from '../../composables/usePrinter.ts';
import { useSettings } from '../../stores/settings.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import LengthField from '../fields/LengthField.vue';

/** The paper that templates are printed on, and the printer that they are corrected for. */
const { paper, roll, thin } = storeToRefs(useSettings());
const { id: printer, printers, otherPaper } = usePrinter();

const PAPERS = [
  { value: 'a4', title: 'A4', why: '210 × 297 mm' },
  { value: 'letter', title: 'Letter', why: '8 1/2 × 11 inches' },
  { value: 'legal', title: 'Legal', why: '8 1/2 × 14 inches' },
  { value: 'a3', title: 'A3', why: '297 × 420 mm' },
  { value: 'tabloid', title: 'Tabloid', why: '11 × 17 inches' },
  { value: 'roll', title: 'A roll', why: 'of any width, cut off as long as is needed' },
] as const satisfies readonly { value: PaperName | 'roll'; title: string; why: string }[];

function choose(name: PaperName | 'roll'): void {
  roll.value = name === 'roll' ? ROLL_LIMITS.usual : 0;
  if (name !== 'roll') paper.value = name;
}
function putRoll(mm: number): readonly Fault[] {
  const faults = rangeFaults('roll', mm, ROLL_LIMITS);
  if (faults.length === 0) roll.value = mm;
  return faults;
}
</script>

<template>
  <ChoiceField label="Paper" name="paper" :value="roll ? 'roll' : paper" :choices="PAPERS" @choose="choose" />
  <LengthField v-if="roll" label="Width of the roll" name="roll" :mm="roll" :take="putRoll" :done="() => {}" />
  <VSwitch v-model="thin" label="Thin lines" />
  <VSelect
    v-if="printers.length"
    v-model="printer"
    label="Corrected for"
    :items="[{ value: '', title: 'no printer' }, ...printers]"
  />
  <p v-else>
    A printer that is not quite true is checked once in <RouterLink :to="{ name: 'kit' }">Kit</RouterLink>, and
    corrected from then on.
  </p>
  <VAlert v-if="otherPaper" type="warning">
    It was checked on {{ PAPER_TITLES[otherPaper] }}: check it on this paper too, or lay a ruler on the sheet.
  </VAlert>
</template>

<style scoped>
p {
  margin: 4px 0 0;
}
</style>
