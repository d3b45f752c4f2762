<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { grown, linesPath, ringsPath, type Box, type Path } from '../../../core/geometry/index.ts';
import { orderCuts } from '../../../core/cutting/index.ts';
import { shapePath } from '../../../core/shape/index.ts';
import type { CompiledSheet } from '../../../core/sheet/index.ts';
import { spotPaths } from '../../../core/stock/index.ts';
import { rectOf } from '../../ui/rect-of.ts';
import SheetZones from '../sheet/SheetZones.vue';
import type { Layer } from './layers.ts';

/** What is not printed, over the printed sheet: cut lines and their order, bleed, keep-clear zones, used labels, and the finding. */
const props = defineProps<{
  sheet: CompiledSheet;
  shown: ReadonlySet<Layer>;
  used: readonly number[];
  /** Around what a finding is about. */
  ring: Box | undefined;
  /** Pixels to the mm. */
  scale: number;
}>();
const cuts = computed(() => orderCuts(props.sheet.cuts));
const bleeds = computed(() =>
  props.sheet.copies.map(({ placement: { copy }, map, piece, bleed }) => ({
    copy,
    transform: `matrix(${map.join(' ')})`,
    path: edgeBand(shapePath(piece.piece.edge, bleed), piece.trim),
  })),
);
const gone = computed(() => {
  const { spots } = props.sheet.stock;
  return spots ? spotPaths(spots).filter((_, at) => props.used.includes(at)) : [];
});
/** Numbers of cuts are readable at every zoom, and left out where they would lie over each other. */
const size = computed(() => 12 / props.scale);
const MOST_NUMBERS = 400;
const RING = 1.5; // mm around a finding

const edgeBand = (outer: Path, inner: Path): string => `${pathData(outer)}${pathData(inner)}`;
</script>

<template>
  <g class="layers">
    <template v-if="shown.has('bleed')">
      <path
        v-for="{ copy, transform, path } in bleeds"
        :key="copy"
        class="bleed"
        fill-rule="evenodd"
        :transform="transform"
        :d="path"
      />
    </template>
    <SheetZones v-if="shown.has('zones')" :sheet="sheet" />
    <template v-if="shown.has('used')">
      <path v-for="(spot, at) in gone" :key="at" class="gone" :d="pathData(spot)" />
    </template>
    <template v-if="shown.has('cuts')">
      <path
        v-for="cut in cuts"
        :key="cut.order"
        class="cut"
        :class="cut.kind"
        :d="pathData(cut.open ? linesPath(cut.rings) : ringsPath(cut.rings))"
      />
    </template>
    <template v-if="shown.has('order')">
      <g v-for="cut in cuts.slice(0, MOST_NUMBERS)" :key="cut.order">
        <circle
          class="start"
          :cx="cut.rings[0]?.[0]?.x"
          :cy="cut.rings[0]?.[0]?.y"
          :r="size * 0.85"
        />
        <text
          :x="cut.rings[0]?.[0]?.x"
          :y="cut.rings[0]?.[0]?.y"
          :font-size="size"
          dominant-baseline="central"
          text-anchor="middle"
          >{{ cut.order + 1 }}</text
        >
      </g>
    </template>
    <rect v-if="ring" class="ring" v-bind="rectOf(grown(ring, RING))" rx="3" />
  </g>
</template>

<style scoped>
.layers {
  pointer-events: none;
}
.ring {
  fill: none;
  stroke: #b5432a;
  stroke-width: 3px;
  vector-effect: non-scaling-stroke;
}
.cut {
  fill: none;
  stroke-width: 1.6px;
  vector-effect: non-scaling-stroke;
}
.kiss {
  stroke: #0f7c86;
  stroke-dasharray: 6 4;
}
.through {
  stroke: #3b3a9c;
}
.crease {
  stroke: #8a640c;
  stroke-dasharray: 1 4;
  stroke-linecap: round;
}
.bleed {
  fill: #f2a65a;
  fill-opacity: 0.55;
}
.gone {
  fill: #8c7d8d55;
  stroke: #8c7d8d;
  stroke-width: 0.3px;
  stroke-dasharray: 1.5 1.5;
}
.start {
  fill: #fffdf9;
  stroke: #5d2a53;
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}
text {
  fill: #2a1b2e;
  font-family: var(--ui);
  font-weight: 600;
}
</style>
