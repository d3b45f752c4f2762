<script setup lang="ts">
import { computed } from 'vue';
import type { CompiledSheet } from '../../../core/sheet/index.ts';
import { rectOf } from '../../ui/rect-of.ts';

/** What a sheet keeps clear, and how far a printer reaches on it. */
const props = defineProps<{ sheet: CompiledSheet }>();
const printable = computed(() => {
  const { width, height, margins } = props.sheet.stock;
  const [top, right, bottom, left] = margins;
  return rectOf({ left, top, right: width - right, bottom: height - bottom });
});
</script>

<template>
  <rect class="printable" v-bind="printable" />
  <rect v-for="(zone, at) in sheet.zones" :key="at" class="zone" v-bind="rectOf(zone)" rx="5" />
</template>

<style scoped>
.printable {
  fill: none;
  stroke: #8c7d8d;
  stroke-width: 1px;
  stroke-dasharray: 4 4;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.zone {
  fill: #f2a65a;
  fill-opacity: 0.26;
}
</style>
