<script setup lang="ts">
import { ref, watch } from 'vue';

/**
 * A small sheet over the screen; when it is closed the keyboard is again where it was. Made when it is first opened: one
 * that stays closed costs nothing while its place is worked in.
 */
defineOptions({ inheritAttrs: false });
const open = defineModel<boolean>({ required: true });
const made = ref(open.value);
let before = open.value ? document.activeElement : null;

watch(
  open,
  (now) => {
    if (!now) return;
    made.value = true;
    before = document.activeElement;
  },
  { flush: 'sync' },
);

function giveBack(): void {
  const lost = document.activeElement === null || document.activeElement === document.body;
  if (lost && before instanceof HTMLElement && before.isConnected) before.focus({ preventScroll: true });
  before = null;
}
</script>

<template>
  <VDialog v-if="made" v-model="open" v-bind="$attrs" @after-leave="giveBack"><slot /></VDialog>
</template>
