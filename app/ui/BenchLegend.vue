<script setup lang="ts">
/** What the lines on a bench mean: only those that are there. */
import { texts } from '../texts/index.ts';

defineProps<{ lines: readonly (keyof typeof texts.ui.lines)[] }>();
</script>

<template>
  <ul class="legend">
    <li v-for="line in lines" :key="line">
      <svg viewBox="0 0 24 8" aria-hidden="true">
        <path
          v-if="line === 'kiss' || line === 'through' || line === 'fold'"
          :class="line"
          d="M0 4H24"
        />
        <rect v-else :class="line" y="1" width="24" height="6" rx="2.5" />
      </svg>
      {{ texts.ui.lines[line] }}
    </li>
  </ul>
</template>

<style scoped>
.legend {
  margin: 0;
  border-radius: 18px;
  padding: 8px 14px;
  background: var(--card);
  box-shadow: var(--shadow);
  list-style: none;
  white-space: nowrap;
}
svg {
  width: 22px;
  height: 8px;
  margin-right: 6px;
}
.fold {
  stroke: #7a4d22;
  stroke-width: 1.6;
  stroke-dasharray: 6 3 1 3;
}
.kiss {
  stroke: var(--kiss);
  stroke-width: 2;
  stroke-dasharray: 5 3;
}
.through {
  stroke: var(--through);
  stroke-width: 2;
}
.bleed {
  fill: var(--apricot);
  opacity: 0.6;
}
.zone {
  fill: var(--apricot);
  opacity: 0.32;
}
</style>
