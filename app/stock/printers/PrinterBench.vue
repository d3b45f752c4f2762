<script setup lang="ts">
import { computed } from 'vue';
import type { PrinterProfile } from '../../../core/stock/index.ts';
import { useFileDrops } from '../../ui/file-drops.ts';
import { texts } from '../../texts/index.ts';
import EmptyState from '../../ui/EmptyState.vue';
import PhotoCorners from '../../ui/PhotoCorners.vue';
import CalibrationPlot from './CalibrationPlot.vue';
import LinkButton from '../../ui/LinkButton.vue';
import type { PrinterEditor } from './printer-editor.ts';

/** The printers of the workshop, and where the chosen one puts the crosses of a sheet. */
const { editor } = defineProps<{
  printers: readonly PrinterProfile[];
  open: PrinterProfile | undefined;
  editor: PrinterEditor;
}>();
defineEmits<{ open: [id: string]; add: []; look: [] }>();
const words = texts.printers;
const { busy, found, kept, read, seen, settingCorners, sheet } = editor;
const map = computed(() => found.value?.map ?? kept.value?.map);
const { over, drop } = useFileDrops((files) => void editor.take(files));
</script>

<template>
  <EmptyState
    v-if="printers.length === 0"
    :says="words.empty"
    :action="texts.found.look"
    @act="$emit('look')"
  >
    <LinkButton @click="$emit('add')">{{ words.add }}</LinkButton>
  </EmptyState>
  <div
    v-else
    class="printers"
    :class="{ over }"
    @dragover.prevent="over = true"
    @dragleave.self="over = false"
    @drop.prevent="drop"
  >
    <div class="list" role="radiogroup" :aria-label="texts.stock.parts.printers">
      <button
        v-for="one in printers"
        :key="one.id"
        type="button"
        role="radio"
        class="printer"
        :aria-checked="one.id === open?.id"
        @click="$emit('open', one.id)"
      >
        <img v-if="one.picture" :src="one.picture" alt="" />
        <strong>{{ one.name }}</strong>
        <span v-if="one.address" class="quiet">{{ one.address }}</span>
        <span v-for="tray in one.trays" :key="tray.id" class="quiet"
          >{{ tray.name }}: {{ editor.state(tray.front) }}</span
        >
      </button>
      <LinkButton @click="$emit('look')">{{ texts.found.look }}</LinkButton>
      <LinkButton @click="$emit('add')">{{ words.add }}</LinkButton>
    </div>
    <PhotoCorners
      v-if="settingCorners && seen"
      class="plot"
      :photo="seen"
      :done-label="texts.stock.read.cornersDone"
      @done="editor.lookWithin"
    />
    <CalibrationPlot v-else class="plot" :sheet="sheet" :map="map" :picture="read?.flat" />
    <p v-if="busy" class="looking" role="status">
      {{ editor.doing.value }}
      <LinkButton @click="editor.cancel">{{ texts.cancel }}</LinkButton>
    </p>
  </div>
</template>

<style scoped>
.printers {
  position: relative;
  display: flex;
  gap: 26px;
  height: calc(100% - 60px);
}
.over {
  border-radius: var(--r-job);
  outline: 3px dashed var(--apricot);
  outline-offset: 8px;
}
.list {
  display: flex;
  flex: 0 0 240px;
  flex-direction: column;
  gap: 12px;
  align-items: stretch;
  margin: -12px;
  padding: 12px;
  overflow: auto;
}
.list .link {
  align-self: start;
}
.printer {
  display: flex;
  flex-direction: column;
  gap: 2px;
  border: 2px solid transparent;
  border-radius: var(--r-job);
  padding: 12px 16px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  line-height: 1.35;
  text-align: left;
  overflow-wrap: anywhere;
  cursor: pointer;
  box-shadow: var(--shadow);
}
.printer img {
  align-self: start;
  max-width: 56px;
  max-height: 48px;
  margin-bottom: 4px;
}
.printer .quiet {
  font-size: 12.5px;
}
.printer:hover {
  border-color: var(--apricot-soft);
}
.printer[aria-checked='true'] {
  border-color: var(--apricot);
}
.plot {
  flex: 1;
  min-width: 0;
}
.looking {
  position: absolute;
  bottom: 0;
  left: 50%;
  margin: 0;
  border-radius: var(--r-card);
  padding: 8px 18px;
  background: var(--card);
  box-shadow: var(--shadow);
}
</style>
