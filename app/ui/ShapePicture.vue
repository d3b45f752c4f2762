<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../core/drawing/index.ts';
import { plainShape, shapePath, type BoxedKind } from '../../core/shape/index.ts';

/** A kind of shape as a small picture. */
const props = defineProps<{ kind: BoxedKind }>();
const WIDE: readonly BoxedKind[] = ['ellipse', 'rectangle', 'ticket', 'banner'];
const data = computed(() => {
  const height = WIDE.includes(props.kind) ? 19 : 27;
  return pathData(shapePath(plainShape(props.kind, 27, height, 2)));
});
</script>

<template>
  <svg viewBox="-15 -15 30 30" aria-hidden="true"><path :d="data" /></svg>
</template>

<style scoped>
svg {
  width: 26px;
  height: 26px;
}
path {
  fill: var(--apricot-soft);
  stroke: var(--plum);
  stroke-width: 1.3px;
}
</style>
