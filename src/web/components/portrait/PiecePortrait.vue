<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import type { Target } from '../../../core/target/target.ts';
import { portrait } from '../../../core/raise/portrait.ts';
import { nextTask } from '../../composables/nextTask.ts';
import { useSettings } from '../../stores/settings.ts';
import { clayTone } from './clayTone.ts';
import { paintPortrait, type PortraitTones } from './paintPortrait.ts';

/** A piece in a quiet three-quarter view, fired, at a scale (px per mm); as large as its clay. */
const props = defineProps<{ target: Target; scale: number }>();
/** Emitted once it is painted; a mould from a file with very many triangles never is. */
const emit = defineEmits<{ painted: [] }>();

/** Room for the lines at the border (px). */
const MARGIN = 2;

const settings = useSettings();
const canvas = ref<HTMLCanvasElement | null>(null);
const tone = computed(() => clayTone(props.target));

function tonesOf(element: HTMLElement): PortraitTones {
  const style = getComputedStyle(element);
  const paint = (name: string) => style.getPropertyValue(name).trim();
  const body = paint(`--clay-${tone.value}`);
  return {
    outside: body,
    inside: paint('--hollow'),
    edge: body,
    cut: body,
    hole: paint('--ground'),
    line: paint('--slab-edge'),
    dark: paint('--portrait-dark'),
  };
}

function paint(): void {
  const drawn = portrait(props.target, 'fired');
  if (!canvas.value || !drawn) return;
  paintPortrait(canvas.value, drawn, { scale: props.scale, margin: MARGIN, tones: tonesOf(canvas.value) });
  emit('painted');
}

onMounted(async () => {
  await nextTask();
  paint();
});
watch([() => props.target, () => props.scale, () => settings.light], paint, { flush: 'post' });
</script>

<template>
  <canvas ref="canvas" class="portrait" aria-hidden="true" width="1" height="1" />
</template>

<style scoped>
.portrait {
  display: block;
}
</style>
