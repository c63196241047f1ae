<script setup lang="ts">
import { ref, useId } from 'vue';
import type { Fault } from '../../../core/errors.ts';

/** Words that are kept as they are typed. */
const props = defineProps<{
  label: string;
  name: string;
  value: string;
  most: number;
  take: (text: string) => readonly Fault[];
  done: () => void;
}>();

const id = useId();
const typed = ref<string | null>(null);
const problem = ref('');

function put(text: string): void {
  typed.value = text;
  problem.value = props.take(text.trim())[0]?.rule ?? '';
}

let before = '';
/** What is kept is the whole entry or what was there before. */
function leave(): void {
  if (problem.value) props.take(before);
  typed.value = null;
  problem.value = '';
  props.done();
}
</script>

<template>
  <div class="field" :class="{ wrong: problem }">
    <label :for="id">{{ label }}</label>
    <input
      :id="id"
      class="words"
      type="text"
      autocomplete="off"
      :name="name"
      :maxlength="most"
      :value="typed ?? value"
      :aria-invalid="problem ? 'true' : undefined"
      @input="put(($event.target as HTMLInputElement).value)"
      @focus="before = value"
      @blur="leave"
    />
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style src="./field.css"></style>
<style scoped>
.field {
  grid-template-columns: minmax(0, 1fr);
  padding: 6px 0 2px;
}
.field > .words {
  width: 100%;
  padding: 4px 0;
  text-align: left;
  font-weight: 600;
  font-size: 17px;
  cursor: text;
}
</style>
