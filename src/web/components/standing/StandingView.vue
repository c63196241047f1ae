<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, onMounted, onUnmounted, ref, shallowRef, watch } from 'vue';
import { raiseAdded } from '../../../core/raise/added.ts';
import { raisePiece } from '../../../core/raise/pushed.ts';
import { standingBody } from '../../../core/raise/raise.ts';
import { sectioned, type Section } from '../../../core/raise/section.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import { useSettings } from '../../stores/settings.ts';
import PlainStanding from './PlainStanding.vue';
import { holeHeight } from './holeHeight.ts';
import type { RaiseChoices } from './raiseChoices.ts';
import { standingScene, type ViewName } from './standingScene.ts';

/** The piece on its way up, in three dimensions; where they cannot be drawn, the plain side view. */
const props = defineProps<{ share: number; choices: RaiseChoices; look: { readonly view: ViewName } }>();

const piece = usePiece();
const settings = useSettings();
const lengths = useLengths();
const box = ref<HTMLElement | null>(null);
const canvas = ref<HTMLCanvasElement | null>(null);
const { width, height } = useElementSize(box);
const scene = shallowRef<ReturnType<typeof standingScene> | null>(null);
const missing = ref(false);
const pxPerMm = ref(0);

const body = computed(() => standingBody(piece.target));
const cut = computed(() => {
  const { section } = props.choices;
  if (section === 'whole') return body.value;
  const wanted: Section = section === 'level' ? { kind: 'level', height: body.value.height / 2 } : { kind: 'upright' };
  return sectioned(body.value, wanted);
});
const scale = computed(() => (props.choices.state === 'fired' ? 1 - piece.target.clay.shrinkage : 1));
const flat = computed(() => raisePiece(piece.target, body.value, 0));
/** A section shows the wall alone. */
const parts = computed(() => {
  const raised = raisePiece(piece.target, cut.value, props.share);
  return props.choices.section === 'whole'
    ? raiseAdded(piece.target, { raised, flat: flat.value, f: props.share })
    : raised;
});
const hole = computed(() => {
  const diameter = piece.target.fit?.hole;
  if (diameter === undefined || !props.choices.hole) return null;
  return { diameter, z: holeHeight(piece.target, diameter, scale.value) };
});
const hand = computed(() => (props.choices.hand ? settings.hand : null));

/** A length that makes a good scale bar: about a fifth of the view. */
const bar = computed(() => {
  const most = (0.22 * width.value) / (pxPerMm.value || 1);
  return [10, 20, 50, 100, 200, 500].findLast((mm) => mm <= most) ?? 10;
});

function show(): void {
  scene.value?.show({ parts: parts.value, scale: scale.value, hole: hole.value, hand: hand.value });
}

function lookFrom(view: ViewName): void {
  scene.value?.look(view);
}

const KEYS: Readonly<Record<string, () => void>> = {
  ArrowLeft: () => scene.value?.turn(-10, 0),
  ArrowRight: () => scene.value?.turn(10, 0),
  ArrowUp: () => scene.value?.turn(0, 10),
  ArrowDown: () => scene.value?.turn(0, -10),
  '+': () => scene.value?.zoom(1.2),
  '-': () => scene.value?.zoom(1 / 1.2),
  Home: () => lookFrom('turned'),
};
function onKey(event: KeyboardEvent): void {
  const run = KEYS[event.key];
  if (!run) return;
  event.preventDefault();
  run();
}

onMounted(() => {
  if (!canvas.value) return;
  try {
    scene.value = standingScene(canvas.value, (scaled) => (pxPerMm.value = scaled));
    show();
    lookFrom(props.look.view);
  } catch {
    missing.value = true;
  }
});
onUnmounted(() => scene.value?.dispose());
watch([parts, scale, hole, hand, () => settings.light], show);
watch(
  () => props.look,
  ({ view }) => lookFrom(view),
);
watch([width, height], () => scene.value?.resize());
</script>

<template>
  <div ref="box" class="standing-view">
    <PlainStanding v-if="missing" :state="choices.state" />
    <canvas
      v-show="!missing"
      ref="canvas"
      tabindex="0"
      role="img"
      :data-scale="pxPerMm"
      :aria-label="`${piece.target.name}, ${Math.round(100 * share)} % raised. Arrow keys turn it, plus and minus bring it nearer, Home shows it as at first.`"
      @keydown="onKey"
    />
    <p v-if="!missing && pxPerMm > 0" class="bar">
      <span :style="{ width: `${bar * pxPerMm}px` }" />
      {{ lengths.length(bar) }}, {{ choices.state }}
    </p>
    <p v-if="!missing" class="hint">Drag to turn</p>
  </div>
</template>

<style scoped>
.standing-view {
  position: relative;
  overflow: hidden;
  min-height: 340px;
  background: radial-gradient(ellipse at 50% 40%, var(--panel), var(--cloth) 75%);
}
canvas {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  cursor: grab;
}
canvas:focus-visible {
  outline-offset: -3px;
}
.bar,
.hint {
  position: absolute;
  bottom: 12px;
  font-size: 15px;
  pointer-events: none;
}
.bar {
  left: 18px;
  font-weight: 600;
}
.bar span {
  display: block;
  height: 7px;
  margin-bottom: 4px;
  border: 2px solid var(--ink);
  border-top: 0;
}
.hint {
  right: 18px;
  color: var(--ink-soft);
}
</style>
