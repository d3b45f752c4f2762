<script setup lang="ts">
import { computed } from 'vue';
import { apply, type Affine, type Point } from '../../../core/geometry/index.ts';
import type { NodePlace, OutlineShape } from '../../../core/shape/index.ts';
import { texts } from '../../texts/index.ts';

/** The nodes of a free line or outline, with the handles of the chosen one. */
const props = defineProps<{
  rings: OutlineShape['rings'];
  map: Affine;
  /** mm of a pixel. */
  px: number;
  point: NodePlace | undefined;
}>();
const emit = defineEmits<{
  choose: [place: NodePlace];
  press: [event: PointerEvent, place: NodePlace, side?: 'before' | 'after'];
  key: [event: KeyboardEvent, ring: number, node: number];
}>();
const words = texts.edge;
const at = (place: Point): Point => apply(props.map, place);
const isChosen = (ring: number, node: number): boolean =>
  props.point?.ring === ring && props.point.node === node;
const chosen = computed(() => {
  const place = props.point;
  const node = place && props.rings[place.ring]?.[place.node];
  if (!node || !place) return undefined;
  const handles = (['before', 'after'] as const).flatMap((side) => {
    const handle = node[side];
    return handle ? [{ side, at: at(handle) }] : [];
  });
  return { place, at: at(node), handles };
});
</script>

<template>
  <g>
    <template v-if="chosen">
      <g v-for="handle in chosen.handles" :key="handle.side">
        <path class="arm" :d="`M${chosen.at.x} ${chosen.at.y}L${handle.at.x} ${handle.at.y}`" />
        <circle
          class="handle"
          data-grip
          :cx="handle.at.x"
          :cy="handle.at.y"
          :r="5 * px"
          @pointerdown.stop="emit('press', $event, chosen.place, handle.side)"
        />
      </g>
    </template>
    <template v-for="(ring, ringAt) in rings" :key="ringAt">
      <rect
        v-for="(node, nodeAt) in ring"
        :key="nodeAt"
        class="node"
        :class="{ chosen: isChosen(ringAt, nodeAt) }"
        data-grip
        tabindex="0"
        role="button"
        :aria-label="words.point(ringAt, nodeAt)"
        :x="at(node).x - 4.5 * px"
        :y="at(node).y - 4.5 * px"
        :width="9 * px"
        :height="9 * px"
        :rx="2 * px"
        @focus="emit('choose', { ring: ringAt, node: nodeAt })"
        @keydown="emit('key', $event, ringAt, nodeAt)"
        @pointerdown.stop="emit('press', $event, { ring: ringAt, node: nodeAt })"
      />
    </template>
  </g>
</template>

<style scoped>
.node,
.handle {
  fill: #fffdf9;
  stroke: #5d2a53;
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
  cursor: grab;
}
.node:focus {
  outline: none;
}
.node.chosen,
.node:focus-visible {
  fill: var(--apricot);
  stroke-width: 2px;
}
.arm {
  fill: none;
  stroke: #5d2a53;
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
</style>
