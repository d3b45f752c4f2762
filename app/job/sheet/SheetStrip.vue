<script setup lang="ts">
import { leadColor } from '../../../core/piece/index.ts';
import { computed } from 'vue';
import type { SheetLayout } from '../../../core/sheet/index.ts';
import { texts } from '../../texts/index.ts';
import { useJobStore } from '../store/job-store.ts';

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

/** Sheets one after the other that print alike, shown once. */
interface Alike {
  readonly first: number;
  readonly last: number;
  readonly sheet: SheetLayout;
}
const groups = computed(() => {
  const found: Alike[] = [];
  let before: string | undefined;
  for (const [at, sheet] of sheets.value.entries()) {
    const key = keyOf(sheet);
    const group = found[found.length - 1];
    if (group && key !== undefined && key === before)
      found[found.length - 1] = { ...group, last: at };
    else found.push({ first: at, last: at, sheet });
    before = key;
  }
  return found;
});

/** What tells a sheet from others; undefined where copies count up, so that none is like another. */
function keyOf({ placements, stock }: SheetLayout): string | undefined {
  if (placements.some(({ piece }) => store.pieces.get(piece)?.numbered)) return undefined;
  return [stock.id, ...placements.map(({ piece, x, y, angle }) => [piece, x, y, angle])].join();
}

const colorOf = (piece: string): string =>
  leadColor(store.job?.pieces.find(({ id }) => id === piece)?.ground ?? '#d9cfcb');
const size = (piece: string): { w: number; h: number } => {
  const found = store.pieces.get(piece);
  return { w: found?.width ?? 10, h: found?.height ?? 10 };
};
const nameOf = ({ first, last }: Alike): string =>
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
