<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { boxAbout, boxAround, grown } from '../../../core/geometry/index.ts';
import type { SheetCopy } from '../../../core/sheet/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import type { BenchView } from '../../ui/bench-view.ts';
import DrawnNodes from '../../ui/DrawnNodes.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { pageSources, resourceVersion } from '../../session/page-resources.ts';
import type { DraggedState } from './copy-drag.ts';

/** The copies under way, in a layer of their own: the sheet beneath is not painted while they move. */
const props = defineProps<{ dragged: DraggedState; view: BenchView }>();
const settings = useSettings();
const box = computed(() => {
  const { copies } = props.dragged;
  const reach = Math.max(...copies.map(({ piece }) => piece.piece.bleed)) + 2;
  return grown(boxAround(copies.map((copy) => copy.box)) ?? boxAbout({ x: 0, y: 0 }, 1, 1), reach);
});
const size = computed(() => ({
  width: box.value.right - box.value.left,
  height: box.value.bottom - box.value.top,
}));
const place = computed(() => {
  const { dx, dy } = props.dragged;
  const { scale, x, y } = props.view;
  return {
    transform: `translate3d(${x + (box.value.left + dx) * scale}px, ${y + (box.value.top + dy) * scale}px, 0)`,
  };
});
const transformOf = ({ placement: { x, y, angle } }: SheetCopy): string =>
  `translate(${x} ${y}) rotate(${angle})`;
</script>

<template>
  <div class="dragged" :style="place">
    <svg
      :width="size.width * view.scale"
      :height="size.height * view.scale"
      :viewBox="`${box.left} ${box.top} ${size.width} ${size.height}`"
    >
      <g v-for="copy in dragged.copies" :key="copy.placement.copy" :transform="transformOf(copy)">
        <DrawnNodes :nodes="copy.piece.nodes" :sources="pageSources" :version="resourceVersion" />
        <path class="edge" :class="dragged.state" :d="pathData(copy.piece.trim)" />
      </g>
    </svg>
    <span v-if="dragged.gap !== undefined" class="gap" :class="dragged.state">{{
      dragged.gap < 0 ? texts.sheet.overlaps : formatLength(dragged.gap, settings.unit)
    }}</span>
  </div>
</template>

<style scoped>
.dragged {
  position: absolute;
  top: 0;
  left: 0;
  pointer-events: none;
  will-change: transform;
}
.edge {
  fill: none;
  stroke: #5d2a53;
  stroke-width: 2.5px;
  vector-effect: non-scaling-stroke;
}
.look {
  stroke: #c77f0a;
}
.stop {
  stroke: #b5432a;
}
.gap {
  position: absolute;
  top: 100%;
  left: 50%;
  border: 1px solid #5d2a53;
  border-radius: 12px;
  padding: 1px 10px;
  background: #fffdf9;
  color: #44203d;
  white-space: nowrap;
  transform: translate(-50%, 0);
}
.gap.stop {
  border-color: #b5432a;
  color: #a53a22;
}
</style>
