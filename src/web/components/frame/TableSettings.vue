<script setup lang="ts">
import { mdiThemeLightDark } from '@mdi/js';
import { storeToRefs } from 'pinia';
import { computed } from 'vue';
import { LENGTH_UNITS } from '../../../core/units/lengthUnit.ts';
import { useSettings } from '../../stores/settings.ts';

/** Units and light in which everything is shown. */
const settings = useSettings();
const { unit, marks, volumes, light } = storeToRefs(settings);
const otherLight = computed(() => (light.value === 'day' ? 'Evening' : 'Day'));
</script>

<template>
  <div class="settings">
    <VBtnToggle v-model="unit" class="units" role="radiogroup" aria-label="Units">
      <VBtn v-for="one in LENGTH_UNITS" :key="one" :value="one" role="radio" :aria-checked="one === unit">{{
        one
      }}</VBtn>
    </VBtnToggle>
    <template v-if="unit === 'inch'">
      <VBtn variant="text" :aria-label="`Inches to 1/${marks}, change`" @click="marks = marks === 16 ? 32 : 16">
        to 1/{{ marks }}
      </VBtn>
      <VBtn
        variant="text"
        :aria-label="`Fluid ounces: ${volumes === 'us' ? 'United States' : 'imperial'}, change`"
        @click="volumes = volumes === 'us' ? 'imperial' : 'us'"
      >
        {{ volumes === 'us' ? 'US oz' : 'imp. oz' }}
      </VBtn>
    </template>
    <VBtn
      v-tooltip="`${otherLight} light`"
      variant="text"
      :icon="mdiThemeLightDark"
      :aria-label="`${otherLight} light`"
      @click="settings.turnLight"
    />
  </div>
</template>

<style scoped>
.settings {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
}
.settings .v-btn {
  color: inherit;
}
.units.v-btn-toggle {
  color: inherit;
  flex-wrap: nowrap;
  border: 1px solid currentColor;
  border-radius: 10px;
  overflow: hidden;
}
.units .v-btn.v-btn {
  border: 0;
  border-radius: 0;
}
.units .v-btn.v-btn--active {
  background: #f8ecd8;
  color: #2b1f1a;
  font-weight: 700;
}
</style>
