<script setup lang="ts">
import { computed } from 'vue';
import type { RunReport } from '../../../core/run/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';

/** What came of the run on one sheet: how well the marks were found, and each copy. */
const props = defineProps<{ report: RunReport; sheet: number }>();
const done = computed(() => props.report.sheets[props.sheet]);
const worst = computed(() =>
  Math.max(0, ...(done.value?.copies.map(({ deviation }) => deviation) ?? [])),
);
const least = computed(() =>
  Math.min(...(done.value?.copies.map(({ bleedLeft }) => bleedLeft) ?? [0])),
);
const slivers = computed(
  () => done.value?.copies.filter(({ bleedLeft }) => bleedLeft < 0).length ?? 0,
);
const found = computed(() => done.value?.registration.found.filter(Boolean).length ?? 0);
const title = computed(() =>
  done.value?.stopped
    ? 'Not cut'
    : slivers.value
      ? `${slivers.value} labels show paper`
      : 'All labels are good',
);
const tone = computed(() => (done.value?.stopped ? 'brick' : slivers.value ? 'amber' : 'leaf'));
</script>

<template>
  <CardPanel v-if="done" :title="title" :tone="tone" data-report>
    <p v-if="done.stopped">{{ done.stopped }}</p>
    <template v-else>
      <FactRow label="Labels"
        ><strong>{{ done.copies.length }}</strong></FactRow
      >
      <FactRow label="Cut off the print by"
        ><strong data-worst>{{ worst.toFixed(2) }} mm</strong></FactRow
      >
      <FactRow label="Least bleed left"
        ><strong data-least>{{ least.toFixed(2) }} mm</strong></FactRow
      >
      <FactRow v-if="done.registration.found.length" label="Marks found"
        ><strong>{{ found }} of {{ done.registration.found.length }}</strong></FactRow
      >
      <FactRow v-if="done.registration.found.length" label="Marks fit to"
        ><strong>{{ done.registration.residual.toFixed(3) }} mm</strong></FactRow
      >
    </template>
  </CardPanel>
  <CardPanel v-if="done && !done.stopped" title="Each copy" aside="off by · bleed left">
    <ul>
      <li v-for="copy in done.copies" :key="copy.copy">
        <span>{{ copy.copy }}</span><span :class="{ thin: copy.bleedLeft < 0.3 }"
          >{{ copy.deviation.toFixed(2) }} · {{ copy.bleedLeft.toFixed(2) }} mm</span
        >
      </li>
    </ul>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 0;
}
ul {
  max-height: 190px;
  margin: 0;
  padding: 0;
  overflow: auto;
  list-style: none;
}
li {
  display: flex;
  justify-content: space-between;
  padding: 2px 0;
}
.thin {
  color: var(--brick-text);
}
</style>
