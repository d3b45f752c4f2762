<script setup lang="ts">
import { computed, useId } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { boxOf, ringsPath } from '../../../core/geometry/index.ts';
import { shapePath, shapeSize, type EdgeShape } from '../../../core/shape/index.ts';
import type { FlatSize } from '../../../core/things/index.ts';
import { zoneText } from '../../../messages/index.ts';

/** The flat outline with what each part of it will be, and where it is folded. */
const props = defineProps<{ edge: EdgeShape; flat: FlatSize | undefined; name: string }>();
const id = useId();
const size = computed(() => shapeSize(props.edge));
const unit = computed(() => Math.max(size.value.width, size.value.height) / 100);
const zones = computed(() => {
  const all = props.flat?.zones ?? [];
  if (all.length < 2) return [];
  return all.map(({ name, rings }, at) => {
    const box = boxOf(rings[0] ?? []) ?? { left: 0, top: 0, right: 0, bottom: 0 };
    const [wide, high] = [box.right - box.left, box.bottom - box.top];
    // A hem is named at its side, the rest in its middle; a narrow part along its length.
    const upright = wide < unit.value * 14 && high > wide;
    const y = name === 'hem' ? box.top + unit.value * 3 : (box.top + box.bottom) / 2;
    const turn = upright ? ' rotate(-90)' : '';
    return {
      at,
      name: zoneText(name),
      tone: name,
      path: pathData(ringsPath(rings)),
      place: `translate(${(box.left + box.right) / 2} ${y})${turn} scale(${unit.value})`,
      shown:
        (rings.length === 1 || name === 'hem') &&
        name !== 'hub' &&
        Math.min(wide, high) > unit.value * 5 &&
        Math.max(wide, high) > unit.value * 14 &&
        !(props.edge.kind === 'arc' && name === 'overlap'),
    };
  });
});
const folds = computed(() =>
  (props.flat?.folds ?? []).map((fold) => `M${fold.map(({ x, y }) => `${x} ${y}`).join('L')}`),
);
</script>

<template>
  <svg
    class="flat"
    :viewBox="`${-size.width / 2 - 4} ${-size.height / 2 - 4} ${size.width + 8} ${size.height + 8}`"
    role="img"
    :aria-label="name"
  >
    <path class="paper" :d="pathData(shapePath(edge))" />
    <clipPath :id="id"><path :d="pathData(shapePath(edge))" /></clipPath>
    <g :clip-path="`url(#${id})`">
      <path v-for="zone in zones" :key="zone.at" class="zone" :class="zone.tone" :d="zone.path" />
    </g>
    <path v-for="(fold, at) in folds" :key="`fold${at}`" class="fold" :d="fold" />
    <path class="edge" :d="pathData(shapePath(edge))" />
    <template v-for="zone in zones" :key="`name${zone.at}`">
      <text v-if="zone.shown" class="name" :transform="zone.place" y="1.1">{{ zone.name }}</text>
    </template>
  </svg>
</template>

<style scoped>
.flat {
  width: 100%;
  max-height: 44vh;
}
.paper {
  fill: var(--release);
  filter: drop-shadow(0 1.2px 2.4px #44203d33);
}
.zone {
  fill: none;
}
.front {
  fill: #fbe3c899;
}
.back,
.hub {
  fill: #e9e2dd;
}
.overlap,
.flap,
.hem {
  fill: #f2a65a66;
}
.fold {
  fill: none;
  stroke: #7a4d22;
  stroke-width: 1.4px;
  stroke-dasharray: 6 3 1 3;
  vector-effect: non-scaling-stroke;
}
.edge {
  fill: none;
  stroke: var(--kiss);
  stroke-width: 1.6px;
  vector-effect: non-scaling-stroke;
  stroke-dasharray: 7 4;
}
.name {
  fill: #5b4657;
  font-size: 4.4px;
  text-anchor: middle;
}
</style>
