<script setup lang="ts">
import { storeToRefs } from 'pinia';
import { computed, ref } from 'vue';
import type { Design } from '../../../contract/api.ts';
import { MOST_PUPILS, namesOfTable } from '../../../contract/classList.ts';
import { namesIn } from '../../../core/studio/making/classNames.ts';
import { developWhole } from '../../../core/piece/develop.ts';
import { aboutTemplate } from '../../../core/files/sheet/about.ts';
import { pagesOf } from '../../../core/files/sheet/pages.ts';
import { templateParts } from '../../../core/files/sheet/templateParts.ts';
import { api } from '../../api.ts';
import { saveFile } from '../../composables/saveFile.ts';
import { useMasses } from '../../composables/useMasses.ts';
import { usePrinter } from '../../composables/usePrinter.ts';
import { useConnection } from '../../stores/connection.ts';
import { useSettings } from '../../stores/settings.ts';
import FileField from '../fields/FileField.vue';
import SheetDialog from '../frame/SheetDialog.vue';
import PaperFields from '../piece/PaperFields.vue';

/** Templates and bench cards of several pieces in one PDF: once, or for each name of a class. */
const open = defineModel<boolean>({ required: true });
const props = defineProps<{ designs: readonly Design[] }>();
const connection = useConnection();
const { paper, roll, thin, unit, marks, style } = storeToRefs(useSettings());
const { chosen } = usePrinter();
const masses = useMasses();
const typed = ref('');
const cards = ref(true);
const busy = ref(false);
const trouble = ref('');
const names = computed(() => namesIn(typed.value, MOST_PUPILS));
const copies = computed(() => Math.max(1, names.value.length));

/** Pages of one copy, and the clay in it (g). */
const each = computed(() =>
  props.designs.map(({ target }) => {
    const developed = developWhole(target);
    const options = {
      name: target.name,
      paper: paper.value,
      ...(roll.value && { roll: roll.value }),
      style: style.value,
      about: aboutTemplate(target, style.value, null),
      ...(chosen.value && { printer: chosen.value }),
    };
    return {
      pages: pagesOf(templateParts(target, developed.parts), options).length,
      clay: developed.finished.mass.wet,
    };
  }),
);
const sheets = computed(
  () => copies.value * each.value.reduce((sum, { pages }) => sum + pages + (cards.value ? 1 : 0), 0),
);
const clay = computed(() => copies.value * each.value.reduce((sum, one) => sum + one.clay, 0));

const unread = ref('');
async function readTable(file: File): Promise<void> {
  const found = namesOfTable(await file.text());
  unread.value =
    found.length > 0 && found.length <= MOST_PUPILS
      ? ''
      : `${file.name} must have from 1 to ${MOST_PUPILS} names in its first column.`;
  if (!unread.value) typed.value = found.join('\n');
}

async function print(): Promise<void> {
  busy.value = true;
  trouble.value = '';
  try {
    const { name, content } = await api.printClass({
      targets: props.designs.map(({ target }) => target),
      names: names.value,
      cards: cards.value,
      paper: paper.value,
      ...(roll.value && { roll: roll.value }),
      ...(thin.value && { thin: true }),
      units: unit.value,
      marks: marks.value,
      ...(chosen.value && { printer: chosen.value }),
    });
    saveFile(name, content);
    open.value = false;
  } catch (error) {
    trouble.value = connection.note(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <SheetDialog v-model="open" aria-label="Print together">
    <VForm class="sheet-card" @submit.prevent="print">
      <h2>Print {{ designs.length === 1 ? `“${designs[0]?.target.name}”` : `${designs.length} pieces` }} together</h2>
      <p class="sum" role="status">
        <strong>{{ sheets }}</strong> {{ sheets === 1 ? 'sheet' : 'sheets' }} of paper,
        <strong>{{ masses.write(clay) }}</strong> of clay in the pieces
      </p>
      <VTextarea
        v-model="typed"
        label="Names of a class, one per line; empty for one copy"
        rows="4"
        auto-grow
        max-rows="8"
        :hint="names.length ? `${names.length} ${names.length === 1 ? 'name' : 'names'}` : ''"
        persistent-hint
      />
      <FileField
        label="Names from a CSV file"
        name="names"
        accept=".csv,.txt,text/csv"
        note="The first column is read, with or without a head."
        :trouble="unread"
        @read="readTable"
      />
      <VSwitch v-model="cards" label="A bench card before each piece" />
      <PaperFields />
      <VAlert v-if="trouble" type="error">{{ trouble }}</VAlert>
      <p class="buttons">
        <VBtn variant="flat" type="submit" :disabled="busy || designs.length === 0">
          {{ busy ? 'Drawing the pages' : 'PDF at true size' }}
        </VBtn>
        <VBtn variant="text" @click="open = false">Cancel</VBtn>
      </p>
    </VForm>
  </SheetDialog>
</template>

<style scoped>
.sum strong {
  font-size: 22px;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding-top: 14px;
}
</style>
