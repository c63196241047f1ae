<script setup lang="ts">
import { computed } from 'vue';
import { CLEARANCE, type FrameFormat, type ToolFormat } from '../../../core/files/sheet/templateFormat.ts';
import { noTool } from '../../../core/files/tool/noTool.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import FoldAway from '../frame/FoldAway.vue';

/** Tools for the piece that are printed in plastic: cutters, a former, the mould. */
defineProps<{ busy: string | null }>();
const emit = defineEmits<{ save: [format: ToolFormat | FrameFormat, part?: string] }>();
const FRAME_FILES = [
  { format: 'frame-pdf', title: 'Patterns on paper, PDF' },
  { format: 'frame-svg', title: 'SVG' },
  { format: 'frame-dxf', title: 'DXF, for a router' },
] as const;
const piece = usePiece();
const lengths = useLengths();
const parts = computed(() => piece.developed.parts.filter(({ role }) => role !== 'paper'));
const former = computed(() => noTool(piece.target, 'former'));
const side = computed(() => (piece.target.form.kind === 'mould' ? piece.target.form.side : null));
</script>

<template>
  <FoldAway title="Tools to print in plastic">
    <p>As STL, in mm, for a printer of any make: a cutter is pressed through the slab, its edge down.</p>
    <VBtn
      v-for="part in parts"
      :key="part.id"
      class="wide"
      :disabled="busy !== null"
      @click="emit('save', 'cutter', part.id)"
    >
      {{ busy === `cutter ${part.id}` ? 'Building the cutter' : `Cutter: ${part.name}` }}
    </VBtn>
    <VBtn v-if="former === null" class="wide" :disabled="busy !== null" @click="emit('save', 'former')">
      Former, {{ lengths.length(CLEARANCE.usual) }} clear all round
    </VBtn>
    <VBtn v-if="side" class="wide" :disabled="busy !== null" @click="emit('save', 'mould')">
      The {{ side }} mould, at wet size
    </VBtn>
    <p v-if="former !== null && !side">The piece {{ former }}.</p>
    <p>Printed layers hold clay and damp: keep these tools for clay, not for food.</p>
  </FoldAway>
  <FoldAway v-if="side" title="The mould, sawn of wood">
    <p>
      {{ side === 'slump' ? 'A board with the opening that the slab hangs in' : 'The board that the hump stands on' }},
      and its sections through the middle, as outlines at the size that the clay lies on.
    </p>
    <VBtn
      v-for="file in FRAME_FILES"
      :key="file.format"
      class="wide"
      :disabled="busy !== null"
      @click="emit('save', file.format)"
    >
      {{ file.title }}
    </VBtn>
    <p>Do not breathe wood or clay dust: sand outdoors or wear a mask, and seal the wood.</p>
  </FoldAway>
</template>

<style scoped>
.wide {
  width: 100%;
  margin: 5px 0;
}
p {
  margin: 4px 0 0;
}
</style>
