<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue';
import { useSettings } from '../ui/settings-store.ts';

/** A small chart of one row of values. */
const props = defineProps<{
  title: string;
  kind: 'bar' | 'line';
  names: readonly string[];
  values: readonly number[];
  say: (value: number) => string;
}>();
// Charts are large and seldom looked at: they are loaded when the ledger is.
const ApexChart = defineAsyncComponent(() => import('vue3-apexcharts'));
const settings = useSettings();

const color = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();
const options = computed(() => {
  const dark = settings.theme === 'dark';
  const ink = color('--ink-2');
  return {
    chart: {
      toolbar: { show: false },
      zoom: { enabled: false },
      animations: { enabled: false },
      fontFamily: 'Figtree Variable, sans-serif',
      background: 'transparent',
    },
    theme: { mode: dark ? 'dark' : 'light' },
    colors: [color('--plum'), color('--apricot')],
    plotOptions: { bar: { horizontal: true, borderRadius: 4, barHeight: '55%' } },
    stroke: { width: props.kind === 'line' ? 2.5 : 0, curve: 'straight' },
    markers: { size: props.kind === 'line' ? 4 : 0 },
    dataLabels: { enabled: false },
    grid: { borderColor: color('--line') },
    xaxis: {
      categories: [...props.names],
      labels: {
        style: { colors: ink },
        ...(props.kind === 'bar' ? { formatter: (value: string) => props.say(Number(value)) } : {}),
      },
      tickAmount: props.kind === 'bar' ? 3 : undefined,
    },
    yaxis: {
      min: 0,
      labels: {
        style: { colors: ink },
        maxWidth: 170,
        ...(props.kind === 'line' ? { formatter: props.say } : {}),
      },
    },
    tooltip: { theme: dark ? 'dark' : 'light', y: { formatter: props.say } },
  };
});
const series = computed(() => [{ name: props.title, data: [...props.values] }]);
</script>

<template>
  <figure>
    <figcaption>{{ title }}</figcaption>
    <ApexChart
      :key="settings.theme"
      height="190"
      :type="kind"
      :options="options"
      :series="series"
    />
  </figure>
</template>

<style scoped>
figure {
  min-width: 0;
  margin: 0;
  border-radius: var(--r-card);
  padding: 14px 16px 4px;
  background: var(--card);
  box-shadow: var(--shadow);
}
figcaption {
  font-weight: 600;
}
</style>
