<script setup lang="ts">
import { computed } from 'vue';
import type { Box } from '../../core/geometry/index.ts';

/** A grid over the paper, from its middle outwards. */
const props = defineProps<{ frame: Box; step: number }>();
const lines = computed(() => {
  const { left, top, right, bottom } = props.frame;
  const steps = (from: number, to: number): number[] => {
    const first = Math.ceil(from / props.step);
    const count = Math.floor(to / props.step) - first + 1;
    return Array.from({ length: Math.max(0, count) }, (_, at) => (first + at) * props.step);
  };
  const upright = steps(left, right).map((x) => `M${x} ${top}V${bottom}`);
  return [...upright, ...steps(top, bottom).map((y) => `M${left} ${y}H${right}`)].join('');
});
</script>

<template>
  <path class="grid" :d="lines" />
</template>

<style scoped>
.grid {
  fill: none;
  stroke: #5d2a5326;
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
</style>
