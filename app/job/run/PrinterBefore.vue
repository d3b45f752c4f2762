<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import type { PrinterTold } from '../../../devices/protocol/index.ts';
import type { PrinterProfile } from '../../../core/stock/index.ts';
import { problemLine } from '../../../messages/index.ts';
import { askPrinter } from '../../session/bridge.ts';
import { printerNotes } from '../../session/printer-state.ts';
import PrinterSupplies from '../../stock/printers/PrinterSupplies.vue';
import { texts } from '../../texts/index.ts';
import LinkButton from '../../ui/LinkButton.vue';

/** What a printer says of itself before it prints: what is low, and what stops it. */
const props = defineProps<{ printer: PrinterProfile }>();
/** Whether somebody has to see to the printer first. */
const stopped = defineModel<boolean>('stopped', { required: true });
const AGAIN = 5000; // ms between looks while it is stopped
const words = texts.feeding.before;
const told = shallowRef<PrinterTold>();
const failed = ref('');
const asking = ref(false);
const anyway = ref(false);
const state = computed(() => (told.value ? printerNotes(told.value) : { stops: [], notes: [] }));
let timer: ReturnType<typeof setTimeout> | undefined;
let isGone = false;

watch([state, anyway], () => (stopped.value = state.value.stops.length > 0 && !anyway.value));

async function ask(): Promise<void> {
  clearTimeout(timer);
  const { id, address } = props.printer;
  if (asking.value || !address) return;
  asking.value = true;
  const answer = await askPrinter(address).finally(() => (asking.value = false));
  if (isGone || props.printer.id !== id) return;
  told.value = answer.ok ? answer.value : undefined;
  failed.value = answer.ok ? '' : problemLine(answer.problem);
  // Whoever sees to the printer need not press anything here as well.
  if (state.value.stops.length) timer = setTimeout(() => void ask(), AGAIN);
}

watch(
  () => props.printer.id,
  () => {
    told.value = undefined;
    anyway.value = false;
    void ask();
  },
  { immediate: true },
);
onBeforeUnmount(() => {
  isGone = true;
  clearTimeout(timer);
  stopped.value = false;
});
</script>

<template>
  <section class="before" :aria-label="words.title">
    <p v-if="asking && !told && !failed" class="quiet">{{ words.asking }}</p>
    <p v-if="failed" class="low">{{ failed }}</p>
    <template v-if="told">
      <PrinterSupplies v-if="told.supplies.length" :supplies="told.supplies" />
      <p v-if="!state.stops.length && !state.notes.length" class="quiet">{{ words.ready }}</p>
      <p v-if="state.stops.length" class="out">
        <strong>{{ words.stops }}</strong> {{ state.stops.join(' ') }}
      </p>
      <p v-for="says in state.notes" :key="says" class="low">{{ says }}</p>
    </template>
    <div v-if="failed || state.stops.length" class="ways">
      <LinkButton :disabled="asking" @click="ask">{{ words.askAgain }}</LinkButton>
      <LinkButton v-if="stopped" @click="anyway = true">{{ words.allTheSame }}</LinkButton>
    </div>
  </section>
</template>

<style scoped>
.before {
  box-sizing: border-box;
  align-self: stretch;
  max-width: 380px;
}
p {
  margin: 0;
}
.low {
  color: var(--amber-text);
}
.out {
  color: var(--brick-text);
}
.ways {
  display: flex;
  gap: 14px;
}
</style>
