<script setup lang="ts">
import { pathData, plain } from '../../../core/files/format/pathData.ts';
import type { Primitive } from '../../../core/studio/printer/drawing.ts';

/** Things on a drawing in mm, in an SVG whose y runs down from `height`. Its own look is the page's. */
const props = defineProps<{ items: readonly Primitive[]; height: number }>();
</script>

<template>
  <template v-for="(item, at) in items" :key="at">
    <path
      v-if="item.kind === 'path'"
      :class="[item.layer, item.dash, item.fill]"
      :d="
        pathData(item.outline, {
          scale: 1,
          origin: [0, props.height],
          write: plain,
          ends: item.open ? 'open' : 'closed',
        })
      "
    />
    <line
      v-else-if="item.kind === 'line'"
      :class="[item.layer, item.dash]"
      :x1="item.from[0]"
      :y1="height - item.from[1]"
      :x2="item.to[0]"
      :y2="height - item.to[1]"
    />
    <text
      v-else
      :class="item.weight"
      :x="item.at[0]"
      :y="height - item.at[1]"
      :font-size="item.size"
      :text-anchor="item.anchor"
    >
      {{ item.text }}
    </text>
  </template>
</template>
