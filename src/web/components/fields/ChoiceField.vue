<script setup lang="ts" generic="T extends string">
import { computed, ref, useId } from 'vue';
import type { Choice } from './choice.ts';
import SheetDialog from '../frame/SheetDialog.vue';

/** One way out of several. Opens a small sheet where each way says what it is for and why potters differ. */
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
  <div class="field">
    <span :id="id" class="label">{{ label }}</span>
    <button
      type="button"
      class="value choice"
      :name="name"
      :aria-labelledby="`${id} ${id}-value`"
      aria-haspopup="dialog"
      @click="open = true"
    >
      <span :id="`${id}-value`">{{ chosen?.title }}</span>
    </button>
    <SheetDialog v-model="open">
      <section class="sheet-card" role="group" :aria-label="label">
        <h2>{{ label }}</h2>
        <ul class="ways">
          <li v-for="choice in choices" :key="choice.value">
            <button
              type="button"
              class="way"
              :class="{ chosen: choice.value === value }"
              :aria-pressed="choice.value === value"
              @click="choose(choice.value)"
            >
              <slot name="drawing" :choice="choice" />
              <span class="words">
                <strong>{{ choice.title }}</strong>
                <span>{{ choice.why }}</span>
              </span>
            </button>
          </li>
        </ul>
      </section>
    </SheetDialog>
  </div>
</template>

<style src="./field.css"></style>
<style scoped>
.choice {
  width: auto;
  max-width: 11.5em;
  text-align: right;
}
.choice span {
  text-decoration: underline dotted var(--line) 2px;
  text-underline-offset: 4px;
}
.ways {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 8px;
}
.way {
  display: flex;
  gap: 16px;
  align-items: center;
  width: 100%;
  min-height: 56px;
  padding: 10px 14px;
  text-align: left;
  border: 1.5px solid var(--line);
  border-radius: 10px;
  cursor: pointer;
}
.way.chosen {
  border-color: var(--press);
  background: var(--press-soft);
}
.words {
  display: grid;
}
.words strong {
  font-size: 17px;
}
</style>
