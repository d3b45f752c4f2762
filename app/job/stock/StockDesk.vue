<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Stock } from '../../../core/stock/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { useJobStore } from '../store/job-store.ts';
import { useStockOffers } from './stock-offers.ts';
import StockPicture from './StockPicture.vue';

const store = useJobStore();
const settings = useSettings();
const typed = ref('');
const groups = useStockOffers({
  job: computed(() => store.job),
  typed,
  unit: computed(() => settings.unit),
});
const chosen = computed(() => store.job?.stock);

function choose(stock: Stock): void {
  if (stock.id !== chosen.value?.id) store.act({ name: 'choose-stock', args: { stock } });
}

function chooseFirst(): void {
  const first = groups.value[0]?.offers[0];
  if (typed.value.trim() !== '' && first) choose(first.stock);
}
</script>

<template>
  <BenchLayout :cards="texts.stock.chosenStock">
    <template #bench>
      <div class="room">
        <div class="find">
          <input
            v-model="typed"
            class="well"
            type="search"
            :aria-label="texts.stock.find"
            :placeholder="texts.stock.findHint"
            @keydown.enter="chooseFirst"
            @keydown.esc="typed = ''"
          />
        </div>
        <section v-for="group in groups" :key="group.title">
          <h2>{{ group.title }}</h2>
          <div class="offers" role="radiogroup" :aria-label="group.title">
            <button
              v-for="{ stock, perSheet, difference } in group.offers"
              :key="stock.id"
              type="button"
              role="radio"
              :aria-checked="stock.id === chosen?.id"
              class="offer"
              :class="{ small: perSheet === 0 }"
              @click="choose(stock)"
            >
              <StockPicture :stock="stock" />
              <strong>{{ stock.name }}</strong>
              <span class="quiet">{{
                difference ??
                `${formatLength(stock.width, settings.unit)} × ${formatLength(stock.height, settings.unit)}`
              }}</span>
              <span class="display count">{{
                perSheet === 0 ? texts.stock.tooSmall : texts.stock.perSheet(perSheet)
              }}</span>
            </button>
          </div>
        </section>
      </div>
    </template>
    <template #cards>
      <CardPanel v-if="chosen" :title="chosen.name" peeled>
        <FactRow :label="texts.stock.sheet"
          ><span
            >{{ formatLength(chosen.width, settings.unit) }} ×
            {{ formatLength(chosen.height, settings.unit) }}</span
          ></FactRow
        >
        <FactRow :label="texts.stock.margins"
          ><span>{{ formatLength(chosen.margins[0], settings.unit) }}</span></FactRow
        >
        <FactRow v-if="chosen.spots" :label="texts.stock.labels"
          ><span>{{ chosen.spots.columns }} × {{ chosen.spots.rows }}</span></FactRow
        >
      </CardPanel>
      <v-btn color="primary" height="40" :to="{ name: 'artwork' }">{{
        texts.stock.toArtwork
      }}</v-btn>
    </template>
  </BenchLayout>
</template>

<style scoped>
.find {
  display: flex;
  gap: 12px;
  align-items: center;
  margin-bottom: 16px;
}
.find input {
  width: min(420px, 100%);
  border-radius: var(--r-tray);
  padding: 9px 18px;
  background: var(--card);
  font-size: 14px;
  box-shadow: var(--shadow);
}
h2 {
  margin: 0 0 10px;
  font-size: 14.5px;
}
.offers {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(160px, 1fr));
  gap: 16px;
  margin-bottom: 24px;
}
.room {
  box-sizing: border-box;
  height: 100%;
  padding: 22px 30px;
  overflow: auto;
}
.offer {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 5px;
  border: 2px solid transparent;
  border-radius: var(--r-job);
  padding: 14px 12px;
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
  min-height: 38px;
  margin-top: 6px;
  line-height: 1.3;
}
.small {
  opacity: 0.6;
}
.count {
  color: var(--plum);
  font-size: 17px;
}
</style>
