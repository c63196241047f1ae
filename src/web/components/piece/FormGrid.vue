<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { formOfKind } from '../../../core/forms/formOfKind.ts';
import { portraitSize } from '../../../core/raise/portraitSize.ts';
import { newTarget, type FormKind, type Target } from '../../../core/target/target.ts';
import { PiecePortrait } from '../../laterFrame.ts';
import { FORM_WAYS } from './formWays.ts';

/** The forms as drawings, those made most often first. */
defineProps<{ value?: FormKind | undefined }>();
const grid = ref<HTMLElement | null>(null);
/** The keyboard begins at the form that there is, or the first. */
onMounted(() => {
  const chosen = grid.value?.querySelector<HTMLElement>('[aria-selected="true"]');
  (chosen ?? grid.value?.querySelector<HTMLElement>('.form'))?.focus();
});
const emit = defineEmits<{ choose: [kind: FormKind] }>();

/** Room of a drawing (px). */
const ROOM = { width: 120, height: 88 } as const;

/** A mould from a file is reached by reading the file. */
const drawn = FORM_WAYS.filter(({ value }) => value !== 'mesh').map((way) => {
  const target: Target = { ...newTarget(way.title), form: formOfKind(way.value, newTarget('').form) };
  const { width, height } = portraitSize(target);
  return { ...way, target, scale: Math.min(ROOM.width / width, ROOM.height / height) };
});
</script>

<template>
  <div ref="grid" class="forms" role="listbox" aria-label="Form">
    <VBtn
      v-for="way in drawn"
      :key="way.value"
      class="form"
      role="option"
      stacked
      :aria-selected="way.value === value"
      :active="way.value === value"
      @click="emit('choose', way.value)"
    >
      <span class="drawing"><PiecePortrait :target="way.target" :scale="way.scale" /></span>
      <span class="title">{{ way.title }}</span>
      <span class="why">{{ way.why }}</span>
    </VBtn>
    <slot />
  </div>
</template>

<style scoped>
.forms {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(176px, 46%), 1fr));
  gap: 10px;
}
.form {
  align-items: start;
  padding: 10px 8px;
  border-color: var(--line) !important;
  color: var(--ink) !important;
}
.form:deep(.v-btn__content) {
  flex-direction: column;
  gap: 2px;
}
.form.v-btn--active {
  border-color: var(--press) !important;
}
.drawing {
  display: grid;
  place-items: end center;
  height: 92px;
  margin-bottom: 6px;
}
.title {
  font-size: 17px;
}
.why {
  font-size: 15px;
  font-weight: 400;
  color: var(--ink-soft);
}
</style>
