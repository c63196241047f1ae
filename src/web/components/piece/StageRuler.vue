<script setup lang="ts">
import { STAGES, type Stage } from '../../router.ts';

/** The ruler along the table that carries the stages of one piece. */
defineProps<{ id: string; stage: Stage }>();
const NAMES: Readonly<Record<Stage, string>> = { shape: 'Shape', flat: 'Flat', slab: 'Slab', cut: 'Cut', make: 'Make' };
</script>

<template>
  <nav class="ruler" aria-label="Stages of this piece">
    <VBtn
      v-for="one in STAGES"
      :key="one"
      class="stage"
      variant="text"
      :to="{ name: 'piece', params: { id, stage: one } }"
      :active="one === stage"
      :aria-current="one === stage ? 'page' : undefined"
      replace
    >
      {{ NAMES[one] }}
    </VBtn>
  </nav>
</template>

<style scoped>
@media print {
  .ruler {
    display: none;
  }
}
.ruler {
  display: flex;
  background-color: var(--wood);
  background-image:
    repeating-linear-gradient(90deg, var(--wood-deep) 0 1.5px, transparent 1.5px 100px),
    repeating-linear-gradient(90deg, var(--wood-deep) 0 1px, transparent 1px 10px);
  background-size:
    100% 13px,
    100% 6px;
  background-repeat: no-repeat;
  border-bottom: 2px solid var(--wood-deep);
}
.ruler .stage {
  flex: 1;
  min-width: 0;
  min-height: 46px;
  padding: 12px 4px 4px;
  border-radius: 0;
  font-family: 'Bitter', serif;
  font-size: 18px;
  color: #2b1f1a;
}
.v-theme--evening .ruler .stage {
  flex: 1;
  color: #fff5e4;
}
.ruler .stage.v-btn--active {
  background: var(--press);
  color: var(--press-ink);
}
.ruler .stage.v-btn--active::before {
  opacity: 1;
  inset: auto;
  content: '';
  position: absolute;
  left: calc(50% - 9px);
  bottom: 0;
  border: 9px solid transparent;
  border-top: 0;
  border-bottom: 7px solid var(--ground);
}
.ruler .stage :deep(.v-btn__overlay) {
  opacity: 0;
}
</style>
