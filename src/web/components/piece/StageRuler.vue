<script setup lang="ts">
import { STAGES, type Stage } from '../../router.ts';

/** The ruler along the table that carries the stages of one piece. */
defineProps<{ id: string; stage: Stage }>();
const NAMES: Readonly<Record<Stage, string>> = { shape: 'Shape', flat: 'Flat', slab: 'Slab', cut: 'Cut' };
</script>

<template>
  <nav class="ruler" aria-label="Stages of this piece">
    <RouterLink
      v-for="one in STAGES"
      :key="one"
      :to="{ name: 'piece', params: { id, stage: one } }"
      :class="{ here: one === stage }"
      :aria-current="one === stage ? 'page' : undefined"
      replace
      >{{ NAMES[one] }}</RouterLink
    >
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
  justify-content: space-around;
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
a {
  position: relative;
  min-width: 116px;
  padding: 12px 20px 4px;
  min-height: 46px;
  text-align: center;
  font-family: 'Bitter', serif;
  font-weight: 600;
  font-size: 18px;
  color: #2b1f1a;
  text-decoration: none;
}
.v-theme--evening a {
  color: #fff5e4;
}
.v-theme--evening a.here {
  color: var(--press-ink);
}
a.here {
  background: var(--press);
  color: var(--press-ink);
}
a.here::after {
  content: '';
  position: absolute;
  left: calc(50% - 9px);
  bottom: 0;
  border: 9px solid transparent;
  border-top: 0;
  border-bottom: 7px solid var(--ground);
}
@media (max-width: 700px) {
  a {
    flex: 1;
    min-width: 0;
    padding: 12px 4px 4px;
  }
}
</style>
