<script setup lang="ts">
import type { BenchControls } from './bench-view.ts';
import { texts } from '../texts/index.ts';

/** Zoom of a bench, in its corner. */
defineProps<{ bench: BenchControls; whole: string }>();
</script>

<template>
  <div class="zoom bench-tray">
    <button type="button" :aria-label="texts.ui.zoomOut" @click="bench.zoomBy(1 / 1.25)">–</button>
    <button type="button" class="percent" :title="texts.ui.trueSize" @click="bench.trueSize()">
      {{ bench.percent.value }} %
    </button>
    <button type="button" :aria-label="texts.ui.zoomIn" @click="bench.zoomBy(1.25)">+</button>
    <button type="button" @click="bench.fit()">{{ whole }}</button>
    <slot />
  </div>
</template>

<style scoped>
.zoom {
  display: flex;
  align-items: center;
  padding: 3px 8px;
}
button,
:slotted(button) {
  min-width: 28px;
  min-height: 30px;
  border: 0;
  border-radius: 10px;
  padding: 0 8px;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.percent {
  min-width: 58px;
}
button:hover,
:slotted(button:hover) {
  background: var(--apricot-soft);
}
@media (pointer: coarse) {
  button {
    min-width: 44px;
    min-height: 40px;
  }
}
</style>
