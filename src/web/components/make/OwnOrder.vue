<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp } from '@mdi/js';
import { computed, ref } from 'vue';
import {
  addedStep,
  inOwnOrder,
  movedStep,
  NO_OWN_WORK,
  OWN_LIMITS,
  type OwnWork,
} from '../../../core/studio/making/ownWork.ts';
import type { WorkStep } from '../../../core/studio/making/workStep.ts';
import SheetDialog from '../frame/SheetDialog.vue';

/** The order of work as this potter does it: steps moved, left out, and her own. */
const open = defineModel<boolean>({ required: true });
const props = defineProps<{ steps: readonly WorkStep[]; own: OwnWork; kind: string }>();
const emit = defineEmits<{ change: [own: OwnWork] }>();

const title = ref('');
const minutes = ref(5);
const all = computed(() => inOwnOrder(props.steps, props.own));
const isLeft = (id: string) => props.own.left.includes(id);
const isOwn = (id: string) => props.own.added.some((one) => one.id === id);
const changed = computed(() => JSON.stringify(props.own) !== JSON.stringify(NO_OWN_WORK));

function turn(id: string): void {
  const { own } = props;
  if (isOwn(id))
    emit('change', {
      ...own,
      added: own.added.filter((one) => one.id !== id),
      order: own.order.filter((one) => one !== id),
    });
  else emit('change', { ...own, left: isLeft(id) ? own.left.filter((one) => one !== id) : [...own.left, id] });
}
function add(): void {
  const text = title.value.trim();
  if (!text || props.own.added.length >= OWN_LIMITS.added) return;
  const { least, greatest } = OWN_LIMITS.minutes;
  emit(
    'change',
    addedStep(props.steps, props.own, {
      title: text,
      minutes: Math.max(least, Math.min(greatest, Number(minutes.value) || 0)),
    }),
  );
  title.value = '';
}
const word = (id: string) => (isOwn(id) ? 'Take away' : isLeft(id) ? 'Put back' : 'Leave out');
</script>

<template>
  <SheetDialog v-model="open" aria-label="Your order of work" max-width="720" scrollable>
    <section class="sheet-card">
      <h2>Your order of work</h2>
      <p class="soft">Kept as your way for this kind of piece: {{ kind }}. A step that is moved keeps its words.</p>
      <ol>
        <li v-for="(step, at) in all" :key="step.id" :class="{ left: isLeft(step.id) }" :data-step="step.id">
          <span class="words">{{ step.title }}<span v-if="step.waits" class="soft">, a wait</span></span>
          <VBtn
            :icon="mdiArrowUp"
            variant="text"
            :disabled="at === 0"
            :aria-label="`${step.title}: earlier`"
            @click="emit('change', movedStep(steps, own, { id: step.id, by: -1 }))"
          />
          <VBtn
            :icon="mdiArrowDown"
            variant="text"
            :disabled="at === all.length - 1"
            :aria-label="`${step.title}: later`"
            @click="emit('change', movedStep(steps, own, { id: step.id, by: 1 }))"
          />
          <VBtn variant="text" class="turn" :aria-label="`${step.title}: ${word(step.id)}`" @click="turn(step.id)">
            {{ word(step.id) }}
          </VBtn>
        </li>
      </ol>
      <form class="add" @submit.prevent="add">
        <VTextField
          v-model="title"
          class="words"
          label="A step of your own"
          name="own-step"
          :maxlength="OWN_LIMITS.title"
        />
        <VTextField v-model="minutes" label="Minutes" name="own-minutes" type="number" min="0" max="600" />
        <VBtn type="submit" :disabled="!title.trim()">Add it</VBtn>
      </form>
      <div class="verbs">
        <VBtn :disabled="!changed" @click="emit('change', NO_OWN_WORK)">The usual order again</VBtn>
        <VBtn variant="flat" @click="open = false">Done</VBtn>
      </div>
    </section>
  </SheetDialog>
</template>

<style scoped>
ol {
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 48px 48px 110px;
  align-items: center;
  border-bottom: 1px dotted var(--line);
}
.left .words {
  text-decoration: line-through;
  color: var(--ink-soft);
}
.soft {
  color: var(--ink-soft);
}
.add {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px auto;
  gap: 10px;
  align-items: end;
  padding: 12px 0;
}
.verbs {
  display: flex;
  gap: 10px;
  justify-content: end;
}
@media (max-width: 599px) {
  li {
    grid-template-columns: minmax(0, 1fr) 44px 44px 92px;
  }
  .add {
    grid-template-columns: minmax(0, 1fr) 110px;
  }
}
</style>
