<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { pathData, screenPx } from '../../../core/files/format/pathData.ts';
import { radians } from '../../../core/numbers.ts';
import { bounds, moved, type Outline } from '../../../core/geometry/outline/outline.ts';
import { elevation } from '../../../core/piece/elevation.ts';
import { TARGET_DEFAULTS } from '../../../core/target/target.ts';
import { tracingPhrases } from '../../../core/parts/part/tracing.ts';
import { useLengths } from '../../composables/useLengths.ts';
import PieceElevation from '../table/PieceElevation.vue';
import type { Owned } from './owned.ts';
import { arcOutline, circleOutline, sheetOutline } from './ownedOutlines.ts';

/** The owned thing and the piece that it makes, at one scale; a slid template with where each tracing starts and stops. */
const props = defineProps<{ owned: Owned }>();
const lengths = useLengths();
const box = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(box);
const { kind, template, tracings, slid, sheet, cutter, former, round, clay, bowl, reversed } = props.owned;

interface Drawn {
  readonly key: string;
  readonly outline: Outline;
  readonly first: boolean;
}

/** Wet clay (g/cm3). */
const WET_DENSITY = TARGET_DEFAULTS.clay.wetDensity;

/** The sweep of the wall that is traced (degrees). */
const wholeOf = (sweep: number) => (slid.value?.kind === 'slid' ? slid.value.template.sweep : sweep);

function drawn(): Drawn[] {
  switch (kind.value) {
    case 'arc': {
      const arc = template.value;
      if (!arc || !(arc.inner > 0) || arc.outer <= arc.inner) return [];
      const spans = tracings.value.length > 0 ? tracings.value : [{ from: 0, to: arc.sweep }];
      const whole = wholeOf(arc.sweep);
      return spans.map(({ from, to }, index) => ({
        key: `arc-${index}`,
        outline: arcOutline(arc, from - whole / 2, to - whole / 2),
        first: index === 0,
      }));
    }
    case 'sheet':
      return [
        {
          key: 'sheet',
          outline: sheetOutline(sheet.around / sheet.layersAround, sheet.up / sheet.layersUp),
          first: true,
        },
      ];
    case 'cutter':
      return [{ key: 'cutter', outline: circleOutline(cutter.diameter), first: true }];
    case 'round':
      return [{ key: 'round', outline: circleOutline(round.circle), first: true }];
    case 'mass': {
      // A ball of so much clay.
      const across = 2 * Math.cbrt((3 * (1000 * clay.mass)) / (WET_DENSITY * 4 * Math.PI));
      return [{ key: 'lump', outline: circleOutline(across), first: true }];
    }
    case 'former':
      return [{ key: 'former', outline: circleOutline(former.diameter), first: true }];
  }
}
const shapes = computed(drawn);
const size = computed(() => {
  const boxes = shapes.value.map(({ outline }) => bounds(outline));
  return {
    minX: Math.min(...boxes.map(({ minX }) => minX)),
    minY: Math.min(...boxes.map(({ minY }) => minY)),
    maxX: Math.max(...boxes.map(({ maxX }) => maxX)),
    maxY: Math.max(...boxes.map(({ maxY }) => maxY)),
  };
});
const target = computed(() => (reversed.value.kind === 'made' ? reversed.value.target : null));
const wet = computed(() => (target.value ? elevation(target.value, 'wet') : null));
const fired = computed(() => (target.value ? elevation(target.value, 'fired') : null));

/** Air round the drawings, and how far a label reaches to each side of its middle (px). */
const AIR = 40;
const LABEL = 36;
const layout = computed(() => {
  const { minX, minY, maxX, maxY } = size.value;
  const [shapeWide, shapeHigh] = [maxX - minX, maxY - minY];
  const [pieceWide, pieceHigh] = [wet.value?.width ?? 0, wet.value?.height ?? 0];
  const beside = width.value > 640;
  const scale = beside
    ? Math.min(
        (width.value - 4 * AIR) / (shapeWide + pieceWide),
        (height.value - 3 * AIR) / Math.max(shapeHigh, pieceHigh),
      )
    : Math.min(
        (width.value - 2 * AIR) / Math.max(shapeWide, pieceWide),
        (height.value - 5 * AIR) / (shapeHigh + pieceHigh),
      );
  const ground = beside ? height.value / 2 + (Math.max(shapeHigh, pieceHigh) * scale) / 2 : AIR + shapeHigh * scale;
  const left = beside
    ? (width.value - (shapeWide + pieceWide) * scale - 2 * AIR) / 2
    : (width.value - shapeWide * scale) / 2;
  return {
    scale,
    origin: [left - minX * scale, ground + minY * scale] as const,
    piece: beside
      ? ([left + shapeWide * scale + 2 * AIR, ground] as const)
      : ([(width.value - pieceWide * scale) / 2, ground + 2 * AIR + pieceHigh * scale] as const),
  };
});
const steps = computed(() => tracingPhrases(tracings.value).map((phrase) => lengths.phrase(phrase)));
/** Where each tracing starts, over the outer arc. */
const starts = computed(() => {
  const arc = template.value;
  const whole = wholeOf(arc?.sweep ?? 0);
  if (kind.value !== 'arc' || !arc) return [];
  const at = (angle: number, radius: number) => {
    const [x, y] = [radius * Math.sin(radians(angle)), radius * Math.cos(radians(angle))];
    return [layout.value.origin[0] + x * layout.value.scale, layout.value.origin[1] - y * layout.value.scale] as const;
  };
  const label = (angle: number, text: string) => {
    const [x, y] = at(angle - whole / 2, arc.outer + 30 / layout.value.scale);
    return { text, at: [Math.max(LABEL, Math.min(width.value - LABEL, x)), y] as const };
  };
  return tracings.value.flatMap(({ from, to }, index) => [
    label(from, `${index + 1} starts`),
    ...(index === tracings.value.length - 1 ? [label(to, `${index + 1} ends`)] : []),
  ]);
});
const edges = computed(() => {
  const form = target.value?.form;
  if (!form || !fired.value) return '';
  if (bowl.value?.kind === 'made') return `${lengths.length(bowl.value.height)} high`;
  if (form.kind === 'taper')
    return `rim ${lengths.figure(form.rim)}, foot ${lengths.figure(form.foot)}, height ${lengths.length(form.height)}`;
  return `${lengths.figure(fired.value.width)} across, ${lengths.length(fired.value.height)} high`;
});
const path = (outline: Outline) =>
  pathData(moved(outline, 0, 0), { scale: layout.value.scale, origin: layout.value.origin, write: screenPx });
</script>

<template>
  <div class="drawing">
    <div class="words">
      <p v-if="target" class="says">
        Fired: <strong>{{ edges }}</strong>.
      </p>
      <p v-if="bowl?.kind === 'made' && bowl.byArea" class="tracings">
        If you press the clay thinner instead of letting the rim gather, it comes up to
        {{ lengths.length(bowl.byArea) }} high.
      </p>
      <ol v-if="steps.length > 0" class="tracings">
        <li v-for="step in steps" :key="step">{{ step }}</li>
      </ol>
    </div>
    <div ref="box" class="room">
      <svg
        v-if="width > 0 && shapes.length > 0"
        :width="width"
        :height="height"
        role="img"
        aria-label="What you own, and the piece that it makes"
      >
        <path
          v-for="shape in [...shapes].reverse()"
          :key="shape.key"
          :data-shape="shape.key"
          :class="shape.first ? 'own' : 'again'"
          :d="path(shape.outline)"
        />
        <text v-for="start in starts" :key="start.text" :x="start.at[0]" :y="start.at[1]">{{ start.text }}</text>
        <PieceElevation v-if="target" :target="target" :scale="layout.scale" :at="layout.piece" />
      </svg>
    </div>
  </div>
</template>

<style scoped>
.drawing {
  display: grid;
  grid-template-rows: auto minmax(380px, 1fr);
  background-color: var(--cloth);
  background-image: radial-gradient(var(--cloth-weave) 1.2px, transparent 1.3px);
  background-size: 6px 6px;
}
svg {
  position: absolute;
  inset: 0;
}
.own {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 2;
}
.again {
  fill: none;
  stroke: var(--press);
  stroke-width: 2;
  stroke-dasharray: 9 5;
}
text {
  fill: var(--ink);
  font-size: 15px;
  text-anchor: middle;
}
.words {
  padding: 12px 16px 0;
}
.says {
  font-size: 20px;
}
.tracings {
  padding: 6px 0 0 22px;
}
p.tracings {
  padding-left: 0;
}
.room {
  position: relative;
}
</style>
