<script setup lang="ts">
import { computed, onMounted } from 'vue';
import { farthest } from '../../../core/register/index.ts';
import { hundredths } from '../../session/printer-facts.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { texts } from '../../texts/index.ts';
import SelectRow from '../../ui/SelectRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { useJobStore } from '../../session/job-store.ts';

/** Which printer the files are for, of those that are measured, and what is put right for it. */
const store = useJobStore();
const room = useStockRoom();
const settings = useSettings();
const words = texts.printers;
onMounted(room.start);
const choices = computed(() => ({
  '': words.noPrinter,
  ...Object.fromEntries(
    room.trays.map(({ id, printer, tray }) => [
      id,
      printer.trays.length > 1 ? `${printer.name}, ${tray.name}` : printer.name,
    ]),
  ),
}));
const chosen = computed(() => room.findTray(settings.printer));
const says = computed(() => {
  const front = chosen.value?.tray.front ?? chosen.value?.tray.back;
  if (!front) return undefined;
  return store.committed?.stock.spots
    ? words.corrects(hundredths(farthest(front.map, front.sheet)))
    : words.onlySpots;
});
</script>

<template>
  <template v-if="room.trays.length">
    <SelectRow
      :label="words.printedOn"
      :model-value="chosen?.id ?? ''"
      :choices="choices"
      @update:model-value="settings.printer = $event"
    />
    <p v-if="says" class="quiet">{{ says }}</p>
  </template>
</template>

<style scoped>
p {
  margin: 2px 0 6px;
  font-size: 12.5px;
}
</style>
