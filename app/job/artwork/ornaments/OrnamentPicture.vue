<script setup lang="ts">
import { computed } from 'vue';
import { ornamentOf, type OrnamentName } from '../../../../core/art/index.ts';
import DrawnNodes from '../../../ui/DrawnNodes.vue';
import { pageSources } from '../../../session/page-resources.ts';

/** An ornament as a small picture. */
const props = defineProps<{ name: OrnamentName; inks: readonly [string, string] }>();
const SIDE = 30; // mm
const nodes = computed(() => {
  const { ratio, count, draw } = ornamentOf(props.name);
  const width = Math.min(SIDE, SIDE * ratio);
  return draw({
    width,
    height: width / ratio,
    count: count?.usual ?? 1,
    weight: 0.5,
    inks: props.inks,
  });
});
</script>

<template>
  <svg viewBox="-16 -16 32 32" aria-hidden="true">
    <DrawnNodes :nodes="nodes" :sources="pageSources" :version="0" />
  </svg>
</template>
