<script setup lang="ts">
import { mdiPause, mdiPlay } from '@mdi/js';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { knifeAt, knifeMoves, knifeTime, orderCuts } from '../../../core/cutting/index.ts';
import { pathData } from '../../../core/drawing/index.ts';
import { linesPath } from '../../../core/geometry/index.ts';
import type { CompiledSheet } from '../../../core/sheet/index.ts';
import type { Material } from '../../../core/stock/index.ts';
import { texts } from '../../texts/index.ts';
import LabelPictures from './LabelPictures.vue';

/** The way of the knife over a sheet, played as fast as one can follow, with a slider. */
const props = defineProps<{
  sheet: CompiledSheet;
  cut: Material['cut'];
  /** How many cuts were made before: they are not shown again. */
  from: number;
}>();
const words = texts.run;
const PLAYED = 14; // seconds that the whole takes to be shown
const moves = computed(() => knifeMoves(orderCuts(props.sheet.cuts).slice(props.from), props.cut));
const lines = computed(() =>
  moves.value.map(({ kind, points }) => ({
    kind: kind ?? 'lifted',
    d: pathData(linesPath([points])),
  })),
);
const total = computed(() => knifeTime(moves.value));
const time = ref(0);
const playing = ref(false);
const at = computed(() => knifeAt(moves.value, time.value));
const says = computed(() => {
  const minutes = Math.floor(total.value / 60);
  return words.takes(minutes, Math.round(total.value - minutes * 60));
});
let frame = 0;
let last = 0;

function tick(now: number): void {
  time.value += ((now - last) / 1000) * (total.value / PLAYED);
  last = now;
  if (time.value >= total.value) {
    time.value = total.value;
    playing.value = false;
  } else frame = requestAnimationFrame(tick);
}

function play(): void {
  if (playing.value) return pause();
  if (time.value >= total.value) time.value = 0;
  playing.value = true;
  last = performance.now();
  frame = requestAnimationFrame(tick);
}

function pause(): void {
  playing.value = false;
  cancelAnimationFrame(frame);
}

watch(moves, () => {
  pause();
  time.value = 0;
});
onBeforeUnmount(pause);
</script>

<template>
  <figure class="play">
    <svg
      :viewBox="`0 0 ${sheet.drawing.width} ${sheet.drawing.height}`"
      role="img"
      :aria-label="words.knifeWay"
    >
      <rect class="paper" :width="sheet.drawing.width" :height="sheet.drawing.height" />
      <g class="pale">
        <LabelPictures :sheet="sheet" />
        <circle
          v-for="(mark, index) in sheet.marks"
          :key="index"
          :cx="mark.x"
          :cy="mark.y"
          :r="mark.size / 2"
        />
      </g>
      <path
        v-for="({ kind, d }, index) in lines"
        :key="index"
        class="move"
        :class="[kind, { gone: index < at.move || time >= total }]"
        :d="d"
      />
      <circle class="knife" :cx="at.point.x" :cy="at.point.y" r="2.6" />
    </svg>
    <figcaption>
      <button
        class="go"
        type="button"
        :aria-label="playing ? words.pause : words.play"
        @click="play"
      >
        <svg viewBox="0 0 24 24" aria-hidden="true">
          <path :d="playing ? mdiPause : mdiPlay" />
        </svg>
      </button>
      <input
        v-model.number="time"
        type="range"
        min="0"
        step="0.1"
        :max="total"
        :aria-label="words.knifeWay"
        @pointerdown="pause"
      />
      <span class="quiet">{{ says }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.play {
  display: flex;
  flex-direction: column;
  gap: 8px;
  height: 100%;
  margin: 0;
}
.play > svg {
  display: block;
  flex: 1;
  min-height: 0;
  max-width: 100%;
  margin: 0 auto;
}
.paper {
  fill: #fff;
  stroke: var(--line);
}
.pale {
  opacity: 0.45;
}
.move {
  fill: none;
  stroke-width: 0.5;
  opacity: 0.35;
}
.gone {
  stroke-width: 1;
  opacity: 1;
}
.kiss {
  stroke: #0f7c86;
}
.through {
  stroke: #3b3a9c;
}
.crease {
  stroke: #8a640c;
}
.lifted {
  stroke: #b8a9ae;
  stroke-width: 0.3;
  stroke-dasharray: 1.5 1.5;
}
.knife {
  fill: #f2a65a;
  stroke: #44203d;
  stroke-width: 0.8;
}
figcaption {
  display: flex;
  gap: 10px;
  align-items: center;
}
figcaption input {
  flex: 1;
  min-width: 0;
  accent-color: var(--plum);
}
.go {
  flex: none;
  width: 34px;
  height: 34px;
  border: 0;
  border-radius: 50%;
  padding: 6px;
  background: var(--apricot-soft);
  cursor: pointer;
}
.go path {
  fill: var(--plum);
}
</style>
