<script setup lang="ts">
import { ref, watch } from 'vue';
import { useSettings } from '../../stores/settings.ts';
import { activeShortcuts, type Shortcut } from '../../composables/useShortcuts.ts';
import SheetDialog from './SheetDialog.vue';

/** The shortcuts that work in this place. */
const open = defineModel<boolean>({ required: true });
const settings = useSettings();
const shortcuts = ref<readonly Shortcut[]>([]);
watch(
  open,
  (now) => {
    if (now) shortcuts.value = activeShortcuts();
  },
  { immediate: true },
);
const shown = (keys: string) =>
  keys
    .replace(/ctrl\+/g, 'Ctrl ')
    .replace(/shift\+/g, 'Shift ')
    .replace(/\b[a-z]\b/g, (key) => key.toUpperCase());
</script>

<template>
  <SheetDialog v-model="open" aria-label="Shortcuts" scrollable>
    <section class="sheet-card" aria-labelledby="keys-title">
      <h2 id="keys-title">Shortcuts here</h2>
      <dl>
        <template v-for="shortcut in shortcuts" :key="shortcut.keys">
          <dt>
            <VKbd>{{ shown(shortcut.keys) }}</VKbd>
          </dt>
          <dd>{{ shortcut.words }}</dd>
        </template>
      </dl>
      <p>
        In a field: Enter takes the figure, Escape gives it back. On a handle: arrow keys, with Shift or Page ten at a
        time.
      </p>
      <VSwitch v-model="settings.letters" label="Single letters are shortcuts" name="letters" />
      <VSwitch
        v-model="settings.enter"
        true-value="next"
        false-value="stays"
        label="Enter goes to the next field"
        name="enter"
      />
      <VBtn class="close" @click="open = false">Close</VBtn>
    </section>
  </SheetDialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px 20px;
}
.v-kbd {
  padding: 2px 10px;
  border: 1px solid var(--line);
  border-radius: 6px;
  font: inherit;
  font-weight: 600;
  background: var(--ground);
}
p,
.close {
  margin: 16px 0;
  color: var(--ink-soft);
}
</style>
