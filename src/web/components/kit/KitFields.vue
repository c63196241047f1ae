<script setup lang="ts">
import { computed } from 'vue';
import type { Fault } from '../../../core/errors.ts';
import { KIT, type KitItem } from '../../../core/studio/kit/kit.ts';
import { useLengths } from '../../composables/useLengths.ts';
import LengthField from '../fields/LengthField.vue';
import TextField from '../fields/TextField.vue';
import { without } from '../../without.ts';
import PrinterCheckFields from './PrinterCheckFields.vue';

/** The figures of one thing of the kit. */
const props = defineProps<{
  item: KitItem;
  put: (item: KitItem, group: string) => readonly Fault[];
  done: () => void;
}>();
defineEmits<{ remove: [] }>();
const lengths = useLengths();

const kind = computed(() => KIT[props.item.kind]);
const settings = computed(() => (props.item.settings ?? []).map((one) => lengths.editable(one)).join(', '));

/** Settings are written one after another, with commas or blanks between them. */
function putSettings(text: string): readonly Fault[] {
  const parts = text.split(/[,;]\s*|\s{1,}(?=\d)/).filter(Boolean);
  const read = parts.map((part) => lengths.read(part));
  const wrong = read.find((one) => one.kind === 'unreadable');
  if (wrong?.kind === 'unreadable') return [{ code: 'wrong-type', path: 'settings', value: text, rule: wrong.rule }];
  return props.put(
    { ...props.item, settings: read.flatMap((one) => (one.kind === 'length' ? [one.mm] : [])) },
    'settings',
  );
}
</script>

<template>
  <section :aria-label="item.name">
    <h2>{{ kind.one }}</h2>
    <TextField
      label="Name"
      name="kit-name"
      :value="item.name"
      :most="120"
      :take="(name) => put({ ...item, name }, 'name')"
      :done="done"
    />
    <LengthField
      v-for="size in kind.sizes"
      :key="size.key"
      :label="size.label"
      :name="size.key"
      :mm="item.sizes[size.key] ?? 0"
      :take="(mm) => put({ ...item, sizes: { ...item.sizes, [size.key]: mm } }, size.key)"
      :done="done"
    />
    <TextField
      v-if="item.kind === 'roller'"
      label="Rolls to (settings)"
      name="settings"
      :value="settings"
      :most="300"
      :take="putSettings"
      :done="done"
    />
    <PrinterCheckFields v-if="item.kind === 'printer'" :item="item" :put="put" :done="done" />
    <TextField
      label="Note"
      name="kit-note"
      :value="item.note ?? ''"
      :most="400"
      :take="(note) => put(without({ ...item, note: note || undefined }), 'note')"
      :done="done"
    />
    <p v-if="item.kind === 'former'" class="hint">
      Do not heat plastic formers. Take the clay off before it shrinks tight.
    </p>
    <VBtn variant="text" class="away" @click="$emit('remove')">Take it out of the kit</VBtn>
  </section>
</template>

<style scoped>
.hint {
  color: var(--ink-soft);
  padding: 8px 0;
}
</style>
