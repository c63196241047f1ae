<script setup lang="ts">
import { storeToRefs } from 'pinia';
import { ref } from 'vue';
import type { TemplateRequest } from '../../../contract/api.ts';
import { fileStem } from '../../../core/format/fileStem.ts';
import type { PaperName } from '../../../core/sheet/paper.ts';
import { api } from '../../api.ts';
import { saveFile } from '../../composables/saveFile.ts';
import { useConnection } from '../../stores/connection.ts';
import { usePiece } from '../../stores/piece.ts';
import { useSettings } from '../../stores/settings.ts';
import ChoiceField from '../fields/ChoiceField.vue';

/** Paper and files of the template, and what to mind while cutting. */
const piece = usePiece();
const connection = useConnection();
const { paper, unit, marks } = storeToRefs(useSettings());
const busy = ref<string | null>(null);
const trouble = ref('');

const PAPERS = [
  { value: 'a4', title: 'A4', why: '210 × 297 mm' },
  { value: 'letter', title: 'Letter', why: '8 1/2 × 11 inches' },
] as const satisfies readonly { value: PaperName; title: string; why: string }[];

const FILES = [
  { format: 'svg', title: 'SVG, for a cutter or drawing' },
  { format: 'dxf', title: 'DXF, for a laser or router' },
] as const;

async function save(format: TemplateRequest['format']): Promise<void> {
  busy.value = format;
  trouble.value = '';
  const target = piece.target;
  try {
    const request = { target, format, paper: paper.value, units: unit.value, marks: marks.value };
    saveFile(`${fileStem(target.name)}.${format}`, await api.template(request));
  } catch (error) {
    trouble.value = connection.note(error);
  } finally {
    busy.value = null;
  }
}

function saveDesign(): void {
  const text = `${JSON.stringify(piece.target, null, 2)}\n`;
  saveFile(`${fileStem(piece.target.name)}.fawn.json`, new Blob([text], { type: 'application/json' }));
}
</script>

<template>
  <section aria-labelledby="cut-heading">
    <h2 id="cut-heading">Print the templates</h2>
    <ChoiceField label="Paper" name="paper" :value="paper" :choices="PAPERS" @choose="(name) => (paper = name)" />
    <button type="button" class="press wide" :disabled="busy !== null" @click="save('pdf')">
      {{ busy === 'pdf' ? 'Drawing the pages' : 'PDF at true size' }}
    </button>
    <button
      v-for="file in FILES"
      :key="file.format"
      type="button"
      class="quiet wide"
      :disabled="busy !== null"
      @click="save(file.format)"
    >
      {{ file.title }}
    </button>
    <button type="button" class="quiet wide" @click="saveDesign">The design itself, as a file</button>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <p>Print at 100 %, not “fit to page”, and lay a ruler on the check line before you cut.</p>
    <p class="caution">
      <strong>Mind.</strong> Cut away from your other hand. Keep trimmings wet: dry clay dust holds silica, so wipe it
      up wet and never sweep it dry.
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
}
h2 {
  font-size: 17px;
}
.wide {
  width: 100%;
}
p {
  margin: 4px 0 0;
}
.caution {
  padding: 10px 12px;
  background: var(--care);
  border-left: 4px solid var(--care-edge);
}
.trouble {
  padding: 10px 12px;
  background: var(--stop);
  border-left: 4px solid var(--stop-edge);
}
</style>
