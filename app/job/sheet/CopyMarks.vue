<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { shapePath } from '../../../core/shape/index.ts';
import type { SheetCopy } from '../../../core/sheet/index.ts';

/**
 * Marks the chosen copy, or the empty place of one that is being moved. Drawn above the copies, which
 * need not be painted again for it.
 */
const props = defineProps<{ copy: SheetCopy; away: boolean; paper: string }>();
const transform = computed(() => {
  const { x, y, angle } = props.copy.placement;
  return `translate(${x} ${y}) rotate(${angle})`;
});
const cover = computed(() =>
  pathData(shapePath(props.copy.piece.piece.edge, props.copy.bleed + 0.1)),
);
</script>

<template>
  <g :transform="transform">
    <path v-if="away" :d="cover" :fill="paper" />
    <path class="outline" :class="{ away }" :d="pathData(copy.piece.trim)" />
  </g>
</template>

<style scoped>
.outline {
  fill: none;
  stroke: #5d2a53;
  stroke-width: 2.5px;
  vector-effect: non-scaling-stroke;
}
.away {
  stroke-width: 1px;
  stroke-dasharray: 3 3;
}
</style>
