<script setup lang="ts">
import { leadColor } from '../../../core/piece/index.ts';
import { isByRow } from '../../../core/sheet/index.ts';
import { computed } from 'vue';
import { texts } from '../../texts/index.ts';
import { useJobStore } from '../../session/job-store.ts';
import { alikeSheets, type AlikeSheets } from './alike-sheets.ts';

/** The sheets of the job as small pictures. */
defineProps<{ modelValue: number; current: number }>();
defineEmits<{ 'update:modelValue': [index: number] }>();
const store = useJobStore();
const say = texts.sheet;
const MOST = 60;
const sheets = computed(() => store.layout?.sheets ?? []);
const count = computed(() =>
  sheets.value.reduce((sum, { placements }) => sum + placements.length, 0),
);

/** Rows of the list may give colours and pictures of their own. */
const rowsLookAlone = computed(
  () => (store.job?.list?.colors ?? store.job?.list?.pictures) !== undefined,
);

/** Sheets that print alike are shown once. */
const groups = computed(() =>
  alikeSheets(
    sheets.value,
    ({ piece, copy }) =>
      store.pieces.get(piece)?.numbered === true ||
      store.job?.oneOffs?.[copy] !== undefined ||
      (store.job !== undefined && rowsLookAlone.value && isByRow(store.job, piece)),
  ),
);

const colorOf = (piece: string): string =>
  leadColor(store.job?.pieces.find(({ id }) => id === piece)?.ground ?? '#d9cfcb');
const size = (piece: string): { w: number; h: number } => {
  const found = store.pieces.get(piece);
  return { w: found?.width ?? 10, h: found?.height ?? 10 };
};
const nameOf = ({ first, last }: AlikeSheets): string =>
  first === last ? say.sheetNumber(first + 1) : say.sheetsAlike(first + 1, last + 1);
const KIND = 'application/x-peel-sheet';

function drop(event: DragEvent, to: number): void {
  const from = event.dataTransfer?.getData(KIND);
  if (from) store.act({ name: 'move-sheet', args: { from: Number(from), to } });
}
</script>

<template>
  <div v-if="sheets.length" class="strip grows">
    <div class="sheets">
      <button
        v-for="group in groups.slice(0, MOST)"
        :key="group.first"
        type="button"
        :data-sheet="group.first"
        :aria-label="nameOf(group)"
        :title="nameOf(group)"
        :aria-pressed="current >= group.first && current <= group.last"
        draggable="true"
        @click="$emit('update:modelValue', group.first)"
        @dragstart="$event.dataTransfer?.setData(KIND, String(group.first))"
        @dragover.prevent
        @drop.prevent="drop($event, group.first)"
      >
        <svg
          :viewBox="`0 0 ${group.sheet.stock.width} ${group.sheet.stock.height}`"
          aria-hidden="true"
        >
          <g
            v-for="{ copy, piece, x, y, angle } in group.sheet.placements"
            :key="copy"
            :transform="`translate(${x} ${y}) rotate(${angle})`"
          >
            <rect
              :x="-size(piece).w / 2"
              :y="-size(piece).h / 2"
              :width="size(piece).w"
              :height="size(piece).h"
              :rx="store.pieces.get(piece)?.piece.edge.kind === 'rectangle' ? 3 : 500"
              :fill="colorOf(piece)"
            />
          </g>
        </svg>
        <span v-if="group.last > group.first" class="times">{{
          say.times(group.last - group.first + 1)
        }}</span>
      </button>
    </div>
    <span class="quiet">{{ say.places(sheets.length, count, store.layout?.places ?? 0) }}</span>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  align-items: center;
  gap: 12px;
  border-radius: var(--r-tray);
  box-sizing: border-box;
  padding: 5px 16px 5px 10px;
  background: var(--card);
  box-shadow: var(--shadow);
  white-space: nowrap;
}
.sheets {
  display: flex;
  gap: 6px;
  min-width: 0;
  padding: 3px;
  overflow-x: auto;
}
button {
  position: relative;
  flex: none;
  border: 1px solid var(--line);
  border-radius: 6px;
  padding: 2px;
  background: #fffdf9;
  cursor: pointer;
}
button[aria-pressed='true'] {
  outline: 2.5px solid var(--apricot);
}
.times {
  position: absolute;
  right: -3px;
  bottom: -3px;
  border-radius: 8px;
  padding: 0 5px;
  background: var(--plum);
  color: #fffdf9;
  font-size: 11px;
}
svg {
  display: block;
  width: 28px;
  height: 38px;
}
svg rect {
  stroke: #8c7d8d;
  stroke-width: 2;
}
</style>
