<script setup lang="ts">
import { computed } from 'vue';
import type { BenchControls } from './bench-view.ts';

/** Rulers in mm along the top and left of a bench. */
const props = defineProps<{ bench: BenchControls; pullName?: string }>();
/** Where guides can be pulled out: the upper ruler gives level ones. */
const emit = defineEmits<{ pull: [event: PointerEvent, axis: 'x' | 'y'] }>();

const step = computed(
  () => [1, 2, 5, 10, 20, 50, 100].find((mm) => mm * props.bench.view.value.scale >= 5) ?? 200,
);

function ticks(offset: number, length: number): { at: number; mm: number; long: boolean }[] {
  const { scale } = props.bench.view.value;
  const first = Math.ceil(-offset / scale / step.value);
  const last = Math.floor((length - offset) / scale / step.value);
  return Array.from({ length: Math.max(0, Math.min(900, last - first + 1)) }, (_, index) => {
    const mm = (first + index) * step.value;
    return { mm, at: mm * scale + offset, long: (first + index) % 10 === 0 };
  });
}
const across = computed(() => ticks(props.bench.view.value.x, props.bench.size.value.width));
const down = computed(() => ticks(props.bench.view.value.y, props.bench.size.value.height));
</script>

<template>
  <svg
    class="ruler top"
    :class="{ pulls: pullName }"
    aria-hidden="true"
    @pointerdown="pullName && emit('pull', $event, 'y')"
  >
    <title v-if="pullName">{{ pullName }}</title>
    <path :d="across.map(({ at, long }) => `M${at} 18V${long ? 4 : 12}`).join('')" />
    <text v-for="{ at, mm } in across.filter(({ long }) => long)" :key="mm" :x="at + 3" y="11">
      {{ mm }}
    </text>
  </svg>
  <svg
    class="ruler left"
    :class="{ pulls: pullName }"
    aria-hidden="true"
    @pointerdown="pullName && emit('pull', $event, 'x')"
  >
    <title v-if="pullName">{{ pullName }}</title>
    <path :d="down.map(({ at, long }) => `M18 ${at}H${long ? 4 : 12}`).join('')" />
    <g transform="rotate(-90)">
      <text v-for="{ at, mm } in down.filter(({ long }) => long)" :key="mm" :x="3 - at" y="11">
        {{ mm }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.ruler {
  position: absolute;
  background: color-mix(in srgb, var(--paper) 78%, transparent);
  pointer-events: none;
}
.pulls {
  pointer-events: auto;
  touch-action: none;
}
.pulls.top {
  cursor: ns-resize;
}
.pulls.left {
  cursor: ew-resize;
}
.top {
  top: 0;
  left: 0;
  width: 100%;
  height: 18px;
}
.left {
  top: 18px;
  left: 0;
  width: 18px;
  height: 100%;
}
path {
  stroke: var(--ink-2);
  stroke-width: 0.8;
}
text {
  fill: var(--ink-2);
  font-size: 12px;
}
</style>
