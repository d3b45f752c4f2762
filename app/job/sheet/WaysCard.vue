<script setup lang="ts">
import { computed } from 'vue';
import type { SheetWay } from '../../../core/job/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import { useMessages } from '../../ui/messages-store.ts';
import { formatMoney } from '../../ui/money.ts';
import { useSettings } from '../../ui/settings-store.ts';
import { useShownSteps } from '../common/shown-steps.ts';
import { useJobStore } from '../../session/job-store.ts';
import { useComparison } from './comparison.ts';
import SizePlot from './SizePlot.vue';
import LinkButton from '../../ui/LinkButton.vue';

/** Ways to fill the sheets side by side, with what each comes to; pointed at, a way is shown. */
const store = useJobStore();
const steps = useShownSteps();
const settings = useSettings();
const say = texts.sheet;
const found = useComparison(() => store.committed, useMessages().sayError);
const priced = computed(() => found.value?.ways.some(({ cost }) => cost !== undefined));
/** The way that comes to least, where that is less than now. */
const least = computed(() => {
  const [now, ...others] = (found.value?.ways ?? []).map(costOf);
  const best = Math.min(...others);
  return best < (now ?? Infinity) ? best : undefined;
});

/** By what ways are compared: money where it is known, else sheets; what leaves copies over is none. */
const costOf = ({ cost, sheets, left }: SheetWay): number =>
  left > 0 ? Infinity : (cost ?? sheets);

function nameOf({ kind, value }: SheetWay): string {
  switch (kind) {
    case 'now':
      return say.wayNow;
    case 'arrangement':
      return value === 'best' ? say.arrangements.best : say.arrangements.step;
    case 'gap':
      return say.wayGap(formatLength(Number(value), settings.unit));
    case 'marks':
      return say.wayMarks(formatLength(Number(value), settings.unit));
    case 'stock':
      return String(value);
    case 'size':
      return say.waySmaller(Math.round((1 - Number(value)) * 100));
  }
}
</script>

<template>
  <CardPanel v-if="found && found.ways.length > 1" :title="say.ways">
    <table>
      <thead>
        <tr>
          <th scope="col">{{ say.way }}</th>
          <th scope="col">{{ say.gainCopies }}</th>
          <th scope="col">{{ say.waySheets }}</th>
          <th v-if="priced" scope="col">{{ say.wayCost }}</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="way in found.ways"
          :key="`${way.kind} ${way.value}`"
          :class="{ now: way.kind === 'now', best: costOf(way) === least }"
        >
          <th scope="row">
            <span v-if="!way.call">{{ nameOf(way) }}</span>
            <LinkButton v-else v-on="steps.pointed(way.call)" @click="steps.act(way.call)">
              {{ nameOf(way) }}
            </LinkButton>
          </th>
          <td>{{ way.perSheet }}</td>
          <td>{{ way.left ? say.wayLeft(way.left) : way.sheets }}</td>
          <td v-if="priced">
            {{
              way.cost === undefined || way.left
                ? say.none
                : formatMoney(way.cost, settings.currency)
            }}
          </td>
        </tr>
      </tbody>
    </table>
    <SizePlot v-if="found.sizes.length" :sizes="found.sizes" />
  </CardPanel>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 2px 4px;
  text-align: right;
  vertical-align: baseline;
}
th:first-child {
  text-align: left;
}
th .link {
  min-height: 24px;
  padding-block: 1px;
  text-align: left;
}
thead th {
  color: var(--ink-2);
  font-weight: 500;
}
tbody th {
  font-weight: 500;
}
.now {
  background: var(--apricot-soft);
}
.best td {
  color: var(--leaf-text);
  font-weight: 600;
}
</style>
