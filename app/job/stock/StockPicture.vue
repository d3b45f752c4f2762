<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { mapPath, translation } from '../../../core/geometry/index.ts';
import { shapePath } from '../../../core/shape/index.ts';
import { spotCentres, type Stock } from '../../../core/stock/index.ts';

/** A sheet, small, with its labels when it is die-cut. */
const props = defineProps<{ stock: Stock }>();
const spots = computed(() => {
  const { spots: found } = props.stock;
  return found
    ? spotCentres(found).map(({ x, y }) =>
        pathData(mapPath(shapePath(found.shape), translation(x, y))),
      )
    : [];
});
</script>

<template>
  <svg :viewBox="`0 0 ${stock.width} ${stock.height}`" aria-hidden="true">
    <rect class="sheet" :width="stock.width" :height="stock.height" rx="3" :fill="stock.color" />
    <path v-for="(spot, index) in spots" :key="index" class="spot" :d="spot" />
  </svg>
</template>

<style scoped>
svg {
  width: 92px;
  height: 118px;
  overflow: visible;
}
.sheet {
  filter: drop-shadow(0 3px 6px #44203d33);
}
.spot {
  fill: #fbe3c8;
  stroke: #8c7d8d;
}
</style>
