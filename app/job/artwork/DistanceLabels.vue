<script setup lang="ts">
import { computed } from 'vue';
import type { Box } from '../../../core/geometry/index.ts';
import { seenBoxOf } from '../../../core/piece/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { useSettings } from '../../ui/settings-store.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import type { ElementGestures } from './gestures.ts';

/** While something moves: what it snaps to, equal gaps, and how far it is from the nearer sides. */
const props = defineProps<{
  desk: DeskState;
  gestures: ElementGestures;
  paper: Box;
  px: number;
}>();
const settings = useSettings();

const distances = computed(() => {
  const compiled = props.desk.compiled.value;
  if (!props.gestures.active.value || !compiled) return [];
  const chosen = compiled.elements.filter(({ element }) =>
    props.desk.selected.value.includes(element.id),
  );
  const box = seenBoxOf(chosen);
  if (!box) return [];
  const [w, h] = [compiled.width / 2, compiled.height / 2];
  const [x, y] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  const across = x <= 0 ? { from: -w, to: box.left } : { from: box.right, to: w };
  const down = y <= 0 ? { from: -h, to: box.top } : { from: box.bottom, to: h };
  const say = ({ from, to }: { from: number; to: number }): string =>
    formatLength(to - from, settings.unit);
  return [
    {
      path: `M${across.from} ${y}H${across.to}`,
      x: (across.from + across.to) / 2,
      y,
      text: say(across),
    },
    { path: `M${x} ${down.from}V${down.to}`, x, y: (down.from + down.to) / 2, text: say(down) },
  ];
});
</script>

<template>
  <path
    v-for="(guide, index) in gestures.guides.value"
    :key="index"
    class="guide"
    :d="
      guide.axis === 'x'
        ? `M${guide.at} ${paper.top}V${paper.bottom}`
        : `M${paper.left} ${guide.at}H${paper.right}`
    "
  />
  <path v-for="(line, at) in gestures.bends.value" :key="`bend${at}`" class="guide" :d="line" />
  <g v-for="(gap, index) in gestures.gaps.value" :key="`gap${index}`" class="distance">
    <path
      :d="
        gap.axis === 'x'
          ? `M${gap.from} ${gap.across}H${gap.to}`
          : `M${gap.across} ${gap.from}V${gap.to}`
      "
    />
    <circle
      :cx="gap.axis === 'x' ? (gap.from + gap.to) / 2 : gap.across"
      :cy="gap.axis === 'x' ? gap.across : (gap.from + gap.to) / 2"
      :r="4 * px"
    />
  </g>
  <g v-for="(distance, index) in distances" :key="`far${index}`" class="distance">
    <path :d="distance.path" />
    <g :transform="`translate(${distance.x} ${distance.y}) scale(${px})`">
      <rect x="-26" y="-10" width="52" height="20" rx="10" />
      <text y="4.5">{{ distance.text }}</text>
    </g>
  </g>
</template>

<style scoped>
.guide {
  fill: none;
  pointer-events: none;
  vector-effect: non-scaling-stroke;
  stroke: #5d2a53;
  stroke-width: 1.2px;
  stroke-dasharray: 2 4;
}
.distance {
  pointer-events: none;
}
.distance path {
  stroke: #5d2a53;
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}
.distance circle {
  fill: #5d2a53;
}
.distance rect {
  fill: #fffdf9;
  stroke: #5d2a53;
}
.distance text {
  fill: #44203d;
  font-size: 12px;
  text-anchor: middle;
}
</style>
