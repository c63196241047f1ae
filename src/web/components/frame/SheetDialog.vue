<script setup lang="ts">
import { computed, ref, useAttrs, watch } from 'vue';
import { useDisplay } from 'vuetify';

/**
 * A small sheet over the screen, at its lower edge on a phone. When it is closed, the keyboard is where it was before.
 * Made when it is first opened: one that stays closed costs nothing while its place is worked in.
 */
defineOptions({ inheritAttrs: false });
const open = defineModel<boolean>({ required: true });
const attrs = useAttrs();
const { smAndDown } = useDisplay();
/** What has a place of its own, such as a search field over the keyboard, stays there. */
const low = computed(() => smAndDown.value && attrs['location'] === undefined);
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
  <VBottomSheet v-if="made && low" v-model="open" v-bind="$attrs" @after-leave="giveBack"><slot /></VBottomSheet>
  <VDialog v-else-if="made" v-model="open" v-bind="$attrs" @after-leave="giveBack"><slot /></VDialog>
</template>
