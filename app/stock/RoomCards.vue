<script setup lang="ts">
import type { Cutter, Material, PrinterProfile, Stock, Supply } from '../../core/stock/index.ts';
import type { texts } from '../texts/index.ts';
import CutterCards from './cutters/CutterCards.vue';
import MaterialCard from './MaterialCard.vue';
import OwnDiscCard from './OwnDiscCard.vue';
import OwnPlainCard from './OwnPlainCard.vue';
import PrinterCards from './printers/PrinterCards.vue';
import type { PrinterEditor } from './printers/printer-editor.ts';
import SheetCard from './SheetCard.vue';
import SimulatedDevicesCard from './SimulatedDevicesCard.vue';
import SupplyCard from './SupplyCard.vue';

/** What is known of the thing that is open: of a part of the Stock room one of these is given. */
defineProps<{
  part: keyof typeof texts.stock.parts;
  sheet: Stock | undefined;
  material: Material | undefined;
  printer: PrinterProfile | undefined;
  measuring: PrinterEditor;
  cutter: Cutter | undefined;
  supply: Supply | undefined;
}>();
/** The id of what is open. */
const open = defineModel<string>('open');
defineEmits<{
  'put-on-hand': [stock: Stock];
  'measure-again': [stock: Stock];
  'keep-sheet': [stock: Stock];
}>();
</script>

<template>
  <template v-if="sheet">
    <SheetCard
      :stock="sheet"
      @put-on-hand="$emit('put-on-hand', sheet)"
      @measure-again="$emit('measure-again', sheet)"
    />
    <OwnDiscCard v-if="part === 'discs'" @keep="$emit('keep-sheet', $event)" />
    <OwnPlainCard v-else @keep="$emit('keep-sheet', $event)" />
  </template>
  <MaterialCard v-else-if="material" :material="material" @open="open = $event" />
  <PrinterCards v-else-if="printer" :printer="printer" :editor="measuring" />
  <CutterCards v-else-if="cutter" :cutter="cutter" />
  <SupplyCard v-else-if="supply" :supply="supply" />
  <SimulatedDevicesCard v-if="part === 'printers' || part === 'cutters'" />
</template>
