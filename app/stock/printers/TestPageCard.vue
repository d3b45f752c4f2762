<script setup lang="ts">
import { computed, ref } from 'vue';
import { Cancelled } from '../../../core/base/index.ts';
import { fileStem } from '../../../core/output/index.ts';
import type { Feed, PrinterProfile, Tray } from '../../../core/stock/index.ts';
import { calls } from '../../calls/index.ts';
import { printOn } from '../../session/bridge.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { download } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { useMessages } from '../../ui/messages-store.ts';
import LoadPicture from './LoadPicture.vue';

/** A test page, and how it came out of a tray: by that each run shows how sheets lie in it. */
const props = defineProps<{
  printer: PrinterProfile;
  tray: Tray | undefined;
  /** The paper, mm. */
  sheet: { readonly width: number; readonly height: number };
}>();
const words = texts.feeding;
const room = useStockRoom();
const messages = useMessages();
const busy = ref(false);
const asking = ref(false);
const RESULTS = (['up', 'down'] as const).flatMap((printed) =>
  (['top', 'bottom'] as const).map((first): Feed => ({ printed, first })),
);
const feed = computed(() => (asking.value ? undefined : props.tray?.feed));
const USUAL = { tray: '', type: '', quality: 'normal', color: 'auto' } as const;

async function make(): Promise<void> {
  busy.value = true;
  try {
    const { printer, tray, sheet } = props;
    const name = [printer.name, tray?.name].filter(Boolean).join(', ');
    const pdf = await calls.call('testPage', { sheet: { ...sheet }, name }).answer;
    if (!printer.address)
      return download(`${fileStem(printer.name)}-test-page.pdf`, pdf, 'application/pdf');
    const order = { address: printer.address, name: words.title, ...sheet, choices: USUAL };
    const { done } = printOn({ ...order, sides: 'one-sided' }, pdf, () => undefined);
    const came = await done;
    if (came.ok) messages.say(words.printing);
    else messages.sayProblem(came.problem);
  } catch (error) {
    if (!(error instanceof Cancelled)) messages.sayError(error);
  } finally {
    busy.value = false;
  }
}

async function keep(next: Feed): Promise<void> {
  const { printer, tray } = props;
  if (!tray) return;
  asking.value = false;
  await room.keepPrinter({
    ...printer,
    trays: printer.trays.map((one) => (one.id === tray.id ? { ...one, feed: next } : one)),
  });
  messages.say(words.kept);
}
</script>

<template>
  <CardPanel :title="words.title">
    <p class="hint">{{ words.hint }}</p>
    <v-btn color="primary" variant="tonal" :disabled="busy" @click="make">{{
      printer.address ? words.print : words.save
    }}</v-btn>
    <h3>{{ words.wayRound }}</h3>
    <template v-if="feed">
      <LoadPicture class="small" :loading="feed" side="front" />
      <LinkButton @click="asking = true">{{ words.again }}</LinkButton>
    </template>
    <template v-else>
      <p class="hint">{{ words.cross }}</p>
      <div class="results" role="group" :aria-label="words.cameOut">
        <button
          v-for="one in RESULTS"
          :key="`${one.printed} ${one.first}`"
          type="button"
          @click="keep(one)"
        >
          <svg viewBox="0 0 64 84" aria-hidden="true">
            <path class="paper" d="M6 3h52v78H6z" />
            <path class="ink" d="M6 3h12L6 15z" />
            <path class="ink" d="M32 22l11 14h-7v22h-8V36h-7z" />
            <path
              class="cross"
              :class="{ through: one.printed === 'down' }"
              :d="one.first === 'top' ? 'M40 8l8 8m0-8-8 8' : 'M40 68l8 8m0-8-8 8'"
            />
          </svg>
          <span>{{ words.results[`${one.printed} ${one.first}`] }}</span>
        </button>
      </div>
    </template>
  </CardPanel>
</template>

<style scoped>
.hint {
  margin: 0 0 8px;
  color: var(--ink-2);
}
h3 {
  margin: 14px 0 4px;
  font-size: 13.5px;
}
.small {
  max-width: 190px;
  margin: 0 auto 6px;
}
.results {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.results button {
  display: flex;
  flex-direction: column;
  gap: 6px;
  align-items: center;
  border: 2px solid transparent;
  border-radius: 10px;
  padding: 8px 6px;
  background: var(--well);
  color: var(--ink);
  font: inherit;
  font-size: 12px;
  line-height: 1.3;
  text-align: center;
  cursor: pointer;
}
.results button:hover,
.results button:focus-visible {
  border-color: var(--apricot);
}
.results svg {
  width: 56px;
}
.paper {
  fill: #fffdf9;
  stroke: #44203d;
}
.ink {
  fill: #222;
}
.cross {
  fill: none;
  stroke: #b5432a;
  stroke-width: 2.6;
}
.through {
  stroke-width: 2;
  stroke-dasharray: 2.6 1.8;
}
</style>
