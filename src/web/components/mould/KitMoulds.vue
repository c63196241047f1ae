<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { KIT, type KitItem } from '../../../core/studio/kit/kit.ts';
import { kitMould, mouldFromKit, sameMould } from '../../../core/studio/kit/kitMould.ts';
import { usePiece } from '../../stores/piece.ts';
import { useKit } from '../../stores/records.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import { useLengths } from '../../composables/useLengths.ts';

/** Moulds of the kit: chosen for the piece, or this one kept among them. */
const piece = usePiece();
const kit = useKit();
const lengths = useLengths();
const trouble = ref('');
onMounted(() => {
  if (kit.state !== 'ready') void kit.load();
});

const form = computed(() => (piece.beside.target.form.kind === 'mould' ? piece.beside.target.form : null));
const moulds = computed(() => kit.list.filter(({ body }) => body.kind === 'mould'));
const words = ({ sizes: { length = 0, width = 0, depth = 0 }, mould }: KitItem) =>
  `${lengths.figure(length)} × ${lengths.length(width)}, ${lengths.length(depth)} deep${mould ? '' : ', its wall not drawn yet'}`;
const choices = computed(() => [
  { value: '', title: 'not from the kit', why: 'As it is drawn here.' },
  ...moulds.value.map(({ id, body }) => ({ value: id, title: body.name, why: words(body) })),
]);
const chosen = computed(() => moulds.value.find(({ body }) => form.value && sameMould(body, form.value))?.id ?? '');

function choose(id: string): void {
  const found = moulds.value.find((one) => one.id === id);
  const { target } = piece;
  if (!found || target.form.kind !== 'mould') return;
  const faults = piece.change({ ...target, form: mouldFromKit(found.body, target.form) });
  trouble.value = faults[0] ? `${found.body.name}: ${faults[0].rule}.` : '';
}
async function keep(): Promise<void> {
  if (form.value) await kit.create(kitMould(`${KIT.mould.one} of ${piece.target.name}`.slice(0, 120), form.value));
}
</script>

<template>
  <div v-if="form">
    <ChoiceField
      v-if="moulds.length > 0"
      label="Mould of the kit"
      name="kit-mould"
      :value="chosen"
      :choices="choices"
      @choose="choose"
    />
    <VBtn v-if="chosen === ''" class="keep" @click="keep">Keep this mould in the kit</VBtn>
    <VAlert v-if="trouble" type="error">{{ lengths.words(trouble) }}</VAlert>
  </div>
</template>

<style scoped>
.keep {
  margin: 8px 0;
  padding: 4px 12px;
}
</style>
