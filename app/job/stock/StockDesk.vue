<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { spotCount, type Stock } from '../../../core/stock/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import StockOffers from '../../stock/StockOffers.vue';
import StockSearch from '../../stock/StockSearch.vue';
import { sheetSize } from '../../stock/stock-words.ts';
import { changedSince, useStockRoom } from '../../session/stock-room-store.ts';
import TemplateBench from '../../stock/template/TemplateBench.vue';
import TemplateCards from '../../stock/template/TemplateCards.vue';
import { useTemplateEditor } from '../../stock/template/template-editor.ts';
import { texts } from '../../texts/index.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { useJobStore } from '../../session/job-store.ts';
import JobMaterialCard from './JobMaterialCard.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { stockOffers, type StockOffer as Offer } from './stock-offers.ts';

const store = useJobStore();
const settings = useSettings();
const room = useStockRoom();
const typed = ref('');
const groups = computed(() =>
  store.job
    ? stockOffers(
        store.job,
        {
          yours: room.room.sheets,
          supplies: room.room.supplies,
          favourites: room.favourites,
          recent: room.recent,
        },
        { typed: typed.value, unit: settings.unit, currency: settings.currency },
      )
    : [],
);
const chosen = computed(() => store.job?.stock);
/** The sheet as the Stock room has it now, when that is another than the job's copy. */
const changed = computed(() => changedSince(room.room.sheets, chosen.value));
const used = computed(() => store.job?.plan.usedLabels.length ?? 0);
const describing = ref(false);
const editor = useTemplateEditor();

onMounted(room.start);

function take(offer: Pick<Offer, 'stock' | 'supply'>): void {
  const { stock, supply } = offer;
  const started = supply?.started[0]?.used ?? [];
  const args = supply ? { stock, material: supply.material, used: started } : { stock };
  if (store.act({ name: 'choose-stock', args })) void room.noteUse(stock);
}

/** What is chosen already stays as it is; taking it from a started sheet is another thing. */
function choose(offer: Offer): void {
  if (offer.stock.id !== chosen.value?.id || offer.supply) take(offer);
}

function chooseFirst(): void {
  const first = groups.value[0]?.offers[0];
  if (typed.value.trim() !== '' && first) choose(first);
}

function wholeSheet(): void {
  if (store.job) store.act({ name: 'change-plan', args: { changes: { usedLabels: [] } } });
}

async function useDescribed(): Promise<void> {
  const stock: Stock | undefined = editor.finished();
  if (!stock) return;
  await room.keepSheet(stock);
  // Also when the name is that of the chosen one: it was described again.
  take({ stock, supply: undefined });
  describing.value = false;
}
</script>

<template>
  <BenchLayout :cards="texts.stock.chosenStock">
    <template #bench>
      <TemplateBench v-if="describing" :editor="editor" />
      <div v-else class="room">
        <div class="find">
          <StockSearch v-model="typed" @first="chooseFirst" />
          <LinkButton @click="describing = true">
            {{ texts.stock.measure }}
          </LinkButton>
        </div>
        <StockOffers :groups="groups" :chosen="chosen?.id" @choose="choose" />
      </div>
    </template>
    <template #cards>
      <TemplateCards
        v-if="describing"
        :editor="editor"
        :done-label="texts.stock.use"
        @done="useDescribed"
        @cancel="describing = false"
      />
      <template v-else>
        <CardPanel v-if="chosen" :title="chosen.name" peeled>
          <FactRow :label="texts.stock.sheet"
            ><span>{{ sheetSize(chosen, settings.unit) }}</span></FactRow
          >
          <FactRow :label="texts.stock.margins"
            ><span>{{ formatLength(chosen.margins[0], settings.unit) }}</span></FactRow
          >
          <FactRow v-if="chosen.spots" :label="texts.stock.labels"
            ><span>{{
              chosen.spots.layout === 'grid'
                ? `${chosen.spots.columns} × ${chosen.spots.rows}`
                : spotCount(chosen.spots)
            }}</span></FactRow
          >
          <p v-if="used" class="started">
            {{ texts.stock.gone(used, chosen.spots ? spotCount(chosen.spots) : 0) }}
            <LinkButton @click="wholeSheet">
              {{ texts.stock.newSheet }}
            </LinkButton>
          </p>
          <p v-if="changed" class="started">
            {{ texts.stock.changedSheet }}
            <LinkButton @click="take({ stock: changed, supply: undefined })">
              {{ texts.stock.takeOver }}
            </LinkButton>
          </p>
          <LinkButton v-if="room.isOwn(chosen.id)" @click="room.forgetSheet(chosen)">
            {{ texts.stock.forget }}
          </LinkButton>
        </CardPanel>
        <JobMaterialCard />
        <v-btn color="primary" height="40" :to="{ name: 'artwork' }">{{
          texts.stock.toArtwork
        }}</v-btn>
      </template>
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
.room {
  box-sizing: border-box;
  height: 100%;
  padding: 22px 30px;
  overflow: auto;
}
.started {
  margin: 6px 0 0;
}
</style>
