<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import type { Stock } from '../../../core/stock/index.ts';
import { fileStem } from '../../../core/output/index.ts';
import { formatLength, formatNumber } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import { useMessages } from '../../ui/messages-store.ts';
import { useSettings } from '../../ui/settings-store.ts';
import { useJobStore } from '../store/job-store.ts';
import { forgetOwnSheet, keepOwnSheet, ownSheets } from '../../storage/index.ts';
import OwnSheetCard from './OwnSheetCard.vue';
import { useOwnSheet } from './own-sheet.ts';
import { useStockOffers } from './stock-offers.ts';
import StockPicture from './StockPicture.vue';

const store = useJobStore();
const settings = useSettings();
const typed = ref('');
const yours = shallowRef<readonly Stock[]>([]);
const groups = useStockOffers({
  yours,
  job: computed(() => store.job),
  typed,
  unit: computed(() => settings.unit),
});
const chosen = computed(() => store.job?.stock);
const messages = useMessages();
const measuring = ref(false);
const sheet = useOwnSheet();
const drawn = computed(() => (sheet.made.value.ok ? sheet.made.value.value : undefined));
const wrong = computed(() => (sheet.made.value.ok ? undefined : sheet.made.value.problem));

onMounted(() => {
  ownSheets().then((found) => (yours.value = found), messages.sayError);
});

async function useOwn(): Promise<void> {
  const made = drawn.value;
  if (!made?.spots) return;
  const count = made.spots.columns * made.spots.rows;
  const named = sheet.draft.name.trim() || texts.stock.own.unnamed(count);
  const stock = { ...made, id: `own-${fileStem(named)}`, name: named };
  yours.value = await keepOwnSheet(stock).catch((error: unknown) => {
    messages.sayError(error);
    return yours.value;
  });
  // Also when the name is that of the chosen one: it was measured again.
  store.act({ name: 'choose-stock', args: { stock } });
  measuring.value = false;
}

async function forget(id: string): Promise<void> {
  yours.value = await forgetOwnSheet(id);
}

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
      <div v-if="measuring" class="measured">
        <StockPicture v-if="drawn" class="large" :stock="drawn" />
        <p v-if="wrong" class="wrong" role="alert">{{ wrong.what }} {{ wrong.remedy }}</p>
        <p v-else class="quiet">{{ texts.stock.own.hint }}</p>
      </div>
      <div v-else class="room">
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
          <button class="link" type="button" @click="measuring = true">
            {{ texts.stock.measure }}
          </button>
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
                `${formatNumber(stock.width, settings.unit)} × ${formatLength(stock.height, settings.unit)}`
              }}</span>
              <span class="display count">{{
                perSheet === 0 ? texts.stock.tooSmall : texts.stock.perSheet(perSheet)
              }}</span>
            </button>
          </div>
        </section>
      </div>
    </template>
    <template v-if="measuring" #cards>
      <v-btn color="primary" height="40" :disabled="!drawn" @click="useOwn">{{
        texts.stock.use
      }}</v-btn>
      <button class="link" type="button" @click="measuring = false">
        {{ texts.stock.cancel }}
      </button>
      <OwnSheetCard :sheet="sheet" />
    </template>
    <template v-else #cards>
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
        <button
          v-if="yours.some(({ id }) => id === chosen?.id)"
          class="link"
          type="button"
          @click="forget(chosen.id)"
        >
          {{ texts.stock.forget }}
        </button>
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
.measured {
  display: flex;
  flex-direction: column;
  gap: 18px;
  align-items: center;
  justify-content: center;
  height: 100%;
}
.large {
  width: auto;
  height: 74%;
}
.wrong {
  max-width: 420px;
  margin: 0;
  border-radius: var(--r-card);
  padding: 10px 18px;
  background: var(--card);
  color: var(--brick-text);
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
