<script setup lang="ts">
import { computed, ref } from 'vue';
import { artSize } from '../../../core/art/index.ts';
import { fitsOn, partsThatFit } from '../../../core/sheet/index.ts';
import { PLAIN_SHEETS } from '../../../core/stock/index.ts';
import { trySize, type MeasuredThing } from '../../../core/things/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { sizeWarningText } from '../../../messages/index.ts';
import { thingOf } from '../../../core/piece/index.ts';
import { texts } from '../../texts/index.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import CardPanel from '../../ui/CardPanel.vue';
import { useSettings } from '../../ui/settings-store.ts';
import StockPicture from '../../stock/StockPicture.vue';
import { useJobStore } from '../../session/job-store.ts';
import { shapeWords } from '../../ui/shape-words.ts';
import AroundChoice from './AroundChoice.vue';
import FitTestCard from './FitTestCard.vue';
import FlatDrawing from './FlatDrawing.vue';
import MeasureCard from './MeasureCard.vue';
import { measuredAgain } from './measures.ts';
import SizesCard from './SizesCard.vue';
import ThingFigure from './ThingFigure.vue';
import LinkButton from '../../ui/LinkButton.vue';

const store = useJobStore();
const settings = useSettings();
const chosen = ref('');
/** The piece whose size is measured: the first, or another size of it. */
const piece = computed(
  () => store.job?.pieces.find(({ id }) => id === chosen.value) ?? store.job?.pieces[0],
);
const thing = computed(() => piece.value && thingOf(piece.value, store.job?.thing));
const measured = computed(() =>
  thing.value && thing.value.kind !== 'label-sheet' ? thing.value : undefined,
);
const box = computed(() => (measured.value?.kind === 'band' ? measured.value : undefined));
const edge = computed(() => piece.value?.edge);
const flat = computed(() => {
  const size = measured.value && trySize(measured.value);
  return size?.ok ? size.value : undefined;
});
const fact = computed(() => (piece.value ? shapeWords(piece.value.edge, settings.unit) : ''));
/** Larger than the job's sheet: on which others it fits, or in how many parts. */
const tooLarge = computed(() => {
  const stock = store.job?.stock;
  if (!flat.value || !measured.value || !stock || fitsOn(stock, flat.value)) return undefined;
  const size = flat.value;
  const others = PLAIN_SHEETS.filter((sheet) => fitsOn(sheet, size)).map(({ name }) => name);
  return { stock: stock.name, others, parts: partsThatFit(measured.value, [stock]) };
});
const around = computed(() =>
  flat.value && flat.value.parts > 1
    ? texts.size.parts(flat.value.parts, formatLength(flat.value.width, settings.unit))
    : undefined,
);

/** A picture on the piece, whose shape a label of its size can take. */
const shaped = computed(() => {
  const job = store.job;
  if (measured.value?.kind !== 'picture' || !job) return undefined;
  const element = job.pieces[0]?.elements.find(({ kind }) => kind === 'picture');
  const art = element?.kind === 'picture' ? job.art[element.art] : undefined;
  if (!art) return undefined;
  const { width, height } = artSize(art);
  const ratio = Math.round((width / height) * 10_000) / 10_000;
  return ratio === measured.value.ratio ? undefined : { name: art.name, ratio };
});

function measure(key: string, value: number | string | null): void {
  if (!measured.value) return;
  const again =
    value === null ? { ...measured.value, [key]: null } : measuredAgain(measured.value, key, value);
  remeasure(again as MeasuredThing);
}

function remeasure(again: MeasuredThing): boolean {
  return piece.value?.variant
    ? store.act({ name: 'measure-size', args: { piece: piece.value.id, thing: again } })
    : store.act({ name: 'measure-thing', args: { thing: again } });
}
</script>

<template>
  <BenchLayout :cards="texts.size.measurements">
    <template #bench>
      <div v-if="thing && edge" class="two">
        <ThingFigure
          v-if="measured && flat && piece"
          :thing="measured"
          :flat="flat"
          :piece="piece"
          @measure="measure"
        />
        <figure v-else>
          <StockPicture v-if="store.job" :stock="store.job.stock" />
          <figcaption>{{ measured ? texts.size.thing : texts.size.decided }}</figcaption>
        </figure>
        <figure>
          <FlatDrawing :edge="edge" :flat="flat" :name="texts.size.flatOf(fact)" />
          <figcaption>
            <strong class="display">{{ fact }}</strong>
            {{ around ?? texts.size.flat }}
          </figcaption>
        </figure>
      </div>
    </template>
    <template #cards>
      <MeasureCard v-if="measured" :thing="measured" @measure="measure"
        ><AroundChoice v-if="box" :box="box" @measure="measure" />
        <LinkButton v-if="shaped" @click="measure('ratio', shaped.ratio)">
          {{ texts.size.takeShape(shaped.name) }}
        </LinkButton></MeasureCard
      >
      <CardPanel v-else :title="texts.size.things['label-sheet']" peeled>
        <p class="hint">
          {{ texts.size.sheetDecides(store.job?.stock.name ?? '') }}
        </p>
      </CardPanel>
      <SizesCard
        v-if="measured && piece"
        :model-value="piece.id"
        @update:model-value="chosen = $event"
      />
      <FitTestCard v-if="measured" :thing="measured" :fact="fact" :take-over="remeasure" />
      <CardPanel
        v-for="warning in flat?.warnings"
        :key="warning.code"
        :title="texts.size.lookAgain"
        tone="amber"
        ><p class="hint">{{ sizeWarningText(warning) }}</p></CardPanel
      >
      <CardPanel v-if="tooLarge" :title="texts.size.lookAgain" tone="amber" data-too-large>
        <p class="hint">{{ texts.size.tooLarge(fact, tooLarge.stock, tooLarge.others) }}</p>
        <LinkButton v-if="tooLarge.parts" @click="measure('parts', tooLarge.parts)">
          {{ texts.size.makeParts(tooLarge.parts) }}
        </LinkButton>
      </CardPanel>
      <v-btn color="primary" height="40" :to="{ name: 'artwork' }">{{
        texts.size.toArtwork
      }}</v-btn>
    </template>
  </BenchLayout>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1.15fr 1fr;
  gap: 28px;
  align-items: center;
  box-sizing: border-box;
  height: 100%;
  padding: 40px 44px;
}
.two :deep(figure) {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 14px;
  min-width: 0;
  min-height: 0;
  margin: 0;
}
.two :deep(figcaption) {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 8px;
  max-width: 320px;
  color: var(--ink);
  text-align: center;
}
.two figcaption strong {
  font-size: 22px;
}
.hint {
  margin: 8px 0 0;
  color: var(--ink-2);
}
.amber .hint {
  color: var(--ink);
}
</style>
