<script setup lang="ts">
import { computed } from 'vue';
import { texts } from '../../texts/index.ts';
import type { SubjectTool } from './subject-tool.ts';

/** What is drawn over a photograph while its subject is freed, in its pixels. */
const props = defineProps<{ tool: SubjectTool }>();
const words = texts.art.bench.subject;
const { drawn, free, brush, shape, radius, holes } = props.tool;
const frame = computed(() => {
  const [fromX, fromY] = drawn.value[0] ?? [0, 0];
  const [toX, toY] = drawn.value[drawn.value.length - 1] ?? [0, 0];
  return {
    x: Math.min(fromX, toX),
    y: Math.min(fromY, toY),
    width: Math.abs(toX - fromX),
    height: Math.abs(toY - fromY),
  };
});
const points = computed(() => drawn.value.map((at) => at.join()).join(' '));
</script>

<template>
  <g>
    <template v-if="drawn.length">
      <polyline
        v-if="free"
        class="stroke"
        :class="brush"
        :points="points"
        :stroke-width="2 * radius"
      />
      <rect v-else-if="shape === 'frame'" class="around" v-bind="frame" />
      <polygon v-else class="around" :points="points" />
    </template>
    <rect
      v-for="(hole, at) in holes"
      :key="at"
      class="hole"
      :class="{ open: hole.isOpen }"
      :x="hole.left - radius"
      :y="hole.top - radius"
      :width="hole.right - hole.left + 2 * radius"
      :height="hole.bottom - hole.top + 2 * radius"
      role="button"
      tabindex="0"
      :aria-pressed="hole.isOpen"
      :aria-label="words.hole(at + 1)"
      @pointerdown.stop
      @click="tool.turnHole(hole)"
      @keydown.enter="tool.turnHole(hole)"
    />
  </g>
</template>

<style scoped>
.stroke {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.stroke.keep,
.stroke.restore {
  stroke: #3f7f4f88;
}
.stroke.drop,
.stroke.erase {
  stroke: #b5432a88;
}
.around {
  fill: #f2a65a1f;
  stroke: #5d2a53;
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.hole {
  fill: #f2a65a26;
  stroke: #5d2a53;
  stroke-dasharray: 4 4;
  vector-effect: non-scaling-stroke;
  cursor: pointer;
}
.hole.open {
  fill: none;
}
.hole:hover,
.hole:focus-visible {
  fill: #f2a65a55;
}
</style>
