<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { fileStem } from '../../core/output/index.ts';
import {
  MATT_PAPER,
  spotCount,
  templateJson,
  templateSvg,
  type Stock,
} from '../../core/stock/index.ts';
import { formatLength } from '../../core/units/index.ts';
import { calls } from '../calls/index.ts';
import { useShelf } from '../session/shelf-store.ts';
import { download } from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import CardPanel from '../ui/CardPanel.vue';
import FactRow from '../ui/FactRow.vue';
import { shapeWords } from '../ui/shape-words.ts';
import { useMessages } from '../ui/messages-store.ts';
import { useSettings } from '../ui/settings-store.ts';
import LinkButton from '../ui/LinkButton.vue';
import { sheetSize } from './stock-words.ts';
import { useStockRoom } from '../session/stock-room-store.ts';

/** A sheet of the Stock room: its measures, and what can be done with it. */
const props = defineProps<{ stock: Stock }>();
defineEmits<{ 'put-on-hand': []; 'measure-again': [] }>();
const words = texts.stock;
const room = useStockRoom();
const shelf = useShelf();
const router = useRouter();
const settings = useSettings();
const messages = useMessages();

const say = (mm: number): string => formatLength(mm, settings.unit);
/** From label to label, where there are several. */
const pitch = computed(() => {
  const { spots } = props.stock;
  if (spots?.layout !== 'grid' || spotCount(spots) < 2) return undefined;
  const [width, height] = [spots.pitchX, spots.pitchY];
  return sheetSize({ width, height }, settings.unit);
});
const favourite = computed(() => room.room.favourites.includes(props.stock.id));
const stem = computed(() => fileStem(props.stock.name));

async function labelWith(): Promise<void> {
  await shelf.start();
  const job = await shelf.create(props.stock.spots ? 'label-sheet' : 'own', {
    stock: props.stock,
    material: MATT_PAPER,
  });
  if (!job) return;
  await room.noteUse(props.stock);
  const desk = props.stock.spots ? 'artwork' : 'size';
  await router.push({ name: desk, params: { id: job.id } });
}

function text(content: string, ending: 'svg' | 'json', type: string): void {
  download(`${stem.value}.${ending}`, new TextEncoder().encode(content), type);
}

async function pdf(purpose: 'outlines' | 'test'): Promise<void> {
  try {
    const bytes = await calls.call('templatePdf', { stock: props.stock, purpose }).answer;
    download(`${stem.value}-${purpose}.pdf`, bytes, 'application/pdf');
    if (purpose === 'test') messages.say(words.testHint);
  } catch (error) {
    messages.sayError(error);
  }
}
</script>

<template>
  <CardPanel :title="stock.name" peeled>
    <FactRow :label="words.sheet"
      ><span>{{ sheetSize(stock, settings.unit) }}</span></FactRow
    >
    <FactRow :label="words.margins"
      ><span>{{ say(stock.margins[0]) }}</span></FactRow
    >
    <template v-if="stock.spots">
      <FactRow :label="words.labels"
        ><span>{{ spotCount(stock.spots) }}</span></FactRow
      >
      <FactRow :label="words.label"
        ><span>{{ shapeWords(stock.spots.shape, settings.unit) }}</span></FactRow
      >
      <FactRow v-if="pitch" :label="words.pitch"
        ><span>{{ pitch }}</span></FactRow
      >
    </template>
    <label class="favourite">
      <input
        type="checkbox"
        :checked="favourite"
        @change="room.setFavourite(stock.id, !favourite)"
      />
      {{ words.favourite }}
    </label>
  </CardPanel>
  <v-btn color="primary" height="40" @click="labelWith">{{ words.labelWith }}</v-btn>
  <v-btn variant="outlined" height="36" @click="$emit('put-on-hand')">{{ words.putOnHand }}</v-btn>
  <CardPanel v-if="stock.spots" :title="words.asFile">
    <LinkButton @click="pdf('test')">{{ words.testPrint }}</LinkButton>
    <FactRow :label="words.outlines">
      <span class="kinds">
        <LinkButton @click="text(templateSvg(stock), 'svg', 'image/svg+xml')">
          {{ words.svg }}
        </LinkButton>
        <LinkButton @click="pdf('outlines')">{{ words.pdf }}</LinkButton>
        <LinkButton @click="text(templateJson(stock), 'json', 'application/json')">
          {{ words.json }}
        </LinkButton>
      </span>
    </FactRow>
  </CardPanel>
  <template v-if="room.isOwn(stock.id)">
    <LinkButton v-if="stock.spots" @click="$emit('measure-again')">
      {{ words.read.correct }}
    </LinkButton>
    <LinkButton @click="room.forgetSheet(stock)">{{ words.forget }}</LinkButton>
  </template>
</template>

<style scoped>
.favourite {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: var(--row);
  cursor: pointer;
}
.favourite input {
  width: 16px;
  height: 16px;
  accent-color: var(--plum);
}
.kinds {
  display: flex;
  gap: 8px;
}
</style>
