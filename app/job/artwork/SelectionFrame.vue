<script setup lang="ts">
import { computed } from 'vue';
import { elementMap, elementSize, type PieceElement } from '../../../core/piece/index.ts';
import type { Corner } from './gestures.ts';

/** The frame of a chosen element, with grips to resize and turn it by. */
const props = defineProps<{ element: PieceElement; px: number; grips: boolean }>();
const emit = defineEmits<{
  turn: [event: PointerEvent];
  resize: [event: PointerEvent, corner: Corner];
}>();
const CORNERS: readonly Corner[] = [
  { x: -1, y: -1 },
  { x: 1, y: -1 },
  { x: 1, y: 1 },
  { x: -1, y: 1 },
];
const half = computed(() => {
  const { width, height } = elementSize(props.element);
  return { w: width / 2, h: height / 2 };
});
/** A mirrored element is turned by its upper side all the same. */
const up = computed(() =>
  props.element.flip === 'down' || props.element.flip === 'both' ? 1 : -1,
);
</script>

<template>
  <g class="selection" :transform="`matrix(${elementMap(element).join()})`">
    <rect
      v-for="line in ['halo', 'frame']"
      :key="line"
      :class="line"
      :x="-half.w"
      :y="-half.h"
      :width="2 * half.w"
      :height="2 * half.h"
    />
    <template v-if="grips">
      <path class="stem" :d="`M0 ${up * half.h}V${up * (half.h + 22 * px)}`" />
      <circle
        data-grip
        data-turn
        class="grip turn"
        :cy="up * (half.h + 22 * px)"
        :r="6 * px"
        @pointerdown.stop="emit('turn', $event)"
      />
      <circle
        v-for="corner in CORNERS"
        :key="`${corner.x}${corner.y}`"
        data-grip
        :data-corner="`${corner.x},${corner.y}`"
        class="grip"
        :cx="corner.x * half.w"
        :cy="corner.y * half.h"
        :r="6 * px"
        @pointerdown.stop="emit('resize', $event, corner)"
      />
    </template>
  </g>
</template>

<style scoped>
/* In a layer of its own, as is all that is drawn over it: the piece beneath is not painted anew for it. */
.selection {
  will-change: transform;
}
.selection rect,
.stem {
  fill: none;
  pointer-events: none;
  vector-effect: non-scaling-stroke;
}
.halo {
  stroke: #fff;
  stroke-width: 4px;
}
.frame,
.stem {
  stroke: #5d2a53;
  stroke-width: 1.5px;
}
.grip {
  fill: #fffdf9;
  stroke: #5d2a53;
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
  cursor: nwse-resize;
}
.turn {
  cursor: grab;
  fill: var(--apricot);
}
</style>
