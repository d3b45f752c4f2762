<script setup lang="ts">
import { computed } from 'vue';
import { seenMatrix, type WaySeen } from '../../core/color/index.ts';

/** A filter through which what names it is seen in a way; put once beside it. */
const props = defineProps<{ id: string; way: WaySeen; paper: string }>();
const values = computed(() =>
  [
    ...seenMatrix(props.way, props.paper).map(([r, g, b, added]) => [r, g, b, 0, added]),
    [0, 0, 0, 1, 0],
  ]
    .map((row) => row.map((value) => value.toFixed(5)).join(' '))
    .join(' '),
);
</script>

<template>
  <svg class="unseen" width="0" height="0" aria-hidden="true">
    <filter :id="id" color-interpolation-filters="linearRGB">
      <feColorMatrix type="matrix" :values="values" />
    </filter>
  </svg>
</template>

<style scoped>
.unseen {
  position: absolute;
}
</style>
