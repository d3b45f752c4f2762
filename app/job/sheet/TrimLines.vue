<script setup lang="ts">
import type { TrimCut } from '../../../core/sheet/index.ts';

/** The cuts of a trimmer on the sheet, numbered in their order. */
defineProps<{ cuts: readonly TrimCut[]; shown: number | undefined; px: number }>();

const ends = ({ axis, at, from, to }: TrimCut) =>
  axis === 'upright' ? { x1: at, y1: from, x2: at, y2: to } : { x1: from, y1: at, x2: to, y2: at };

/** Numbers of cuts that lie close to each other stand one behind the other. */
const away = ({ axis }: TrimCut, at: number): string => {
  const by = (at % 2) * 19;
  return axis === 'upright' ? `0 ${by}` : `${by} 0`;
};
</script>

<template>
  <g v-for="(cut, at) in cuts" :key="at" :class="{ shown: at === shown }">
    <line v-bind="ends(cut)" />
    <g
      :transform="`translate(${ends(cut).x1} ${ends(cut).y1}) scale(${px}) translate(${away(cut, at)})`"
      class="number"
    >
      <circle r="8.5" />
      <text>{{ at + 1 }}</text>
    </g>
  </g>
</template>

<style scoped>
line {
  stroke: var(--brick);
  stroke-width: 1.2px;
  vector-effect: non-scaling-stroke;
}
.shown line {
  stroke-width: 3px;
}
circle {
  fill: #fffdf9;
  stroke: var(--brick);
}
.shown circle {
  fill: var(--apricot);
}
text {
  fill: #44203d;
  font-size: 10px;
  dominant-baseline: central;
  text-anchor: middle;
}
</style>
