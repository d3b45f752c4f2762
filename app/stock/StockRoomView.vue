<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { MATT_PAPER, type Stock } from '../../core/stock/index.ts';
import { useHandedFiles } from '../session/handed-files.ts';
import { useSettings } from '../ui/settings-store.ts';
import { texts } from '../texts/index.ts';
import BenchLayout from '../ui/BenchLayout.vue';
import ChoiceRow from '../ui/ChoiceRow.vue';
import DeviceBench from './finding/DeviceBench.vue';
import EmptyState from '../ui/EmptyState.vue';
import MaterialSwatch from './MaterialSwatch.vue';
import { usePrinterEditor } from './printers/printer-editor.ts';
import RoomCards from './RoomCards.vue';
import { roomGroups } from './room-groups.ts';
import { materialNote, supplyFact } from './stock-words.ts';
import StockOffers from './StockOffers.vue';
import StockSearch from './StockSearch.vue';
import { useStockRoom } from '../session/stock-room-store.ts';
import SupplySheets from './SupplySheets.vue';
import LinkButton from '../ui/LinkButton.vue';
import TemplateBench from './template/TemplateBench.vue';
import TemplateCards from './template/TemplateCards.vue';
import { useTemplateEditor } from './template/template-editor.ts';

type Part = keyof typeof texts.stock.parts;

const words = texts.stock;
const route = useRoute();
const router = useRouter();
const room = useStockRoom();
const settings = useSettings();
const editor = useTemplateEditor();
const describing = ref(false);
const typed = ref('');

const part = computed({
  get: (): Part => (route.params.part || 'sheets') as Part,
  set: (next) => void router.replace({ name: 'stock-room', params: { part: next } }),
});
/** What is open at the right, by its id. */
const open = computed({
  get: () => (typeof route.query.open === 'string' ? route.query.open : undefined),
  set: (id) => void router.replace({ ...route, query: id ? { open: id } : {} } as never),
});
const groups = computed(() =>
  part.value === 'sheets' || part.value === 'discs'
    ? roomGroups(part.value, room, { typed: typed.value, unit: settings.unit })
    : [],
);
const supplies = computed(() => [
  {
    title: words.onHand,
    offers: room.room.supplies.map((one) => ({
      stock: one.stock,
      supply: one,
      note: one.material.name,
      fact: supplyFact(one),
    })),
  },
]);
const sheet = computed(() =>
  part.value === 'sheets' || part.value === 'discs'
    ? (room.sheets.find(({ id }) => id === open.value) ?? groups.value[0]?.offers[0]?.stock)
    : undefined,
);
const material = computed(() =>
  part.value === 'materials'
    ? (room.materials.find(({ id }) => id === open.value) ?? room.materials[0])
    : undefined,
);
const supply = computed(() =>
  part.value === 'on-hand'
    ? (room.room.supplies.find(({ id }) => id === open.value) ?? room.room.supplies[0])
    : undefined,
);
const printer = computed(() =>
  part.value === 'printers'
    ? (room.room.printers.find(({ id }) => id === open.value) ?? room.room.printers[0])
    : undefined,
);
const cutter = computed(() =>
  part.value === 'cutters'
    ? (room.room.cutters.find(({ id }) => id === open.value) ?? room.room.cutters[0])
    : undefined,
);
const measuring = usePrinterEditor(() => printer.value);

onMounted(room.start);

/** A template or picture of a sheet that is dropped begins a sheet of one’s own. */
function describeBy(files: readonly File[]): void {
  part.value = 'sheets';
  describing.value = true;
  void editor.take(files);
}
useHandedFiles().takeAt('template', describeBy);

watch(part, () => (describing.value = false));

function openFirst(): void {
  open.value = groups.value[0]?.offers[0]?.stock.id;
}

async function putOnHand(stock: Stock): Promise<void> {
  const made = await room.addSupply(stock, supply.value?.material ?? MATT_PAPER);
  await router.replace({
    name: 'stock-room',
    params: { part: 'on-hand' },
    query: { open: made.id },
  });
}

function openDevice(at: 'printers' | 'cutters', id: string): void {
  void router.replace({ name: 'stock-room', params: { part: at }, query: { open: id } });
}

async function addDevice(at: 'printers' | 'cutters'): Promise<void> {
  open.value = (await (at === 'printers' ? room.addPrinter() : room.addCutter())).id;
}

async function keepSheet(stock: Stock): Promise<void> {
  await room.keepSheet(stock);
  open.value = stock.id;
}

async function keepDescribed(): Promise<void> {
  const stock = editor.finished();
  if (!stock) return;
  describing.value = false;
  await keepSheet(stock);
}

function measureAgain(stock: Stock): void {
  editor.edit(stock);
  describing.value = true;
}
</script>

<template>
  <BenchLayout :cards="words.room">
    <template #bench>
      <TemplateBench v-if="describing" :editor="editor" />
      <div v-else class="room" @drop.prevent="describeBy([...($event.dataTransfer?.files ?? [])])">
        <h1 class="visually-hidden">{{ words.room }}</h1>
        <div class="find">
          <ChoiceRow v-model="part" :label="words.partsLabel" :choices="words.parts" />
          <template v-if="part === 'sheets' || part === 'discs'">
            <StockSearch v-model="typed" @first="openFirst" />
            <LinkButton @click="describing = true">
              {{ words.measure }}
            </LinkButton>
          </template>
        </div>
        <StockOffers :groups="groups" :chosen="sheet?.id" @choose="open = $event.stock.id" />
        <div
          v-if="part === 'materials'"
          class="materials"
          role="radiogroup"
          :aria-label="words.parts.materials"
        >
          <button
            v-for="one in room.materials"
            :key="one.id"
            type="button"
            role="radio"
            class="material"
            :aria-checked="one.id === material?.id"
            @click="open = one.id"
          >
            <MaterialSwatch :material="one" />
            <strong>{{ one.name }}</strong>
            <span class="quiet">{{ materialNote(one) }}</span>
          </button>
        </div>
        <DeviceBench
          v-if="part === 'printers' || part === 'cutters'"
          :part="part"
          :printer="printer"
          :cutter="cutter"
          :editor="measuring"
          @open="openDevice"
          @add="addDevice"
        />
        <template v-if="part === 'on-hand'">
          <StockOffers
            v-if="room.room.supplies.length"
            :groups="supplies"
            :chosen="supply?.id"
            @choose="open = $event.supply.id"
          />
          <EmptyState
            v-else
            :says="words.supply.empty"
            :action="words.supply.toSheets"
            @act="part = 'sheets'"
          />
          <SupplySheets v-if="supply?.stock.spots" :supply="supply" />
        </template>
      </div>
    </template>
    <template #cards>
      <TemplateCards
        v-if="describing"
        :editor="editor"
        :done-label="words.keep"
        @done="keepDescribed"
        @cancel="describing = false"
      />
      <RoomCards
        v-else
        v-model:open="open"
        :part="part"
        :sheet="sheet"
        :material="material"
        :printer="printer"
        :measuring="measuring"
        :cutter="cutter"
        :supply="supply"
        @put-on-hand="putOnHand"
        @measure-again="measureAgain"
        @keep-sheet="keepSheet"
      />
    </template>
  </BenchLayout>
</template>

<style scoped>
.room {
  box-sizing: border-box;
  height: 100%;
  padding: 22px 30px;
  overflow: auto;
}
.find {
  display: flex;
  gap: 14px;
  align-items: center;
  margin-bottom: 18px;
}
.find .link {
  white-space: nowrap;
}
.materials {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(136px, 1fr));
  gap: 16px;
}
.material {
  display: flex;
  flex-direction: column;
  gap: 4px;
  align-items: center;
  border: 2px solid transparent;
  border-radius: var(--r-job);
  padding: 16px 10px 12px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  line-height: 1.3;
  cursor: pointer;
  box-shadow: var(--shadow);
}
.material .swatch {
  width: 58px;
  margin-bottom: 6px;
}
.material:hover {
  border-color: var(--apricot-soft);
}
.material[aria-checked='true'] {
  border-color: var(--apricot);
}
</style>
