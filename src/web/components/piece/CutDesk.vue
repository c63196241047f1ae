<script setup lang="ts">
import { storeToRefs } from 'pinia';
import { computed } from 'vue';
import { aboutTemplate } from '../../../core/files/sheet/about.ts';
import { templateParts } from '../../../core/files/sheet/templateParts.ts';
import { pagesOf } from '../../../core/files/sheet/pages.ts';
import { usePrinter } from '../../composables/usePrinter.ts';
import { usePiece } from '../../stores/piece.ts';
import { useSettings } from '../../stores/settings.ts';
import PagePreview from './PagePreview.vue';

/** The pages as they will be printed, laid out on the table. */
const piece = usePiece();
const { paper, roll, style } = storeToRefs(useSettings());
const { chosen } = usePrinter();
const pages = computed(() =>
  pagesOf(templateParts(piece.target, piece.developed.parts), {
    name: piece.target.name,
    paper: paper.value,
    ...(roll.value && { roll: roll.value }),
    style: style.value,
    about: aboutTemplate(piece.target, style.value, piece.design?.revision ?? null),
    ...(chosen.value && { printer: chosen.value }),
  }),
);
</script>

<template>
  <div class="desk" role="region" aria-label="Pages" tabindex="0">
    <PagePreview
      v-for="(page, index) in pages"
      :key="index"
      class="page"
      :class="{ lying: page.width > page.height }"
      :page="page"
      :number="index + 1"
      :total="pages.length"
    />
  </div>
</template>

<style scoped>
.desk {
  display: flex;
  flex-wrap: wrap;
  gap: 22px;
  align-content: safe center;
  align-items: center;
  justify-content: center;
  padding: 24px;
  background: var(--cloth);
  overflow: auto;
}
.page {
  width: 210px;
}
.page.lying {
  width: 297px;
}
@media (max-width: 699px) {
  .page,
  .page.lying {
    width: min(100%, 320px);
  }
}
</style>
