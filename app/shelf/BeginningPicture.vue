<script setup lang="ts">
import type { Beginning } from '../../core/job/index.ts';

/** A small line drawing of what is being labelled. */
defineProps<{ beginning: Beginning }>();
</script>

<template>
  <svg class="thing" viewBox="0 0 48 44" aria-hidden="true">
    <template v-if="beginning === 'lid'">
      <path d="M5 16v12c0 5 8.5 9 19 9s19-4 19-9V16" />
      <ellipse class="soft" cx="24" cy="16" rx="19" ry="9" />
      <ellipse cx="24" cy="15.5" rx="12.5" ry="5.4" />
    </template>
    <template v-else-if="beginning === 'face'">
      <path d="M10 7h24l5 4v27H14l-4-3z" />
      <rect class="soft" x="10" y="7" width="24" height="28" rx="1" />
      <rect x="14.5" y="12" width="15" height="18" rx="2" />
    </template>
    <template v-else>
      <rect x="9" y="3" width="30" height="38" rx="2" />
      <g class="soft">
        <circle
          v-for="spot in 6"
          :key="spot"
          :cx="spot % 2 ? 17.5 : 30.5"
          :cy="4 + Math.ceil(spot / 2) * 9.5"
          r="3.9"
        />
      </g>
    </template>
  </svg>
</template>

<style scoped>
.thing {
  flex: none;
  width: 58px;
  fill: none;
  stroke: var(--plum);
  stroke-width: 1.6;
  stroke-linejoin: round;
}
.soft {
  fill: var(--apricot-soft);
}
</style>
