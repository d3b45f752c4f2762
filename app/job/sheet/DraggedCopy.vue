<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import type { BenchView } from '../../ui/bench-view.ts';
import DrawnNodes from '../../ui/DrawnNodes.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { pageSources, resourceVersion } from '../store/page-resources.ts';
import type { DraggedState } from './copy-drag.ts';

/** The copy under way, in a layer of its own: the sheet beneath is not painted while it moves. */
const props = defineProps<{ dragged: DraggedState; view: BenchView }>();
const settings = useSettings();
const piece = computed(() => props.dragged.copy.piece);
const angle = computed(() => props.dragged.copy.placement.angle);
const rim = computed(
  () => Math.hypot(piece.value.width, piece.value.height) / 2 + piece.value.piece.bleed + 2,
);
const side = computed(() => rim.value * 2 * props.view.scale);
const place = computed(() => {
  const { x, y } = props.dragged;
  const { scale, x: left, y: top } = props.view;
  return {
    transform: `translate3d(${left + (x - rim.value) * scale}px, ${top + (y - rim.value) * scale}px, 0)`,
  };
});
</script>

<template>
  <div class="dragged" :style="place">
    <svg :width="side" :height="side" :viewBox="`${-rim} ${-rim} ${2 * rim} ${2 * rim}`">
      <g :transform="`rotate(${angle})`">
        <DrawnNodes :nodes="piece.nodes" :sources="pageSources" :version="resourceVersion" />
        <path class="edge" :class="dragged.state" :d="pathData(piece.trim)" />
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
