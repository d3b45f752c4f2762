<script setup lang="ts">
import { computed } from 'vue';
import { SHIPPED_STOCK, type Stock } from '../../../core/stock/index.ts';
import { arrange } from '../../../core/sheet/index.ts';
import { isProblem } from '../../../core/base/index.ts';
import { runCommand } from '../../../core/job/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { useJobStore } from '../store/job-store.ts';
import StockPicture from './StockPicture.vue';
import { texts } from '../../texts/index.ts';

const store = useJobStore();
const settings = useSettings();
const own = computed(() => store.job?.thing.kind === 'label-sheet');

interface Offer {
  readonly stock: Stock;
  readonly perSheet: number;
  readonly chosen: boolean;
}
const offers = computed(() =>
  SHIPPED_STOCK.filter(({ spots }) => !own.value || spots !== null).flatMap((stock): Offer[] => {
    if (!store.job) return [];
    const tried = runCommand(store.job, { name: 'choose-stock', args: { stock } });
    const perSheet = isProblem(tried) ? 0 : arrange(tried.job).perSheet;
    return [{ stock, perSheet, chosen: stock.id === store.job.stock.id }];
  }),
);

function choose(stock: Stock): void {
  if (stock.id !== store.job?.stock.id) store.act({ name: 'choose-stock', args: { stock } });
}
</script>

<template>
  <BenchLayout :cards="texts.stock.chosenStock">
    <template #bench>
      <div class="offers" role="radiogroup" :aria-label="texts.stock.sheets">
        <button
          v-for="{ stock, perSheet, chosen } in offers"
          :key="stock.id"
          type="button"
          role="radio"
          :aria-checked="chosen"
          class="offer"
          @click="choose(stock)"
        >
          <StockPicture :stock="stock" />
          <strong>{{ stock.name }}</strong>
          <span class="quiet"
            >{{ formatLength(stock.width, settings.unit) }} ×
            {{ formatLength(stock.height, settings.unit) }}</span
          >
          <span class="display count">{{ texts.stock.perSheet(perSheet) }}</span>
        </button>
      </div>
    </template>
    <template #cards>
      <CardPanel v-if="store.job" :title="store.job.stock.name" peeled>
        <FactRow :label="texts.stock.sheet"
          ><span
            >{{ formatLength(store.job.stock.width, settings.unit) }} ×
            {{ formatLength(store.job.stock.height, settings.unit) }}</span
          ></FactRow
        >
        <FactRow :label="texts.stock.margins"
          ><span>{{ formatLength(store.job.stock.margins[0], settings.unit) }}</span></FactRow
        >
        <FactRow v-if="store.job.stock.spots" :label="texts.stock.labels"
          ><span
            >{{ store.job.stock.spots.columns }} × {{ store.job.stock.spots.rows }}</span
          ></FactRow
        >
      </CardPanel>
      <v-btn color="primary" height="40" :to="{ name: 'artwork' }">{{
        texts.stock.toArtwork
      }}</v-btn>
    </template>
  </BenchLayout>
</template>

<style scoped>
.offers {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 18px;
  align-content: start;
  box-sizing: border-box;
  height: 100%;
  padding: 34px;
  overflow: auto;
}
.offer {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 5px;
  border: 2px solid transparent;
  border-radius: var(--r-job);
  padding: 18px 14px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
  box-shadow: var(--shadow);
}
.offer[aria-checked='true'] {
  border-color: var(--apricot);
}
.offer strong {
  margin-top: 8px;
  min-height: 38px;
}
.count {
  color: var(--plum);
  font-size: 17px;
}
</style>
