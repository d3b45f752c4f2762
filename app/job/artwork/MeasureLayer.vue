<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import type { Point } from '../../../core/geometry/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import type { BenchControls } from '../../ui/bench-view.ts';
import { useSettings } from '../../ui/settings-store.ts';

/** A distance between two points: pressed at the one, let go at the other. */
const props = defineProps<{ bench: BenchControls; px: number }>();
const settings = useSettings();
const ends = shallowRef<{ from: Point; to: Point }>();

const fact = computed(() => {
  if (!ends.value) return undefined;
  const { from, to } = ends.value;
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const turn = Math.round(((Math.atan2(dy, dx) * 180) / Math.PI) * 10) / 10;
  return {
    ...ends.value,
    middle: { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 },
    text: `${formatLength(Math.hypot(dx, dy), settings.unit)} · ${turn}°`,
  };
});

function press(event: PointerEvent): void {
  if (event.button !== 0) return;
  const target = event.currentTarget as Element;
  const from = props.bench.toMm(event);
  ends.value = undefined;
  target.setPointerCapture(event.pointerId);
  const move = (moved: Event): void => {
    const free = props.bench.toMm(moved as PointerEvent);
    const straight = (moved as PointerEvent).shiftKey;
    const level = Math.abs(free.x - from.x) > Math.abs(free.y - from.y);
    const to = !straight ? free : level ? { x: free.x, y: from.y } : { x: from.x, y: free.y };
    ends.value = { from, to };
  };
  target.addEventListener('pointermove', move);
  target.addEventListener('pointerup', () => target.removeEventListener('pointermove', move), {
    once: true,
  });
}
</script>

<template>
  <g>
    <rect
      class="field"
      data-grip
      data-measure
      x="-3000"
      y="-3000"
      width="6000"
      height="6000"
      @pointerdown.stop="press"
    />
    <g v-if="fact" class="measured">
      <path :d="`M${fact.from.x} ${fact.from.y}L${fact.to.x} ${fact.to.y}`" />
      <circle
        v-for="(end, at) in [fact.from, fact.to]"
        :key="at"
        :cx="end.x"
        :cy="end.y"
        :r="3.5 * px"
      />
      <g :transform="`translate(${fact.middle.x} ${fact.middle.y}) scale(${px})`">
        <rect x="-58" y="-12" width="116" height="24" rx="12" />
        <text y="4.5">{{ fact.text }}</text>
      </g>
    </g>
  </g>
</template>

<style scoped>
.field {
  fill: transparent;
  cursor: crosshair;
}
.measured {
  pointer-events: none;
}
path {
  fill: none;
  stroke: #5d2a53;
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
}
circle {
  fill: #5d2a53;
}
.measured rect {
  fill: #fffdf9;
  stroke: #5d2a53;
}
text {
  fill: #44203d;
  font-size: 12.5px;
  text-anchor: middle;
}
</style>
