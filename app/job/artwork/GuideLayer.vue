<script setup lang="ts">
import { computed } from 'vue';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import { useSettings } from '../../ui/settings-store.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import type { Guides } from './guides.ts';
import type { Guide } from '../align/snap.ts';

/** The guides of the piece, as long as the bench is; the one that moves says where it stands. */
const props = defineProps<{ desk: DeskState; guides: Guides; px: number }>();
const settings = useSettings();
const FAR = 3000;
const list = computed(() => props.desk.piece.value?.guides ?? []);

/** How far a guide is from the left or upper side of the piece. */
function say({ axis, at }: Guide): string {
  const { width = 0, height = 0 } = props.desk.compiled.value ?? {};
  return formatLength(at + (axis === 'x' ? width : height) / 2, settings.unit);
}
const path = ({ axis, at }: Guide): string =>
  axis === 'x' ? `M${at} ${-FAR}V${FAR}` : `M${-FAR} ${at}H${FAR}`;
const label = computed(() => {
  const { value: guide } = props.guides.moving;
  const { width = 0, height = 0 } = props.desk.compiled.value ?? {};
  if (!guide) return undefined;
  return guide.axis === 'x'
    ? { x: guide.at, y: -height / 2, text: say(guide) }
    : { x: -width / 2, y: guide.at, text: say(guide) };
});
</script>

<template>
  <g
    v-for="(guide, index) in list"
    :key="`${guide.axis}${index}`"
    data-grip
    data-guide
    class="own-guide"
    :class="guide.axis"
    tabindex="0"
    role="slider"
    :aria-label="texts.exact.guide(guide.axis === 'x', say(guide))"
    :aria-valuenow="guide.at"
    :aria-valuetext="say(guide)"
    @pointerdown.stop="guides.start($event, guide.axis, index)"
    @keydown="guides.key($event, index)"
    @dblclick.stop
  >
    <title>{{ texts.exact.guideHint(say(guide)) }}</title>
    <path class="wide" :d="path(guide)" />
    <path class="line" :d="path(guide)" />
  </g>
  <g v-if="label" class="label">
    <rect
      :x="label.x + 6 * px"
      :y="label.y - 24 * px"
      :width="(label.text.length * 7.5 + 14) * px"
      :height="20 * px"
      :rx="10 * px"
    />
    <text :x="label.x + 13 * px" :y="label.y - 10 * px" :font-size="12 * px">{{ label.text }}</text>
  </g>
</template>

<style scoped>
.own-guide {
  outline: none;
}
.own-guide.x {
  cursor: ew-resize;
}
.own-guide.y {
  cursor: ns-resize;
}
path {
  fill: none;
  vector-effect: non-scaling-stroke;
}
.wide {
  stroke: transparent;
  stroke-width: 9px;
}
.line {
  stroke: #5d2a53;
  stroke-opacity: 0.55;
  stroke-width: 1px;
}
.own-guide:hover .line,
.own-guide:focus-visible .line {
  stroke-opacity: 1;
  stroke-width: 2px;
}
.label rect {
  fill: #5d2a53;
}
.label text {
  fill: #fff;
}
.label {
  pointer-events: none;
}
@media (pointer: coarse) {
  .wide {
    stroke-width: 22px;
  }
}
</style>
