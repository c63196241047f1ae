<script setup lang="ts">
import { computed, ref } from 'vue';
import { useLengths } from '../../composables/useLengths.ts';
import type { DraggedSize } from '../table/draggedSizes.ts';
import SizeHandle from '../table/SizeHandle.vue';
import { GRIP, gripAt, gripGroups, type ShapePlaces } from './shapePlaces.ts';

/** The points that sizes are dragged by. Those that stand too close for a finger are one grip that opens. */
const props = defineProps<{ handles: readonly DraggedSize[]; places: ShapePlaces; width: number }>();
const emit = defineEmits<{
  start: [key: string];
  drag: [handle: DraggedSize, px: number];
  step: [key: string, mm: number];
  end: [];
}>();

const lengths = useLengths();
/** The sizes of the joined grip that stands open, by their keys. */
const opened = ref('');
const nameOf = (group: readonly DraggedSize[]) => group.map(({ size }) => size.key).join(' ');

const groups = computed(() => {
  const at = props.handles.map((handle) => gripAt(handle, props.places));
  return gripGroups(at).map((group) => {
    const sizes = group.flatMap((index) => props.handles[index] ?? []);
    const spots = group.flatMap((index) => at[index] ?? []) as number[];
    const middle = (axis: 0 | 1) =>
      spots.filter((_, index) => index % 2 === axis).reduce((sum, one) => sum + one, 0) / group.length;
    return {
      name: nameOf(sizes),
      sizes,
      at: group.map((index) => at[index] ?? ([0, 0] as const)),
      middle: [middle(0), middle(1)] as const,
    };
  });
});

/** Opened grips stand side by side, within the drawing. */
function spread(count: number, index: number, [x, y]: readonly [number, number]): readonly [number, number] {
  const whole = (count - 1) * (GRIP + 6);
  const from = Math.max(GRIP / 2, Math.min(props.width - GRIP / 2 - whole, x - whole / 2));
  return [from + index * (GRIP + 6), y];
}

/** One grip for each size that can be taken now. */
const grips = computed(() =>
  groups.value.flatMap(({ name, sizes, at, middle }) => {
    if (sizes.length > 1 && opened.value !== name) return [];
    return sizes.map((handle, index) => ({
      handle,
      at: sizes.length > 1 ? spread(sizes.length, index, middle) : (at[index] ?? ([0, 0] as const)),
      named: sizes.length > 1,
    }));
  }),
);
const joined = computed(() => groups.value.filter(({ name, sizes }) => sizes.length > 1 && opened.value !== name));
</script>

<template>
  <SizeHandle
    v-for="{ handle, at, named } in grips"
    :key="handle.size.key"
    :label="`Drag: ${handle.size.label}`"
    :axis="handle.axis"
    :value="handle.size.value"
    :value-text="lengths.length(handle.size.value)"
    :at="at"
    :words="named ? handle.size.label : ''"
    @start="emit('start', handle.size.key)"
    @move="(px) => emit('drag', handle, px)"
    @step="(mm) => emit('step', handle.size.key, mm)"
    @end="emit('end')"
  />
  <VBtn
    v-for="group in joined"
    :key="group.name"
    class="joined"
    variant="flat"
    :aria-label="`Open ${group.sizes.length} drag points: ${group.sizes.map(({ size }) => size.label).join(', ')}`"
    :style="{ transform: `translate(${group.middle[0]}px, ${group.middle[1]}px)` }"
    @click="opened = group.name"
  >
    {{ group.sizes.length }}
  </VBtn>
</template>

<style scoped>
.joined {
  position: absolute;
  top: -22px;
  left: -22px;
  width: 44px;
  padding: 0;
  border: 2px solid var(--panel);
  border-radius: 50%;
}
</style>
