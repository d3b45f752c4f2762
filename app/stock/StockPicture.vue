<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../core/drawing/index.ts';
import { spotPaths, type Stock } from '../../core/stock/index.ts';

/** A sheet with its labels when it is die-cut; those that are gone are left empty. */
const {
  used = [],
  color = '#ffffff',
  ...props
} = defineProps<{
  stock: Stock;
  used?: readonly number[] | undefined;
  color?: string | undefined;
}>();
const LARGEST = { width: 304.8, height: 420 }; // mm
/** Plain sheets are told apart by how large they are; of die-cut ones the labels have to be seen. */
const share = computed(() =>
  props.stock.spots
    ? 1
    : Math.max(props.stock.width / LARGEST.width, props.stock.height / LARGEST.height),
);
const spots = computed(() => (props.stock.spots ? spotPaths(props.stock.spots).map(pathData) : []));
</script>

<template>
  <svg
    :viewBox="`0 0 ${stock.width} ${stock.height}`"
    :style="{ '--share': share }"
    aria-hidden="true"
  >
    <rect
      class="sheet"
      :width="stock.width"
      :height="stock.height"
      :rx="stock.form === 'carrier' ? 8 : 3"
      :fill="color"
    />
    <path
      v-for="(spot, index) in spots"
      :key="index"
      class="spot"
      :class="{ gone: used.includes(index) }"
      :d="spot"
    />
  </svg>
</template>

<style scoped>
svg {
  width: calc(92px * var(--share));
  height: calc(118px * var(--share));
  overflow: visible;
}
.sheet {
  filter: drop-shadow(0 3px 6px #44203d33);
}
.spot {
  fill: #fbe3c8;
  stroke: #8c7d8d;
}
.gone {
  fill: none;
  stroke-dasharray: 3 3;
}
</style>
