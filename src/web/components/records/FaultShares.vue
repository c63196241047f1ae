<script setup lang="ts">
import { computed, ref } from 'vue';
import type { MadePiece } from '../../../core/studio/learning/madePiece.ts';
import { BY, faultsBy, type By } from '../../../core/studio/learning/patterns.ts';

/** Faults by what pieces have in common: how many of how many, and between which shares the true one lies. */
const props = defineProps<{ pieces: readonly MadePiece[] }>();
const by = ref<By>('window');
const fault = ref<string | null>(null);

const NAMES: Readonly<Record<By, string>> = {
  window: 'Window',
  thickness: 'Thickness',
  seam: 'Seam',
  base: 'Base',
  drying: 'Drying time',
};
const kinds = computed(() => [
  { value: null, title: 'any fault' },
  ...[...new Set(props.pieces.flatMap(({ faults }) => faults))].sort().map((value) => ({ value, title: value })),
]);
const rows = computed(() => faultsBy(props.pieces, by.value, fault.value));
const whole = (share: number) => Math.round(100 * share);
</script>

<template>
  <section class="faults" aria-labelledby="faults-heading">
    <h2 id="faults-heading">Faults</h2>
    <div class="ways">
      <VSelect v-model="fault" label="Which" :items="kinds" />
      <VBtnToggle v-model="by" mandatory aria-label="Counted by">
        <VBtn v-for="one in BY" :key="one" :value="one">{{ NAMES[one] }}</VBtn>
      </VBtnToggle>
    </div>
    <ul v-if="rows.length">
      <li v-for="{ value, share } in rows" :key="value">
        <span class="value">{{ value }}</span>
        <strong>{{ share.count }} of {{ share.of }}</strong>
        <span class="scale" aria-hidden="true">
          <span class="between" :style="{ left: `${100 * share.low}%`, right: `${100 - 100 * share.high}%` }" />
          <span class="at" :style="{ left: `${(100 * share.count) / share.of}%` }" />
        </span>
        <span class="soft">{{ whole(share.low) }} to {{ whole(share.high) }} %</span>
      </li>
    </ul>
    <p v-else class="soft">Nothing is known of this yet.</p>
  </section>
</template>

<style scoped>
.faults {
  display: grid;
  gap: 10px;
  margin-top: 26px;
}
h2 {
  font-size: 19px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
.ways > .v-input {
  flex: 1 1 180px;
  max-width: 260px;
}
.v-btn-group {
  flex-wrap: wrap;
  height: auto;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(110px, 1.2fr) 70px minmax(60px, 2fr) 92px;
  gap: 12px;
  align-items: center;
  min-height: 44px;
  border-bottom: 1px dotted var(--line);
}
.scale {
  position: relative;
  height: 12px;
  background: var(--panel);
  border-radius: 6px;
}
.between {
  position: absolute;
  top: 2px;
  bottom: 2px;
  background: var(--press);
  opacity: 0.35;
  border-radius: 4px;
}
.at {
  position: absolute;
  top: -2px;
  bottom: -2px;
  width: 3px;
  margin-left: -1px;
  background: var(--ink);
}
.soft {
  color: var(--ink-soft);
  text-align: right;
}
</style>
