<script setup lang="ts">
import { computed, ref } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import BenchRulers from '../../ui/BenchRulers.vue';
import { useBenchView } from '../../ui/bench-view.ts';
import DrawnNodes from '../../ui/DrawnNodes.vue';
import { rectOf } from '../../ui/rect-of.ts';
import { useSeenAs } from '../../ui/seen-as.ts';
import SeenAsFilter from '../../ui/SeenAsFilter.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { pageSources, resourceVersion } from '../../session/page-resources.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import DistanceLabels from './DistanceLabels.vue';
import ElementOnBench from './ElementOnBench.vue';
import { useElementGestures } from './gestures.ts';
import SelectionLayer from './SelectionLayer.vue';
import { texts } from '../../texts/index.ts';
import BenchGrid from '../../ui/BenchGrid.vue';
import { useAreaSelection } from './area-selection.ts';
import GuideLayer from './GuideLayer.vue';
import { useGuides } from './guides.ts';
import MeasureLayer from './MeasureLayer.vue';
import PieceLines from './PieceLines.vue';
import { useLineGestures } from './lines/line-gestures.ts';
import TypingLayer from './words/TypingLayer.vue';
import { useTyping } from './words/typing.ts';

/** The piece at true proportion on release paper, and what is selected on it. */
const props = defineProps<{ desk: DeskState }>();
const settings = useSettings();
const seen = useSeenAs();
const svg = ref<SVGSVGElement | null>(null);
const compiled = computed(() => props.desk.compiled.value);
const frame = () => {
  const { width = 60, height = 60 } = compiled.value ?? {};
  // Zones are named around the piece.
  const rim = props.desk.zones.value.length ? 12 : 8;
  return {
    left: -width / 2 - rim,
    top: -height / 2 - rim,
    right: width / 2 + rim,
    bottom: height / 2 + rim,
  };
};
/** The tray that says which copies are changed stands below the tools. */
const SCOPE = 46;
const bench = useBenchView(svg, frame, () =>
  props.desk.store.alone || props.desk.store.job?.list?.rows.length ? SCOPE : 0,
);
const gestures = useElementGestures(props.desk, bench);
const typing = useTyping(props.desk, bench);
const area = useAreaSelection(props.desk, bench);
const guides = useGuides(props.desk, bench);
const lines = useLineGestures(props.desk, bench);
const view = computed(() => bench.view.value);
const px = computed(() => 1 / view.value.scale);
const paper = computed(frame);
/** Apart from what is drawn on it: a page has such a shadow for nothing, an SVG for a filter. */
const sheet = computed(() => {
  const { left, top, right, bottom } = paper.value;
  const { x, y, scale } = view.value;
  return {
    width: `${(right - left) * scale}px`,
    height: `${(bottom - top) * scale}px`,
    borderRadius: `${3 * scale}px`,
    transform: `translate(${x + left * scale}px, ${y + top * scale}px)`,
  };
});
/** Where the unseen field stands, so that an input method opens beside the caret. */
const fieldAt = computed(() => {
  const { words } = typing;
  if (!words.value) return undefined;
  const { x, y, scale } = view.value;
  return { left: `${x + words.value.x * scale}px`, top: `${y + words.value.y * scale}px` };
});

function press(event: PointerEvent): void {
  if ((event.target as Element).closest('[data-grip]')) return;
  if (event.shiftKey) area.start(event);
  else props.desk.clear();
}

defineExpose({ bench, lines, type: (id: string) => typing.begin(id) });
</script>

<template>
  <SeenAsFilter
    v-if="seen.way !== 'screen'"
    id="seen-as"
    :way="seen.way"
    :paper="desk.store.job?.material.color ?? '#ffffff'"
  />
  <div v-if="compiled" class="paper" :style="sheet" />
  <svg ref="svg" class="bench" :aria-label="texts.artwork.thePiece" @pointerdown="press">
    <g v-if="compiled" :transform="`translate(${view.x} ${view.y}) scale(${view.scale})`">
      <clipPath id="bleed-clip"><path :d="pathData(compiled.bleed)" /></clipPath>
      <g clip-path="url(#bleed-clip)" :filter="seen.filter">
        <path class="stock" :d="pathData(compiled.bleed)" :fill="desk.store.job?.material.color" />
        <DrawnNodes
          v-if="compiled.ground"
          :nodes="[compiled.ground]"
          :sources="pageSources"
          :version="resourceVersion"
        />
        <ElementOnBench
          v-for="placed in compiled.elements"
          :key="placed.element.id"
          :placed="placed"
          :desk="desk"
          :gestures="gestures"
          :typing="typing"
        />
      </g>
      <PieceLines :desk="desk" :bench="bench" :px="px" />
      <BenchGrid v-if="settings.grid" :frame="paper" :step="settings.grid" />
      <path class="safe" :d="pathData(compiled.safe)" />
      <GuideLayer :desk="desk" :guides="guides" :px="px" />
      <SelectionLayer :desk="desk" :gestures="gestures" :lines="lines" :px="px" />
      <TypingLayer :typing="typing" :px="px" />
      <rect v-if="area.box.value" class="area" v-bind="rectOf(area.box.value)" />
      <MeasureLayer v-if="desk.measuring.value" :bench="bench" :px="px" />
      <template v-if="desk.drawing.value">
        <rect
          class="canvas"
          data-grip
          x="-3000"
          y="-3000"
          width="6000"
          height="6000"
          @pointerdown.stop="lines.press"
          @pointermove="lines.hover"
          @dblclick="lines.end"
        />
        <path class="pen" :d="lines.preview.value" />
      </template>
      <DistanceLabels :desk="desk" :gestures="gestures" :paper="paper" :px="px" />
    </g>
  </svg>
  <textarea
    v-if="typing.words.value"
    :ref="(field) => (typing.field.value = field as HTMLTextAreaElement | null)"
    class="field"
    :style="fieldAt"
    spellcheck="true"
    maxlength="5000"
    :aria-label="texts.words.typing"
    @input="typing.typed.ask"
    @blur="typing.typed.now"
    @keydown="typing.key"
    @keyup="typing.read"
    @select="typing.read"
  />
  <BenchRulers
    :bench="bench"
    :pull-name="texts.exact.pullGuide"
    @pull="(event, axis) => guides.start(event, axis)"
  />
</template>

<style scoped>
.bench {
  position: relative;
  display: block;
  width: 100%;
  height: 100%;
  touch-action: none;
}
.paper {
  position: absolute;
  background: var(--release);
  box-shadow: 0 8px 44px #44203d2b;
}
.area {
  fill: #5d2a5318;
  stroke: #5d2a53;
  stroke-dasharray: 4 3;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.canvas {
  fill: transparent;
  cursor: crosshair;
}
.pen {
  fill: none;
  stroke: #5d2a53;
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.field {
  position: absolute;
  width: 1px;
  height: 1px;
  border: 0;
  padding: 0;
  opacity: 0;
  resize: none;
  pointer-events: none;
}
</style>
