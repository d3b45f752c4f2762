<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { spotPaths, type Stock } from '../../../core/stock/index.ts';
import { useJobStore } from '../../session/job-store.ts';

/** Labels of a started sheet that are gone already. */
const props = defineProps<{ stock: Stock }>();
const store = useJobStore();
const gone = computed(() => {
  const { spots } = props.stock;
  const used = new Set(store.job?.plan.usedLabels);
  return spots && used.size ? spotPaths(spots).filter((_, at) => used.has(at)) : [];
});
</script>

<template>
  <path v-for="(spot, at) in gone" :key="at" class="gone" :d="pathData(spot)" />
</template>

<style scoped>
.gone {
  fill: #8c7d8d22;
  stroke: #8c7d8d;
  stroke-width: 0.3px;
  stroke-dasharray: 1.5 1.5;
}
</style>
