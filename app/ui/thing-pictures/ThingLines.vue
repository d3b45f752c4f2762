<script setup lang="ts">
import { FRAME, type ThingLine } from './index.ts';

/** The lines and faces of a drawn thing; what lies on it goes into the slot. */
defineProps<{ lines: readonly ThingLine[] }>();
</script>

<template>
  <svg :viewBox="`0 0 ${FRAME.width} ${FRAME.height}`" aria-hidden="true">
    <path v-for="({ look, d }, at) in lines" :key="at" :class="look" :d="d" />
    <slot />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  overflow: visible;
}
.body {
  fill: #b8a9ae;
  stroke: var(--plum-deep);
  stroke-width: 1.6;
}
.top {
  fill: #efe7e2;
  stroke: #44203d;
  stroke-width: 1.6;
}
.inner {
  fill: #fbf7f2;
  stroke: #44203d77;
}
.behind {
  fill: none;
  stroke: #44203d55;
  stroke-width: 1.2;
}
.label {
  fill: #fbe3c8;
  fill-rule: nonzero;
  stroke: #0f7c86;
  stroke-width: 1.6;
  stroke-dasharray: 6 4;
}
.overlap {
  fill: #f2a65a;
  stroke: none;
}
.fold {
  fill: none;
  stroke: #7a4d22;
  stroke-width: 1.2;
  stroke-dasharray: 5 3 1 3;
}
.dimension {
  fill: none;
  stroke: var(--plum);
  stroke-width: 1.2;
}
.arrow {
  fill: var(--plum);
}
</style>
