<script setup lang="ts">
import { computed, ref } from 'vue';
import { localDay } from '../../../core/day.ts';
import type { Fault } from '../../../core/errors.ts';
import type { KitItem } from '../../../core/studio/kit/kit.ts';
import { PAPER_NAMES, PAPER_TITLES } from '../../../core/studio/printer/paper.ts';
import { CHECK_LENGTHS, printerFinding } from '../../../core/studio/printer/printerCheck.ts';
import { useSettings } from '../../stores/settings.ts';
import LengthField from '../fields/LengthField.vue';

/** A printer is checked once: a small sheet is printed, its two lengths are measured, and every later template is corrected. */
const props = defineProps<{
  item: KitItem;
  put: (item: KitItem, group: string) => readonly Fault[];
  done: () => void;
}>();
const settings = useSettings();
const paper = ref(props.item.check?.paper ?? settings.paper);
const papers = PAPER_NAMES.map((value) => ({ value, title: PAPER_TITLES[value] }));

/** The typed lengths: both are needed for a result. */
const across = ref(props.item.check?.across ?? 0);
const up = ref(props.item.check?.up ?? 0);
function measured(key: 'across' | 'up', mm: number): readonly Fault[] {
  if (key === 'across') across.value = mm;
  else up.value = mm;
  if (across.value === 0 || up.value === 0) return [];
  const day = localDay(new Date());
  return props.put({ ...props.item, check: { paper: paper.value, across: across.value, up: up.value, day } }, 'check');
}
const finding = computed(() => (props.item.check ? printerFinding(props.item.check) : null));
const share = (one: number) => `${(100 * one).toFixed(1)} %`;
const words = computed(() => {
  const found = finding.value;
  if (!found || found.kind === 'misread') return '';
  if (found.kind === 'true') return 'It prints true.';
  const { short, long } = found.scale;
  if (found.kind === 'fitted')
    return (
      `Both lengths came out at ${share((short + long) / 2)}: the sheet was printed “fit to page”. ` +
      'Print it again at 100 % and measure again; otherwise templates are corrected for that setting.'
    );
  return `It prints ${share(short)} across and ${share(long)} along. Choose it at Cut, and templates are corrected for it.`;
});
</script>

<template>
  <h3>Printer check</h3>
  <VSelect v-model="paper" label="Paper" :items="papers" />
  <VBtn :href="`/api/printer-check.pdf?paper=${paper}`" download>Download the check sheet</VBtn>
  <LengthField
    :label="`A (should be ${CHECK_LENGTHS.across} mm)`"
    name="check-across"
    none="not measured"
    :mm="across"
    :take="(mm) => measured('across', mm)"
    :done="done"
  />
  <LengthField
    :label="`B (should be ${CHECK_LENGTHS.up} mm)`"
    name="check-up"
    none="not measured"
    :mm="up"
    :take="(mm) => measured('up', mm)"
    :done="done"
  />
  <VAlert v-if="words" :type="finding?.kind === 'fitted' ? 'warning' : 'info'" role="status">{{ words }}</VAlert>
</template>

<style scoped>
h3 {
  font-size: 17px;
  margin-top: 12px;
}
</style>
