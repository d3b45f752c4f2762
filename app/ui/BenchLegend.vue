<script setup lang="ts">
/** What the lines on a bench mean: only those that are there. */
defineProps<{ lines: readonly ('kiss' | 'through' | 'bleed' | 'zone')[] }>();
const NAMES = {
  kiss: 'kiss cut',
  through: 'through cut',
  bleed: 'bleed',
  zone: 'keep clear',
} as const;
</script>

<template>
  <ul class="legend">
    <li v-for="line in lines" :key="line">
      <svg viewBox="0 0 24 8" aria-hidden="true">
        <path v-if="line === 'kiss' || line === 'through'" :class="line" d="M0 4H24" />
        <rect v-else :class="line" y="1" width="24" height="6" rx="2.5" />
      </svg>
      {{ NAMES[line] }}
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
