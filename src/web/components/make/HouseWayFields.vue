<script setup lang="ts">
import type { Schools } from '../../../core/studio/making/workStep.ts';
import { useHouseWay } from '../../stores/houseWay.ts';
import type { Choice } from '../fields/choice.ts';
import ChoiceField from '../fields/ChoiceField.vue';

/** How this potter works where schools differ, with why people do either; kept for the next making. */
const way = useHouseWay();

const SCHOOLS: { readonly [K in Exclude<keyof Schools, 'coil' | 'sticks'>]: readonly Choice<Schools[K]>[] } = {
  joins: [
    { value: 'water', title: 'with water', why: 'Quick and clean on a scored join.' },
    { value: 'slip', title: 'with slip', why: 'Fills a rough join, and holds stiffer clay.' },
    { value: 'nothing', title: 'with nothing', why: 'Soft clay needs neither, and stays cleaner.' },
  ],
  texture: [
    { value: 'before', title: 'before cutting', why: 'The cut edge stays true.' },
    { value: 'after', title: 'after cutting', why: 'The pattern can follow the edge, but the slab spreads.' },
  ],
  base: [
    { value: 'cut', title: 'cut to size first', why: 'Wall and base dry alike, and nothing is left over.' },
    { value: 'traced', title: 'traced from the wall', why: 'It fits a wall that came out a little different.' },
  ],
  seam: [
    { value: 'rolled', title: 'rolled on the table', why: 'Presses both faces at once.' },
    { value: 'paddled', title: 'paddled', why: 'Reaches into shapes that do not roll.' },
  ],
};
const COIL: readonly Choice<'coil' | 'none'>[] = [
  { value: 'coil', title: 'a thin coil', why: 'Keeps the corner from leaking.' },
  { value: 'none', title: 'none', why: 'A well-worked corner of soft clay holds without.' },
];
</script>

<template>
  <div>
    <ChoiceField
      label="Joins"
      name="school-joins"
      :value="way.schools.joins"
      :choices="SCHOOLS.joins"
      @choose="(joins) => way.school({ joins })"
    />
    <ChoiceField
      label="Texture"
      name="school-texture"
      :value="way.schools.texture"
      :choices="SCHOOLS.texture"
      @choose="(texture) => way.school({ texture })"
    />
    <ChoiceField
      label="Corner"
      name="school-coil"
      :value="way.schools.coil ? 'coil' : 'none'"
      :choices="COIL"
      @choose="(one) => way.school({ coil: one === 'coil' })"
    />
    <ChoiceField
      label="Base"
      name="school-base"
      :value="way.schools.base"
      :choices="SCHOOLS.base"
      @choose="(base) => way.school({ base })"
    />
    <ChoiceField
      label="Seam"
      name="school-seam"
      :value="way.schools.seam"
      :choices="SCHOOLS.seam"
      @choose="(seam) => way.school({ seam })"
    />
  </div>
</template>
