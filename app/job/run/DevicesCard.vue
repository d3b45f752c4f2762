<script setup lang="ts">
import { computed } from 'vue';
import { useChosenPrinter } from '../../session/chosen-devices.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import SelectRow from '../../ui/SelectRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import PrinterRow from '../proof/PrinterRow.vue';
import PrintChoicesRows from './PrintChoicesRows.vue';

/** What a run prints and cuts on; remembered for the next one. */
defineProps<{ cuts: boolean }>();
const words = texts.run;
const room = useStockRoom();
const settings = useSettings();
const printers = computed((): Record<string, string> => ({
  ...Object.fromEntries(
    room.room.printers.flatMap(({ id, name, address }) => (address ? [[id, name]] : [])),
  ),
  ...words.printers,
}));
const cutters = computed((): Record<string, string> => ({
  ...Object.fromEntries(room.room.cutters.map(({ id, name }) => [id, name])),
  ...words.cutters,
}));
const printer = useChosenPrinter();
const known = (choices: Record<string, string>, id: string): string =>
  id in choices ? id : 'file';
</script>

<template>
  <CardPanel :title="words.devices">
    <SelectRow
      :label="words.printsOn"
      :model-value="known(printers, settings.devices.printer)"
      :choices="printers"
      @update:model-value="settings.devices = { ...settings.devices, printer: $event }"
    />
    <PrintChoicesRows v-if="printer" :printer="printer" />
    <PrinterRow />
    <SelectRow
      v-if="cuts"
      :label="words.cutsOn"
      :model-value="known(cutters, settings.devices.cutter)"
      :choices="cutters"
      @update:model-value="settings.devices = { ...settings.devices, cutter: $event }"
    />
    <router-link class="link" to="/stock/printers">{{ words.addDevices }}</router-link>
  </CardPanel>
</template>
