<script setup lang="ts">
import { leadColor } from '../../../core/piece/index.ts';
import { computed } from 'vue';
import { texts } from '../../texts/index.ts';
import { useJobStore } from '../store/job-store.ts';

/** The sheets of the job as small pictures. */
defineProps<{ modelValue: number; current: number }>();
defineEmits<{ 'update:modelValue': [index: number] }>();
const store = useJobStore();
const SHOWN = 60;
const sheets = computed(() => store.layout?.sheets ?? []);
const places = computed(() =>
  sheets.value.reduce((sum, { placements }) => sum + placements.length, 0),
);
const colorOf = (piece: string): string =>
  leadColor(store.job?.pieces.find(({ id }) => id === piece)?.ground ?? '#d9cfcb');
const size = (piece: string): { w: number; h: number } => {
  const found = store.pieces.get(piece);
  return { w: found?.width ?? 10, h: found?.height ?? 10 };
};
</script>

<template>
  <div v-if="sheets.length" class="strip grows">
    <div class="sheets">
      <button
        v-for="(sheet, at) in sheets.slice(0, SHOWN)"
        :key="at"
        type="button"
        :data-sheet="at"
        :aria-label="texts.sheet.sheetNumber(at + 1)"
        :aria-pressed="at === current"
        @click="$emit('update:modelValue', at)"
      >
        <svg
          :viewBox="`0 0 ${store.job?.stock.width} ${store.job?.stock.height}`"
          aria-hidden="true"
        >
          <g
            v-for="{ copy, piece, x, y, angle } in sheet.placements"
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
      </button>
    </div>
    <span class="quiet">{{
      texts.sheet.places(sheets.length, places, sheets.length * (store.layout?.perSheet ?? 0))
    }}</span>
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
