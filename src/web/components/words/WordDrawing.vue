<script setup lang="ts">
import type { ExplainedWord } from './readGlossary.ts';

/** What a word means, drawn: a slab from its side, and what is meant in blue. */
defineProps<{ word: ExplainedWord }>();
</script>

<template>
  <svg width="220" height="96" aria-hidden="true">
    <template v-if="word === 'neutral fraction'">
      <path class="clay" d="M20 84A90 90 0 0 1 200 84L172 84A62 62 0 0 0 48 84Z" />
      <path class="meant" d="M34 84A76 76 0 0 1 186 84" />
      <text x="110" y="92">inside</text>
      <text x="110" y="30" class="on">keeps its length</text>
    </template>
    <template v-else-if="word === 'lean'">
      <path class="clay" d="M14 30H80L96 66H14Z" />
      <path class="clay" d="M126 30H206L190 66H126Z" />
      <path class="meant" d="M80 22L100 74M206 22L186 74" />
      <text x="54" y="88">spread</text>
      <text x="164" y="88">tuck</text>
    </template>
    <template v-else-if="word === 'bevel run'">
      <path class="clay" d="M14 26H170L206 62H14Z" />
      <path class="meant" d="M170 76H206M170 70v12M206 70v12" />
      <path class="aid" d="M170 26V70" />
      <text x="120" y="90">slant runs</text>
    </template>
    <template v-else>
      <path class="clay" d="M30 84L58 20L80 30L52 94Z" />
      <path class="clay" d="M136 84L161 24H186L158 94Z" />
      <path class="meant" d="M52 17L86 33M152 24H196" />
      <text x="46" y="12">square</text>
      <text x="174" y="14">level</text>
    </template>
  </svg>
</template>

<style scoped>
.clay {
  fill: var(--slab);
  stroke: var(--slab-edge);
  stroke-width: 1.5;
}
.meant {
  fill: none;
  stroke: var(--press);
  stroke-width: 3;
}
.aid {
  stroke: var(--ink-soft);
  stroke-dasharray: 3 3;
}
text {
  fill: var(--ink);
  font-size: 14px;
  text-anchor: middle;
}
</style>
