<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import type { VTextField } from 'vuetify/components';
import type { Design } from '../../../contract/api.ts';
import { pathData } from '../../../core/files/format/pathData.ts';
import { elevation } from '../../../core/piece/elevation.ts';
import { sizePhrase } from '../../../core/forms/roughSize.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { PiecePortrait, ShelfMenu } from '../../laterFrame.ts';
import { clayTone } from '../portrait/clayTone.ts';

/** One design standing on the shelf, fired, at the shelf's scale. */
const props = defineProps<{
  design: Design;
  scale: number;
  tallest: number;
  width: number;
  /** Whether this piece is among the chosen; null while none are being chosen. */
  chosen: boolean | null;
}>();
/**
 * The name while it is being changed, null while it is not. The shelf keeps it: a piece that moves to another board, as
 * when a tablet is turned, is drawn there anew.
 */
const naming = defineModel<string | null>('naming', { required: true });
const emit = defineEmits<{ rename: [name: string]; duplicate: []; takeOff: []; set: []; choose: [] }>();

const lengths = useLengths();
const field = ref<VTextField | null>(null);
/** The side view stands in for the portrait until it is painted. */
const painted = ref(false);
watch(
  () => props.design.target.form.kind,
  () => (painted.value = false),
);

const side = computed(() => elevation(props.design.target, 'fired'));
const outlines = computed(() => {
  const { left, right, outer, added } = side.value;
  const origin = [props.width / 2 - ((left + right) / 2) * props.scale, props.tallest] as const;
  return [...added, outer].map((shape) => pathData(shape, { scale: props.scale, origin }));
});
const sizes = computed(() => {
  const { form, size } = props.design.target;
  const meant = `${size.face === 'inside' ? ' inside' : ''}${size.state === 'wet' ? ', wet' : ''}`;
  return `${lengths.phrase(sizePhrase(form))}${form.kind === 'former' ? ' former' : meant}`;
});

/**
 * Renaming starts once the menu has closed: the closing menu gives the focus back to its button, which would end it.
 */
const renameAsked = ref(false);
function startRename(): void {
  if (renameAsked.value) naming.value = props.design.name;
  renameAsked.value = false;
}
watch(field, (shown) => {
  shown?.focus();
  shown?.select();
});

/** A field that loses the focus because its piece moved does not end the renaming. */
let leaving = false;
onBeforeUnmount(() => (leaving = true));
function finish(): void {
  if (naming.value === null || leaving) return;
  const next = naming.value.trim();
  naming.value = null;
  if (next && next !== props.design.name) emit('rename', next);
}

/** While several are chosen, a press chooses. */
function press(event: MouseEvent): void {
  if (props.chosen === null) return;
  event.preventDefault();
  emit('choose');
}
</script>

<template>
  <li class="place" :class="{ chosen }" :style="{ width: `${width}px` }" :data-design="design.name">
    <RouterLink
      class="drawing"
      :style="{ height: `${tallest + 6}px` }"
      :to="{ name: 'piece', params: { id: design.id } }"
      :aria-label="`${design.name}, ${sizes}`"
      @click.capture="press"
    >
      <svg v-if="!painted" :width="width" :height="tallest + 6" aria-hidden="true">
        <path
          v-for="(d, index) in outlines"
          :key="index"
          class="body"
          :style="{ fill: `var(--clay-${clayTone(design.target)})` }"
          :d="d"
        />
      </svg>
      <PiecePortrait :target="design.target" :scale="scale" @painted="painted = true" />
    </RouterLink>
    <div class="plank" />
    <div class="words">
      <VTextField
        v-if="naming !== null"
        ref="field"
        v-model="naming"
        class="bare serif"
        aria-label="Name of the piece"
        maxlength="120"
        @blur="finish"
        @keydown.enter="finish"
        @keydown.esc.stop="naming = null"
      />
      <RouterLink v-else class="name serif" :to="{ name: 'piece', params: { id: design.id } }" @click.capture="press">{{
        design.name
      }}</RouterLink>
      <VCheckboxBtn
        v-if="chosen !== null"
        class="mark"
        color="primary"
        :model-value="chosen"
        :aria-label="`Choose ${design.name}`"
        @update:model-value="emit('choose')"
      />
      <VMenu v-else @after-leave="startRename">
        <template #activator="{ props: opener }">
          <VBtn
            v-tooltip="`What to do with ${design.name}`"
            class="more"
            variant="text"
            v-bind="opener"
            :icon="mdiDotsHorizontal"
            :aria-label="`more: what to do with ${design.name}`"
          />
        </template>
        <ShelfMenu
          :id="design.id"
          @rename="renameAsked = true"
          @duplicate="emit('duplicate')"
          @take-off="emit('takeOff')"
          @set="emit('set')"
        />
      </VMenu>
      <span class="sizes">{{ sizes }}</span>
      <span v-if="design.target.set" class="set">{{ design.target.set }}</span>
    </div>
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
  position: relative;
  display: grid;
  place-items: end center;
  width: 100%;
  min-height: 44px;
  line-height: 0;
  border-radius: 8px;
}
.drawing svg {
  position: absolute;
  left: 0;
  bottom: 0;
  overflow: visible;
}
.drawing .portrait {
  position: relative;
}
.body {
  stroke: var(--slab-edge);
  stroke-width: 2;
}
.chosen .drawing {
  background: var(--press-soft);
}
.plank {
  align-self: stretch;
  height: 17px;
  margin-top: -6px;
  background: linear-gradient(var(--wood) 0 12px, var(--wood-deep) 12px);
}
.words {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr) 44px;
  align-items: center;
  align-self: stretch;
  padding-top: 2px;
}
.words > * {
  grid-column: 1 / -1;
}
.words > .name,
.words > .v-text-field {
  grid-column: 2;
  grid-row: 1;
}
.words > .more,
.words > .mark {
  grid-column: 3;
  grid-row: 1;
  align-self: start;
  justify-self: end;
  color: var(--ink-soft);
}
.name {
  display: flex;
  align-items: center;
  justify-content: center;
  min-height: 44px;
  font-size: 18px;
  line-height: 1.15;
  color: var(--ink);
  text-decoration: none;
  overflow-wrap: anywhere;
}
.sizes,
.set {
  color: var(--ink-soft);
  font-size: 15px;
}
.set {
  justify-self: center;
  max-width: 100%;
  margin-top: 2px;
  padding: 0 12px;
  border-radius: 12px;
  background: var(--care);
  overflow-wrap: anywhere;
}
</style>
