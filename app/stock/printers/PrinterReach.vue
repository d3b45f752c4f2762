<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue';
import type { Problem } from '../../../core/base/index.ts';
import type { PrinterProfile } from '../../../core/stock/index.ts';
import type { PrinterTold } from '../../../devices/protocol/index.ts';
import { askPrinter, isConfirmed } from '../../session/bridge.ts';
import { offeredFacts, offersOf } from '../../session/printer-facts.ts';
import { printerNotes } from '../../session/printer-state.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { texts } from '../../texts/index.ts';
import LinkButton from '../../ui/LinkButton.vue';
import { useMessages } from '../../ui/messages-store.ts';
import AddressField from '../AddressField.vue';
import PrinterAccess from './PrinterAccess.vue';
import { printerPictureUrl } from './printer-picture.ts';
import PrinterSupplies from './PrinterSupplies.vue';

/** How a printer is reached, what it says that it can, and what is left in it. */
const props = defineProps<{ printer: PrinterProfile }>();
const words = texts.devices;
const room = useStockRoom();
const messages = useMessages();
/** What keeps the printer from answering that is asked for on the card. */
const refused = shallowRef<Problem>();
const told = shallowRef<PrinterTold>();
const state = computed(() => told.value && printerNotes(told.value));

const isAsked = ({ code }: Problem): boolean =>
  code === 'printer/certificate-unknown' ||
  code === 'printer/certificate-changed' ||
  code === 'printer/wants-login';

watch(
  () => props.printer.id,
  async () => {
    refused.value = undefined;
    told.value = undefined;
    const { address, offers } = props.printer;
    // One that was found and added has not been asked yet.
    if (address && !offers && (await isConfirmed('printer', address))) await reach(address);
  },
  { immediate: true },
);

/** Takes an address over, and asks the printer there what it can. */
async function reach(address: string): Promise<void> {
  const { address: before, offers, picture, ...others } = props.printer;
  const { id } = others;
  const known =
    address === before ? { ...(offers ? { offers } : {}), ...(picture ? { picture } : {}) } : {};
  await room.keepPrinter(address ? { ...others, ...known, address } : others);
  if (!address) return;
  const answer = await askPrinter(address);
  // Another printer may be open by now.
  const now = room.room.printers.find((one) => one.id === id);
  if (now?.address !== address || props.printer.id !== id) return;
  refused.value = !answer.ok && isAsked(answer.problem) ? answer.problem : undefined;
  told.value = answer.ok ? answer.value : undefined;
  if (refused.value) return;
  if (!answer.ok) return messages.sayProblem(answer.problem);
  const { name, duplex, takesPdf, unscaled } = answer.value;
  await room.keepPrinter({ ...now, duplex, offers: offersOf(answer.value) });
  messages.say(
    [words.tells(name), takesPdf ? (unscaled ? '' : words.scales) : words.noPdf].join(' '),
  );
  const shows = await printerPictureUrl(address);
  const later = room.room.printers.find((one) => one.id === id);
  if (shows && later?.address === address) await room.keepPrinter({ ...later, picture: shows });
}
</script>

<template>
  <AddressField
    kind="printer"
    :label="words.address"
    :address="printer.address ?? ''"
    :example="words.printerExample"
    :hint="words.addressHint"
    @confirmed="reach"
  />
  <PrinterAccess
    v-if="refused && printer.address"
    :address="printer.address"
    :refused="refused"
    @open="reach(printer.address)"
  />
  <template v-if="printer.offers">
    <p v-for="[name, value] in offeredFacts(printer.offers)" :key="name" class="quiet">
      {{ name }}: {{ value }}
    </p>
  </template>
  <PrinterSupplies v-if="told?.supplies.length" :supplies="told.supplies" />
  <template v-if="state">
    <p v-for="says in state.stops" :key="says" class="stop">{{ says }}</p>
    <p v-for="says in state.notes" :key="says" class="note">{{ says }}</p>
  </template>
  <LinkButton v-if="printer.address" @click="reach(printer.address)">
    {{ words.askAgain }}
  </LinkButton>
</template>

<style scoped>
p {
  margin: 0 0 4px;
  font-size: 12.5px;
}
.note {
  color: var(--amber-text);
}
.stop {
  color: var(--brick-text);
}
</style>
