<script setup lang="ts">
import type { Typing } from './typing.ts';

/** The caret, and what is marked, over words that are being typed. */
defineProps<{ typing: Typing; px: number }>();
const points = (corners: readonly { x: number; y: number }[]): string =>
  corners.map(({ x, y }) => `${x},${y}`).join(' ');
</script>

<template>
  <g
    v-if="typing.words.value && typing.map.value"
    class="typing"
    :transform="`matrix(${typing.map.value.join()})`"
  >
    <polygon
      v-for="(mark, at) in typing.marks.value"
      :key="at"
      class="mark"
      :points="points(mark)"
    />
    <polyline
      v-if="typing.caret.value"
      :key="`${typing.caret.value.at}`"
      class="caret"
      :points="points(typing.standing(typing.caret.value))"
      :stroke-width="1.8 * px"
    />
  </g>
</template>

<style scoped>
.typing {
  pointer-events: none;
}
.mark {
  fill: var(--apricot);
  fill-opacity: 0.45;
}
.caret {
  fill: none;
  stroke: #5d2a53;
  animation: blink 1.1s steps(1) infinite;
}
@keyframes blink {
  50% {
    opacity: 0;
  }
}
</style>
