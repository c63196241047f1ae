<script setup lang="ts">
import { computed, ref } from 'vue';
import { slipOf } from '../../../core/studio/learning/slip.ts';
import type { Measured } from '../../../core/studio/making/measured.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useMasses } from '../../composables/useMasses.ts';
import { useSettings } from '../../stores/settings.ts';
import { moveOn } from '../fields/moveOn.ts';
import { useMeasured } from '../make/measuredNames.ts';

/** One figure of one piece: typed, or written by a device; an unlikely one is questioned and kept all the same. */
const props = defineProps<{ label: string; what: Measured; value: number | null; planned: number | null }>();
const emit = defineEmits<{ put: [value: number | null] }>();

const lengths = useLengths();
const masses = useMasses();
const settings = useSettings();
const { figure, readCapacity } = useMeasured();
const typed = ref<string | null>(null);
const isLength = computed(() => props.what !== 'weight' && props.what !== 'capacity');
const shown = computed(() => {
  if (typed.value !== null) return typed.value;
  if (props.value === null) return '';
  return isLength.value ? lengths.editable(props.value) : figure(props.what, props.value);
});

function read(text: string): number | null {
  if (props.what === 'weight') return masses.read(text);
  if (props.what === 'capacity') return readCapacity(text);
  const reading = lengths.read(text);
  return reading.kind === 'unreadable' ? null : reading.mm;
}

const problem = computed(() => {
  if (typed.value === null || typed.value.trim() === '') return '';
  const value = read(typed.value);
  return value === null || !(value > 0) ? 'cannot be read' : '';
});
const question = computed(() => {
  const value = typed.value === null ? props.value : read(typed.value);
  if (value === null || props.planned === null || problem.value) return '';
  const slip = slipOf(value, props.planned);
  if (slip === null) return '';
  return slip === 'turned'
    ? `${figure(props.what, props.planned)} planned: digits turned?`
    : `${figure(props.what, props.planned)} planned: sure?`;
});

/** What was typed is kept when the cell is left; an empty cell strikes out what was there. */
function leave(): void {
  const text = typed.value;
  if (text === null || problem.value) return;
  typed.value = null;
  const value = text.trim() === '' ? null : read(text);
  if (value !== props.value) emit('put', value);
}
function enter(event: KeyboardEvent): void {
  if (!problem.value) moveOn(event.target as HTMLInputElement, settings.enter);
}
</script>

<template>
  <VTextField
    class="cell bare"
    inputmode="text"
    autocomplete="off"
    :data-takes="isLength ? 'length' : what === 'weight' ? 'mass' : undefined"
    :aria-label="label"
    :model-value="shown"
    :error="problem !== ''"
    :messages="problem || question"
    :class="{ asked: question !== '' }"
    @update:model-value="(text: string) => (typed = text)"
    @blur="leave"
    @keydown.enter="enter"
    @keydown.esc.stop="typed = null"
  />
</template>

<style scoped>
.cell :deep(input) {
  font-size: 20px;
  text-align: right;
}
.asked :deep(.v-messages) {
  color: var(--ink);
  background: var(--care);
  opacity: 1;
}
</style>
