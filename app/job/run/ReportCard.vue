<script setup lang="ts">
import { computed } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import type { RunReport } from '../../../core/run/index.ts';
import { problemLine } from '../../../messages/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import { texts } from '../../texts/index.ts';
import MeasurePrinter from './MeasurePrinter.vue';
import { copyTitle } from '../common/one-off-facts.ts';

/** What came of the run on one sheet: how well the marks were found, and each copy. */
const props = defineProps<{
  job: Job;
  report: RunReport;
  sheet: number;
}>();
const done = computed(() => props.report.sheets[props.sheet]);
/** Labels of a bought sheet are cut already: what is off is the print. */
const isBought = computed(() => props.job.stock.spots !== null);
const worst = computed(() =>
  Math.max(0, ...(done.value?.copies.map(({ deviation }) => deviation) ?? [])),
);
const least = computed(() =>
  Math.min(...(done.value?.copies.map(({ bleedLeft }) => bleedLeft) ?? [0])),
);
const slivers = computed(
  () => done.value?.copies.filter(({ bleedLeft }) => bleedLeft < 0).length ?? 0,
);
const found = computed(() => done.value?.registration?.found.filter(Boolean).length ?? 0);
const marks = computed(() => done.value?.registration?.found.length ?? 0);
const torn = computed(() => done.value?.copies.filter(({ clean }) => !clean).length ?? 0);
const title = computed(() =>
  done.value?.stopped
    ? texts.run.notCut
    : torn.value
      ? texts.run.torn(torn.value)
      : slivers.value
        ? texts.run.showPaper(slivers.value)
        : texts.run.good,
);
const tone = computed(() =>
  done.value?.stopped ? 'brick' : slivers.value || torn.value ? 'amber' : 'leaf',
);
</script>

<template>
  <CardPanel v-if="done" :title="title" :tone="tone" data-report>
    <p v-if="done.stopped">{{ problemLine(done.stopped) }}</p>
    <template v-else>
      <FactRow :label="texts.run.labels"
        ><strong>{{ done.copies.length }}</strong></FactRow
      >
      <FactRow :label="isBought ? texts.run.printOff : texts.run.deviation"
        ><strong data-worst>{{ texts.run.mm(worst, 2) }}</strong></FactRow
      >
      <FactRow :label="texts.run.bleedLeft"
        ><strong data-least>{{ texts.run.mm(least, 2) }}</strong></FactRow
      >
      <FactRow v-if="marks" :label="texts.run.marksFound"
        ><strong>{{ texts.run.marks(found, marks) }}</strong></FactRow
      >
      <FactRow v-if="marks" :label="texts.run.marksFitTo"
        ><strong>{{ texts.run.mm(done.registration?.residual ?? 0, 3) }}</strong></FactRow
      >
      <MeasurePrinter v-if="isBought && slivers" />
    </template>
  </CardPanel>
  <CardPanel v-if="done && !done.stopped" :title="texts.run.eachCopy" :aside="texts.run.ofEachCopy">
    <ul>
      <li v-for="copy in done.copies" :key="copy.copy">
        <span>{{ copyTitle(job, copy.copy) }}</span><span
          :class="{ thin: copy.bleedLeft < 0.3 || !copy.clean }"
          >{{ copy.clean ? '' : `${texts.run.isTorn} · ` }}{{ copy.deviation.toFixed(2) }} ·
          {{ texts.run.mm(copy.bleedLeft, 2) }}</span
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
