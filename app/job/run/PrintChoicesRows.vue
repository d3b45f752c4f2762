<script setup lang="ts">
import { computed, watch } from 'vue';
import { marginsFor, type PrinterProfile } from '../../../core/stock/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import SelectRow from '../../ui/SelectRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';
import { nameOf } from '../../session/printer-facts.ts';
import { usePrintChoices } from './print-choices.ts';

/** What a printer in the house is asked for, of what it offers. */
const props = defineProps<{ printer: PrinterProfile }>();
const words = texts.devices.print;
const store = useJobStore();
const settings = useSettings();
const { offers, choices, choose, learn } = usePrintChoices(() => props.printer);
watch(
  () => props.printer.id,
  () => void learn(),
  { immediate: true },
);

const named = (keywords: readonly string[]): Record<string, string> => ({
  '': words.printerDecides,
  ...Object.fromEntries(keywords.map((one) => [one, nameOf(one)])),
});
/** The margins to count with, where the printer leaves more free than the sheet does. */
const margins = computed(() => {
  const job = store.committed;
  if (!job || job.stock.spots || job.plan.stocks) return undefined;
  return marginsFor(job.stock.margins, offers.value);
});

function takeMargins(): void {
  const job = store.committed;
  if (!job || !margins.value) return;
  const stock = { ...job.stock, margins: margins.value };
  store.act({ name: 'choose-stock', args: { stock } });
}
</script>

<template>
  <template v-if="choices">
    <SelectRow
      v-if="offers.trays.length"
      :label="words.tray"
      :model-value="choices.tray"
      :choices="named(offers.trays)"
      @update:model-value="choose({ tray: $event })"
    />
    <SelectRow
      v-if="offers.types.length"
      :label="words.type"
      :model-value="choices.type"
      :choices="named(offers.types)"
      @update:model-value="choose({ type: $event })"
    />
    <SelectRow
      :label="words.quality"
      :model-value="choices.quality"
      :choices="words.qualities"
      @update:model-value="choose({ quality: $event })"
    />
    <SelectRow
      v-if="offers.color"
      :label="words.color"
      :model-value="choices.color"
      :choices="words.colors"
      @update:model-value="choose({ color: $event })"
    />
    <p v-if="margins" class="note">
      {{ words.wider(margins.map((side) => formatLength(side, settings.unit)).join(', ')) }}
      <LinkButton @click="takeMargins">{{ words.takeMargins }}</LinkButton>
    </p>
  </template>
</template>

<style scoped>
.note {
  margin: 2px 0 6px;
  font-size: 12.5px;
}
</style>
