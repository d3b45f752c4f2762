<script setup lang="ts">
import { computed } from 'vue';
import type { Cutter, PrinterProfile } from '../../../core/stock/index.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import CutterBench from '../cutters/CutterBench.vue';
import PrinterBench from '../printers/PrinterBench.vue';
import type { PrinterEditor } from '../printers/printer-editor.ts';
import { useDeviceSearch } from './device-search.ts';
import FoundDevices from './FoundDevices.vue';

/** The printers or the cutters of the workshop, and those that are found. */
type Part = 'printers' | 'cutters';
defineProps<{
  part: Part;
  printer: PrinterProfile | undefined;
  cutter: Cutter | undefined;
  editor: PrinterEditor;
}>();
defineEmits<{ open: [part: Part, id: string]; add: [part: Part] }>();
const room = useStockRoom();
const search = useDeviceSearch();
const { busy, devices } = search;
const searches = computed(() => busy.value || devices.value !== undefined);
</script>

<template>
  <FoundDevices
    v-if="searches"
    :search="search"
    @open="(at, id) => $emit('open', at, id)"
    @by-hand="$emit('add', part)"
  />
  <PrinterBench
    v-if="part === 'printers' && (room.room.printers.length || !searches)"
    :printers="room.room.printers"
    :open="printer"
    :editor="editor"
    @open="$emit('open', part, $event)"
    @add="$emit('add', part)"
    @look="search.look"
  />
  <CutterBench
    v-if="part === 'cutters' && (room.room.cutters.length || !searches)"
    :cutters="room.room.cutters"
    :open="cutter"
    @open="$emit('open', part, $event)"
    @add="$emit('add', part)"
    @look="search.look"
  />
</template>
