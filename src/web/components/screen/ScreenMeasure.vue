<script setup lang="ts">
import { computed, ref } from 'vue';
import { SCREEN_LIMITS } from '../../composables/useScreenScale.ts';
import OneOf from '../fields/OneOf.vue';

/** The screen is measured once: a bank card or a ruler is held to it, and what is drawn is made as large. */
const props = defineProps<{ perMm: number }>();
const emit = defineEmits<{ keep: [perMm: number]; close: [] }>();
const now = ref(props.perMm);

/** ISO/IEC 7810 ID-1, which every bank card keeps to (mm). */
const CARD = { width: 85.6, height: 53.98, corner: 3.18 } as const;
const RULER = 100;
const STEP = 0.002;
const HELD = [
  { value: 'card', words: 'A bank card' },
  { value: 'ruler', words: 'A ruler' },
] as const;
const held = ref<'card' | 'ruler'>('card');
const size = computed(() => (held.value === 'card' ? CARD : { width: RULER, height: 20, corner: 0 }));
const nudge = (by: number) =>
  (now.value = Math.min(SCREEN_LIMITS.greatest, Math.max(SCREEN_LIMITS.least, now.value * (1 + by * STEP))));
</script>

<template>
  <VForm class="measure" @submit.prevent="emit('keep', now)">
    <h1>How large is this screen?</h1>
    <OneOf label="Hold to the screen" :value="held" :choices="HELD" @choose="(one) => (held = one)" />
    <p>
      {{
        held === 'card'
          ? 'Lay any bank card on the frame, and make the frame as large as the card.'
          : 'Hold a ruler to the bar, and make it 100 mm long.'
      }}
    </p>
    <div
      class="frame"
      :class="held"
      :style="{
        width: `${size.width * now}px`,
        height: `${size.height * now}px`,
        borderRadius: `${size.corner * now}px`,
      }"
    />
    <div class="turn">
      <VBtn aria-label="Smaller" @click="nudge(-1)">−</VBtn>
      <VSlider
        v-model="now"
        :min="SCREEN_LIMITS.least"
        :max="SCREEN_LIMITS.greatest / 2"
        :step="0.005"
        aria-label="Size of the frame"
      />
      <VBtn aria-label="Larger" @click="nudge(1)">+</VBtn>
    </div>
    <p class="buttons">
      <VBtn variant="flat" type="submit">It is as large</VBtn>
      <VBtn variant="text" @click="emit('close')">Cancel</VBtn>
    </p>
  </VForm>
</template>

<style scoped>
h1 {
  font-size: 24px;
}
.measure {
  padding: 18px;
  background: var(--panel);
  overflow: auto;
}
.frame {
  margin: 12px 0;
  border: 1px solid var(--ink);
  background: var(--press-soft);
}
.frame.ruler {
  border-width: 0 1px;
  background: repeating-linear-gradient(90deg, var(--ink) 0 1px, transparent 1px 10%);
}
.turn {
  display: flex;
  gap: 12px;
  align-items: center;
  max-width: 560px;
}
.buttons {
  display: flex;
  gap: 10px;
  padding-top: 12px;
}
</style>
