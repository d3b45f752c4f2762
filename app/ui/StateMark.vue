<script setup lang="ts">
import { texts } from '../texts/index.ts';

/** A state by shape and colour: tick in a disc, triangle, square, empty ring. */
defineProps<{ state: 'done' | 'look' | 'stop' | 'open' }>();
</script>

<template>
  <svg
    class="mark"
    :class="state"
    viewBox="0 0 16 16"
    role="img"
    :aria-label="texts.ticket.states[state]"
  >
    <template v-if="state === 'done'">
      <circle cx="8" cy="8" r="7" />
      <path class="tick" d="M4.8 8.2l2.2 2.2 4.2-4.6" />
    </template>
    <path v-else-if="state === 'look'" d="M8 1.6 15 14H1z" />
    <rect v-else-if="state === 'stop'" x="2" y="2" width="12" height="12" rx="2" />
    <circle v-else class="ring" cx="8" cy="8" r="5.6" />
  </svg>
</template>

<style scoped>
.mark {
  flex: none;
  width: 15px;
  height: 15px;
}
.done {
  fill: var(--leaf);
}
.look {
  fill: var(--amber);
}
.stop {
  fill: var(--brick);
}
.tick {
  fill: none;
  stroke: var(--card);
  stroke-width: 1.8;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.ring {
  fill: none;
  stroke: var(--field-line);
  stroke-width: 1.4;
}
</style>
