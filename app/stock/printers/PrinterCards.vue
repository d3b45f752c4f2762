<script setup lang="ts">
import { computed } from 'vue';
import { freeId } from '../../../core/base/index.ts';
import type { PrinterProfile } from '../../../core/stock/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import FactRow from '../../ui/FactRow.vue';
import LengthField from '../../ui/LengthField.vue';
import SelectRow from '../../ui/SelectRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import PrinterReach from './PrinterReach.vue';
import TestPageCard from './TestPageCard.vue';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { PAPERS } from '../template/template-editor.ts';
import { calibrationFacts, CROSS_NAMES, hundredths } from '../../session/printer-facts.ts';
import type { PrinterEditor } from './printer-editor.ts';

/** A printer: its trays, the sheet to print, how it came out, and what is corrected. */
const props = defineProps<{ printer: PrinterProfile; editor: PrinterEditor }>();
const words = texts.printers;
const room = useStockRoom();
const { busy, byRuler, check, chosen, found, kept, paper, read, readings, seen, settingCorners } =
  props.editor;
const { sheet, side, tray } = props.editor;
const trays = computed(() =>
  Object.fromEntries(props.printer.trays.map(({ id, name }) => [id, name])),
);
/** What a picture told takes the place of the steps that led to it. */
const shown = computed(() => !byRuler.value && read.value !== undefined);
const facts = computed(() => (found.value ? calibrationFacts(found.value, sheet.value) : []));

function keep(changes: Partial<PrinterProfile>): void {
  void room.keepPrinter({ ...props.printer, ...changes });
}

function rename(event: Event): void {
  const name = (event.target as HTMLInputElement).value.trim().slice(0, 80);
  if (name) keep({ name });
}

function renameTray(event: Event): void {
  const name = (event.target as HTMLInputElement).value.trim().slice(0, 80);
  const id = tray.value?.id;
  if (name)
    keep({ trays: props.printer.trays.map((one) => (one.id === id ? { ...one, name } : one)) });
}

function addTray(): void {
  const { trays: all } = props.printer;
  const id = freeId(
    'tray',
    all.map((one) => one.id),
  );
  keep({ trays: [...all, { id, name: `${words.newTray} ${all.length + 1}` }] });
  chosen.value = id;
}

function removeTray(): void {
  const id = tray.value?.id;
  keep({ trays: props.printer.trays.filter((one) => one.id !== id) });
}
</script>

<template>
  <CardPanel :title="words.printer" peeled>
    <input class="well name" :value="printer.name" :aria-label="words.name" @change="rename" />
    <SelectRow
      v-if="printer.trays.length > 1 && tray"
      :label="words.tray"
      :model-value="tray.id"
      :choices="trays"
      @update:model-value="chosen = $event"
    />
    <FactRow as="label" :label="printer.trays.length > 1 ? words.trayName : words.tray">
      <input class="well" :value="tray?.name" :aria-label="words.trayName" @change="renameTray" />
    </FactRow>
    <PrinterReach :printer="printer" />
    <div class="ways">
      <LinkButton @click="addTray">{{ words.addTray }}</LinkButton>
      <LinkButton v-if="printer.trays.length > 1" @click="removeTray">
        {{ words.removeTray }}
      </LinkButton>
      <LinkButton @click="room.removePrinter(printer)">
        {{ words.remove }}
      </LinkButton>
    </div>
    <ChoicesRow v-model="side" :label="words.side" :choices="words.sides" />
  </CardPanel>
  <TestPageCard v-if="!shown" :printer="printer" :tray="tray" :sheet="sheet" />
  <CardPanel v-if="!shown" :title="words.print">
    <p class="hint">{{ side === 'back' ? words.backHint : words.printHint }}</p>
    <SelectRow v-model="paper" :label="words.paper" :choices="PAPERS" />
    <v-btn color="primary" variant="tonal" :disabled="busy" @click="editor.save(false)">{{
      words.saveSheet
    }}</v-btn>
  </CardPanel>
  <CardPanel v-if="!shown" :title="words.measure">
    <template v-if="byRuler">
      <p class="hint">{{ words.rulerHint }}</p>
      <div class="readings">
        <span></span><span class="quiet">{{ words.toSides }}</span
        ><span class="quiet">{{ words.toEnds }}</span>
        <template v-for="(reading, at) in readings" :key="at">
          <span>{{ CROSS_NAMES[at] }}</span>
          <LengthField
            v-model="reading.side"
            :label="words.toSide(CROSS_NAMES[at] ?? '')"
            :min="0"
            :max="60"
            :step="0.1"
          />
          <LengthField
            v-model="reading.end"
            :label="words.toEnd(CROSS_NAMES[at] ?? '')"
            :min="0"
            :max="60"
            :step="0.1"
          />
        </template>
      </div>
      <LinkButton @click="byRuler = false">{{ words.byPicture }}</LinkButton>
    </template>
    <template v-else>
      <p class="hint">{{ words.measureHint }}</p>
      <div class="ways">
        <v-btn color="primary" variant="tonal" :disabled="busy" @click="editor.choose">{{
          words.choose
        }}</v-btn>
        <span class="quiet">{{ words.or }}</span>
      </div>
      <LinkButton v-if="seen && !settingCorners" @click="settingCorners = true">
        {{ words.setCorners }}
      </LinkButton>
      <div class="ways">
        <LinkButton :disabled="busy" @click="editor.tryIt">
          {{ words.tryIt }}
        </LinkButton>
        <LinkButton @click="byRuler = true">{{ words.byRuler }}</LinkButton>
      </div>
    </template>
  </CardPanel>
  <CardPanel
    v-if="check !== undefined"
    :title="words.result"
    :tone="check < 0.3 ? 'leaf' : 'amber'"
  >
    <p>{{ words.check(hundredths(check)) }}</p>
    <div class="ways">
      <LinkButton @click="editor.noteCheck">{{ words.noteCheck }}</LinkButton>
      <LinkButton @click="editor.keep">{{ words.refine }}</LinkButton>
      <LinkButton @click="editor.clear">{{ words.again }}</LinkButton>
    </div>
  </CardPanel>
  <CardPanel v-else-if="found" :title="words.result">
    <FactRow v-for="[label, value] in facts" :key="label" :label="label"
      ><span>{{ value }}</span></FactRow
    >
    <v-btn color="primary" block @click="editor.keep">{{ words.keep }}</v-btn>
    <LinkButton v-if="!byRuler" @click="editor.clear">
      {{ words.again }}
    </LinkButton>
  </CardPanel>
  <CardPanel v-if="kept && !found" :title="words.measured" :aside="kept.date" tone="leaf">
    <FactRow :label="words.farthest"
      ><span>{{ editor.state(kept) }}</span></FactRow
    >
    <FactRow v-if="kept.checked !== undefined" :label="words.checked"
      ><span>{{ hundredths(kept.checked) }}</span></FactRow
    >
    <p class="hint">{{ words.checkHint }}</p>
    <div class="ways">
      <LinkButton :disabled="busy" @click="editor.save(true)">
        {{ words.saveCheck }}
      </LinkButton>
      <LinkButton @click="editor.forget">{{ words.forget }}</LinkButton>
    </div>
  </CardPanel>
</template>

<style scoped>
.name {
  box-sizing: border-box;
  width: 100%;
}
.hint {
  margin: 0 0 8px;
  color: var(--ink-2);
}
.readings {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 6px 8px;
  align-items: center;
  margin-bottom: 8px;
}
.readings .quiet {
  font-size: 12.5px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}
p {
  margin: 0 0 6px;
}
</style>
