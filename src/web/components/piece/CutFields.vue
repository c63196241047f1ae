<script setup lang="ts">
import { storeToRefs } from 'pinia';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { fileStem } from '../../../core/files/format/fileStem.ts';
import type { Fault } from '../../../core/errors.ts';
import { checkTarget } from '../../../core/forms/checkTarget.ts';
import { atScale } from '../../../core/studio/reverse/scaled.ts';
import { api } from '../../api.ts';
import type { PieceFormat } from '../../../core/files/sheet/templateFormat.ts';
import { tracingPhrases, tracingWay } from '../../../core/parts/part/tracing.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { saveFile } from '../../composables/saveFile.ts';
import { useConnection } from '../../stores/connection.ts';
import { usePiece } from '../../stores/piece.ts';
import { useSettings } from '../../stores/settings.ts';
import { useShelf } from '../../stores/shelf.ts';
import FoldAway from '../frame/FoldAway.vue';
import { usePrinter } from '../../composables/usePrinter.ts';
import NumberField from '../fields/NumberField.vue';
import CutterRun from '../devices/CutterRun.vue';
import PaperFields from './PaperFields.vue';
import PrintedTools from './PrintedTools.vue';

/** Paper and files of the template, and what to mind while cutting. */
const piece = usePiece();
const lengths = useLengths();
const connection = useConnection();
const shelf = useShelf();
const router = useRouter();
const { paper, roll, thin, unit, marks } = storeToRefs(useSettings());
const { chosen } = usePrinter();
const busy = ref<string | null>(null);
const trouble = ref('');

/** Sizes that a design is made at (of its own). */
const SCALES = { least: 0.1, greatest: 5 } as const;

const FILES = [
  { format: 'svg', title: 'SVG, for a cutter or drawing' },
  { format: 'dxf', title: 'DXF, for a laser or router' },
  { format: 'plt', title: 'Plot file, for a pen plotter or card cutter' },
  { format: 'png', title: 'PNG, 300 dots an inch' },
] as const;

/** Another size is a design of its own, developed for the same slab. */
const scale = ref(0.8);
function putScale(value: number): readonly Fault[] {
  if (value >= SCALES.least && value <= SCALES.greatest) {
    scale.value = value;
    return [];
  }
  return [
    {
      code: 'out-of-range',
      path: 'scale',
      value: String(value),
      rule: `must be from ${SCALES.least} to ${SCALES.greatest}`,
    },
  ];
}
async function makeScaled(): Promise<void> {
  const scaled = atScale(piece.target, scale.value);
  const [fault] = checkTarget(scaled);
  trouble.value = fault ? `At that size no slab makes it: ${fault.rule}.` : '';
  if (fault) return;
  await piece.keep();
  const design = await shelf.create(scaled);
  if (design) await router.push({ name: 'piece', params: { id: design.id, stage: 'flat' } });
  else trouble.value = shelf.trouble;
}

/** A file of the piece as it is now; null, with a message, where it cannot be had. */
async function fetchFile(format: PieceFormat, part?: string): Promise<Awaited<ReturnType<typeof api.template>> | null> {
  busy.value = [format, part].join(' ').trim();
  trouble.value = '';
  const target = piece.target;
  try {
    await piece.keep();
    const revision = piece.design?.revision;
    const request = {
      target,
      format,
      paper: paper.value,
      ...(roll.value && { roll: roll.value }),
      ...(thin.value && { thin: true }),
      units: unit.value,
      marks: marks.value,
      ...(revision !== undefined && { revision }),
      ...(part !== undefined && { part }),
      ...(chosen.value && { printer: chosen.value }),
    };
    return await api.template(request);
  } catch (error) {
    trouble.value = connection.note(error);
    return null;
  } finally {
    busy.value = null;
  }
}
async function save(format: PieceFormat, part?: string): Promise<void> {
  const file = await fetchFile(format, part);
  if (file) saveFile(file.name, file.content);
}
async function fetchPlot(): Promise<string | null> {
  return (await (await fetchFile('plt'))?.content.text()) ?? null;
}

/** How the wall is traced with a template that is owned already. */
const traced = computed(() => {
  const way = tracingWay(piece.target, piece.developed.parts);
  return way?.kind === 'traced' ? tracingPhrases(way.steps).map((phrase) => lengths.phrase(phrase)) : null;
});

function saveDesign(): void {
  const text = `${JSON.stringify(piece.target, null, 2)}\n`;
  saveFile(`${fileStem(piece.target.name)}.fawn.json`, new Blob([text], { type: 'application/json' }));
}
</script>

<template>
  <section aria-labelledby="cut-heading">
    <template v-if="traced">
      <h2>With the template you own</h2>
      <ol class="steps">
        <li v-for="step in traced" :key="step">{{ step }}</li>
      </ol>
    </template>
    <h2 id="cut-heading">Print the templates</h2>
    <PaperFields />
    <VBtn variant="flat" class="wide" name="pdf" :disabled="busy !== null" @click="save('pdf')">
      {{ busy === 'pdf' ? 'Drawing the pages' : 'PDF at true size' }}
    </VBtn>
    <VBtn class="wide" :disabled="busy !== null" @click="save('card')">Bench card, one page</VBtn>
    <VBtn v-for="file in FILES" :key="file.format" class="wide" :disabled="busy !== null" @click="save(file.format)">
      {{ file.title }}
    </VBtn>
    <VBtn class="wide" :disabled="busy !== null" @click="save('csv')">Cut list, for a spreadsheet</VBtn>
    <VBtn class="wide" @click="saveDesign">The piece itself, as a file</VBtn>
    <VAlert v-if="trouble" type="error">{{ lengths.words(trouble) }}</VAlert>
    <p>Print at 100 %, not “fit to page”, and lay a ruler on the check line before you cut.</p>
    <FoldAway title="Without a printer">
      <p>Traced through thin paper from the screen, or scored along the light of a projector above the table.</p>
      <VBtn class="wide" :to="{ name: 'true-size', params: { id: piece.design?.id ?? '' } }"
        >True size on this screen</VBtn
      >
      <VBtn class="wide" :to="{ name: 'by-light', params: { id: piece.design?.id ?? '' } }">By light, on the clay</VBtn>
    </FoldAway>
    <FoldAway title="On a cutter">
      <CutterRun :fetch-plot="fetchPlot" :busy="busy !== null" />
    </FoldAway>
    <PrintedTools :busy="busy" @save="save" />
    <FoldAway title="At another size?">
      <p>
        A print at another percentage changes every length but the slab’s thickness, and the parts do not meet. Make a
        design at that size for the same slab instead.
      </p>
      <NumberField
        label="Size"
        name="scale"
        unit=" %"
        :factor="0.01"
        :value="scale"
        :take="putScale"
        :done="() => {}"
      />
      <VBtn class="wide" :disabled="scale === 1" @click="makeScaled">
        Make the {{ Math.round(scale * 1000) / 10 }} % piece
      </VBtn>
    </FoldAway>
    <VAlert type="warning" role="note">
      <strong>Take care.</strong> Cut away from your other hand. Keep trimmings wet: dry clay dust holds silica, so wipe
      it up wet and never sweep it dry.
    </VAlert>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
}
/* Read at the table, template in hand. */
.steps {
  padding-left: 22px;
  font-size: 18px;
}
.wide {
  width: 100%;
}
.v-expansion-panel-text .wide {
  margin: 5px 0;
}
p {
  margin: 4px 0 0;
}
</style>
