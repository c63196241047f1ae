<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import type { VTextField } from 'vuetify/components';
import type { Design } from '../../../contract/api.ts';
import { pathData } from '../../../core/format/pathData.ts';
import { elevation } from '../../../core/piece/elevation.ts';
import { sizePhrase } from '../../../core/piece/formSizes.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { ShelfMenu } from '../../laterFrame.ts';
import { clayTone, RIM_TILT } from './shelfRows.ts';

/** One design standing on the shelf, fired, at the shelf's scale. */
const props = defineProps<{ design: Design; scale: number; tallest: number; width: number }>();
const emit = defineEmits<{ rename: [name: string]; duplicate: []; takeOff: [] }>();

const lengths = useLengths();
const renaming = ref(false);
const name = ref('');
const field = ref<VTextField | null>(null);

const side = computed(() => elevation(props.design.target, 'fired'));
const drawn = computed(() => {
  const { left, right, rim, rimHeight } = side.value;
  const origin = props.width / 2 - ((left + right) / 2) * props.scale;
  const half = ((rim[1] - rim[0]) / 2) * props.scale;
  return {
    origin,
    half,
    middle: origin + ((rim[0] + rim[1]) / 2) * props.scale,
    tilt: half * RIM_TILT,
    top: props.tallest - rimHeight * props.scale,
  };
});
const path = computed(() => pathData(side.value.outer, props.scale, [drawn.value.origin, props.tallest]));
const added = computed(() =>
  side.value.added.map((shape) => pathData(shape, props.scale, [drawn.value.origin, props.tallest])),
);
const sizes = computed(() => {
  const { form, size } = props.design.target;
  const meant = `${size.face === 'inside' ? ' inside' : ''}${size.state === 'wet' ? ', wet' : ''}`;
  return `${lengths.phrase(sizePhrase(form))}${form.kind === 'former' ? ' former' : meant}`;
});

function startRename(): void {
  name.value = props.design.name;
  renaming.value = true;
  void nextTick(() => field.value?.select());
}

function finish(): void {
  if (!renaming.value) return;
  renaming.value = false;
  const next = name.value.trim();
  if (next && next !== props.design.name) emit('rename', next);
}
</script>

<template>
  <li class="place" :style="{ width: `${width}px` }" :data-design="design.name">
    <RouterLink
      class="drawing"
      :to="{ name: 'piece', params: { id: design.id } }"
      :aria-label="`${design.name}, ${sizes}`"
    >
      <svg :width="width" :height="tallest + 6" aria-hidden="true">
        <path v-for="(d, index) in added" :key="index" class="body" :class="clayTone(design)" :d="d" />
        <path class="body" :class="clayTone(design)" :d="path" />
        <ellipse
          v-if="!['stand', 'sheet'].includes(design.target.form.kind) && !design.target.lid"
          class="rim"
          :cx="drawn.middle"
          :cy="drawn.top"
          :rx="drawn.half"
          :ry="drawn.tilt"
        />
      </svg>
    </RouterLink>
    <div class="plank" />
    <VTextField
      v-if="renaming"
      ref="field"
      v-model="name"
      class="bare serif"
      aria-label="Name of the piece"
      maxlength="120"
      @blur="finish"
      @keydown.enter="finish"
      @keydown.esc.stop="renaming = false"
    />
    <RouterLink v-else class="name serif" :to="{ name: 'piece', params: { id: design.id } }">{{
      design.name
    }}</RouterLink>
    <span class="sizes">{{ sizes }}</span>
    <VMenu>
      <template #activator="{ props: opener }">
        <VBtn variant="text" v-bind="opener" :aria-label="`more: what to do with ${design.name}`">more</VBtn>
      </template>
      <ShelfMenu :id="design.id" @rename="startRename" @duplicate="emit('duplicate')" @take-off="emit('takeOff')" />
    </VMenu>
  </li>
</template>

<style scoped>
.place {
  display: flex;
  flex-direction: column;
  align-items: center;
  text-align: center;
}
.drawing {
  display: block;
  line-height: 0;
  border-radius: 8px;
}
.drawing svg {
  overflow: visible;
}
.body {
  stroke: var(--slab-edge);
  stroke-width: 2;
}
.light {
  fill: var(--slab);
}
.middle {
  fill: #cf9e6d;
}
.dark {
  fill: #b99f83;
}
.v-theme--evening .middle {
  fill: #96693f;
}
.v-theme--evening .dark {
  fill: #85705a;
}
.rim {
  fill: var(--hollow);
  stroke: var(--slab-edge);
  stroke-width: 2;
}
.plank {
  align-self: stretch;
  height: 17px;
  margin-top: -6px;
  background: linear-gradient(var(--wood) 0 12px, var(--wood-deep) 12px);
}
.name {
  display: flex;
  align-items: center;
  min-height: 48px;
  padding: 6px 8px 0;
  font-size: 18px;
  line-height: 1.15;
  color: var(--ink);
  text-decoration: none;
  overflow-wrap: anywhere;
}
.sizes {
  color: var(--ink-soft);
  font-size: 15px;
}
</style>
