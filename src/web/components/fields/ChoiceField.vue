<script setup lang="ts" generic="T extends string">
import { computed, ref, useId } from 'vue';
import type { Choice } from './choice.ts';
import { ChoiceList } from '../../laterFrame.ts';
import SheetDialog from '../frame/SheetDialog.vue';

/** One choice out of several. Opens a small sheet where each says what it is for and why potters differ. */
const props = defineProps<{ label: string; value: T; choices: readonly Choice<T>[]; name: string }>();
const emit = defineEmits<{ choose: [value: T] }>();

const id = useId();
const open = ref(false);
const chosen = computed(() => props.choices.find((choice) => choice.value === props.value));

function choose(value: T): void {
  open.value = false;
  emit('choose', value);
}
</script>

<template>
  <div class="choice">
    <span :id="id" class="label">{{ label }}</span>
    <VBtn
      variant="text"
      class="value"
      :name="name"
      :aria-labelledby="`${id} ${id}-value`"
      aria-haspopup="dialog"
      @click="open = true"
    >
      <span :id="`${id}-value`">{{ chosen?.title }}</span>
    </VBtn>
    <SheetDialog v-model="open" :aria-label="label" v-bind="$slots['ways'] ? { maxWidth: 820 } : {}" scrollable>
      <section class="sheet-card">
        <h2>{{ label }}</h2>
        <slot v-if="$slots['ways']" name="ways" :choose="choose" />
        <ChoiceList v-else :label="label" :value="value" :choices="choices" @choose="(way: T) => choose(way)">
          <template v-if="$slots['drawing']" #drawing="{ choice }"><slot name="drawing" :choice="choice" /></template>
        </ChoiceList>
      </section>
    </SheetDialog>
  </div>
</template>

<style scoped>
.choice {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  min-height: 48px;
  border-bottom: 1.5px dotted var(--line);
  column-gap: 10px;
}
.label {
  color: var(--ink-soft);
}
.value {
  max-width: 11.5em;
  justify-content: flex-end;
  color: var(--ink) !important;
  font-size: 18px;
  font-weight: 700;
  text-align: right;
}
.value span {
  text-decoration: underline dotted var(--line) 2px;
  text-underline-offset: 4px;
}
</style>
