<script setup lang="ts">
import { computed, ref } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { mapPath, placed, ringsPath } from '../../../core/geometry/index.ts';
import {
  moveNode,
  partRings,
  punchedPath,
  removeNode,
  shapePath,
  shapeSize,
  type NodePlace,
} from '../../../core/shape/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import { findArrow } from '../../ui/arrow-keys.ts';
import { useBenchView } from '../../ui/bench-view.ts';
import BenchRulers from '../../ui/BenchRulers.vue';
import DrawnNodes from '../../ui/DrawnNodes.vue';
import { rectOf } from '../../ui/rect-of.ts';
import { useSettings } from '../../ui/settings-store.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import { pageSources, resourceVersion } from '../../session/page-resources.ts';
import { handlesOf, useEdgeGestures } from './edge-gestures.ts';
import type { EdgeState } from './edge-state.ts';
import NodeHandles from '../common/NodeHandles.vue';

/** The piece with its edge, and what of the edge is taken hold of. */
const props = defineProps<{
  desk: DeskState;
  edge: EdgeState;
  seen: 'printed' | 'cut' | 'lost';
}>();
const settings = useSettings();
const words = texts.edge;
const svg = ref<SVGSVGElement | null>(null);
const { compiled, store } = props.desk;
const { build, parts, part, chosen, hole, editing, rims, piece } = props.edge;
const frame = () => {
  const { width = 60, height = 60 } = compiled.value ?? {};
  return {
    left: -width / 2 - 8,
    top: -height / 2 - 8,
    right: width / 2 + 8,
    bottom: height / 2 + 8,
  };
};
const bench = useBenchView(svg, frame);
const gestures = useEdgeGestures(props.edge, bench);
const view = computed(() => bench.view.value);
const px = computed(() => 1 / view.value.scale);
const cut = computed(() => store.job?.plan.cut ?? 'kiss');
const paper = computed(frame);
const around = (by: number): string =>
  piece.value ? pathData(shapePath(piece.value.edge, by)) : '';
const release = computed(() => around((piece.value?.bleed ?? 0) + 4));
const safe = computed(() => (compiled.value ? pathData(compiled.value.safe) : ''));
const trim = computed(() => (compiled.value ? pathData(compiled.value.trim) : ''));
const bleed = computed(() => (compiled.value ? pathData(compiled.value.bleed) : ''));
/** Everything but the label: what is cut away. */
const outside = computed(() => {
  const { left, top, right, bottom } = paper.value;
  return `M${left} ${top}H${right}V${bottom}H${left}Z${trim.value}`;
});
/** Where a cut that is off by the bleed may come to lie. */
const danger = computed(() => bleed.value + around(-(piece.value?.bleed ?? 0)));
const several = computed(() => parts.value.length > 1);
const partPaths = computed(() =>
  several.value ? parts.value.map((one) => pathData(ringsPath(partRings(one)))) : [],
);
const handles = computed(() => (editing.value ? [] : handlesOf(part.value)));
const boxOfPart = computed(() => {
  const { width, height } = shapeSize(part.value?.shape ?? { kind: 'circle', diameter: 1 });
  return { x: -width / 2, y: -height / 2, width, height };
});
const holePaths = computed(() => build.value.punched.map((one) => pathData(punchedPath(one))));
const nodes = computed(() => {
  const [first] = parts.value;
  if (!editing.value || first?.shape.kind !== 'outline') return undefined;
  const map = placed(first.x, first.y, first.angle);
  return { rings: first.shape.rings, map, path: pathData(mapPath(shapePath(first.shape), map)) };
});
const name = (key: string): string =>
  words.handle(key === 'size' ? words.width : (words.measures[key] ?? key));

function moveByKeys(event: KeyboardEvent, at: number): void {
  const step = findArrow(event.key, event.shiftKey ? 1 : 0.1);
  const one = build.value.punched[at];
  if (!step || !one) return;
  event.preventDefault();
  props.edge.changeHole(at, { x: one.x + step.x, y: one.y + step.y }, 'nudge');
}

function pressNode(event: KeyboardEvent, ring: number, node: number): void {
  const [first] = parts.value;
  if (first?.shape.kind !== 'outline') return;
  const place = { ring, node };
  const at = first.shape.rings[ring]?.[node];
  const step = findArrow(event.key, event.shiftKey ? 1 : 0.1);
  const next =
    event.key === 'Delete' || event.key === 'Backspace'
      ? removeNode(first.shape.rings, place)
      : step && at
        ? moveNode(first.shape.rings, place, { x: at.x + step.x, y: at.y + step.y })
        : undefined;
  const call = next && props.edge.nodesCommand(next);
  if (!call) return;
  event.preventDefault();
  store.act(call, `node:${ring}:${node}`);
}

defineExpose({ bench });

function choosePoint(place: NodePlace): void {
  props.edge.choosePoint(place);
}
</script>

<template>
  <svg ref="svg" class="bench" role="group" :aria-label="words.bench">
    <g v-if="compiled" :transform="`translate(${view.x} ${view.y}) scale(${view.scale})`">
      <defs>
        <clipPath id="as-cut"><path :d="trim" clip-rule="evenodd" /></clipPath>
        <clipPath id="cut-away"><path :d="outside" clip-rule="evenodd" /></clipPath>
        <clipPath id="to-bleed"><path :d="bleed" /></clipPath>
        <filter id="flat-black" x="-20%" y="-20%" width="140%" height="140%">
          <feColorMatrix values="0 0 0 0 0  0 0 0 0 0  0 0 0 0 0  0 0 0 1 0" />
        </filter>
        <filter id="flat-lost" x="-20%" y="-20%" width="140%" height="140%">
          <feColorMatrix values="0 0 0 0 0.95  0 0 0 0 0.65  0 0 0 0 0.35  0 0 0 1 0" />
        </filter>
        <mask id="unprinted" maskUnits="userSpaceOnUse" v-bind="rectOf(paper)">
          <rect v-bind="rectOf(paper)" fill="#fff" />
          <g filter="url(#flat-black)">
            <DrawnNodes :nodes="compiled.nodes" :sources="pageSources" :version="resourceVersion" />
          </g>
        </mask>
      </defs>
      <path class="paper" :d="release" />
      <path v-if="seen !== 'cut'" class="stock" :d="bleed" :fill="store.job?.material.color" />
      <g v-if="seen === 'cut'" clip-path="url(#as-cut)" class="label">
        <path class="stock" :d="trim" :fill="store.job?.material.color" />
        <DrawnNodes :nodes="compiled.nodes" :sources="pageSources" :version="resourceVersion" />
      </g>
      <g v-else :class="{ faint: seen === 'lost' }" clip-path="url(#to-bleed)">
        <DrawnNodes :nodes="compiled.nodes" :sources="pageSources" :version="resourceVersion" />
      </g>
      <template v-if="seen === 'lost'">
        <g clip-path="url(#cut-away)">
          <g filter="url(#flat-lost)" clip-path="url(#to-bleed)">
            <DrawnNodes :nodes="compiled.nodes" :sources="pageSources" :version="resourceVersion" />
          </g>
        </g>
        <path class="white" :d="danger" fill-rule="evenodd" mask="url(#unprinted)" />
      </template>
      <template v-if="seen !== 'cut'">
        <path class="reach" :d="bleed" />
        <path :class="cut" :d="trim" />
      </template>
      <template v-if="seen === 'printed'">
        <path class="safe" :d="safe" />
        <path
          v-for="(fold, at) in compiled.creases"
          :key="`fold${at}`"
          class="crease"
          :d="`M${fold.map(({ x, y }) => `${x} ${y}`).join('L')}`"
        />
        <path
          v-for="(data, at) in partPaths"
          :key="`part${at}`"
          class="part"
          :class="{ chosen: at === chosen, away: parts[at]?.use === 'cut' }"
          data-grip
          :d="data"
          @pointerdown.stop="gestures.startPart($event, at)"
        />
        <g v-for="(data, at) in holePaths" :key="`hole${at}`">
          <path
            class="hole"
            :class="{ chosen: hole === at }"
            data-grip
            tabindex="0"
            role="button"
            :aria-label="words.hole(at + 1)"
            :d="data"
            @focus="hole = at"
            @keydown="moveByKeys($event, at)"
            @pointerdown.stop="gestures.startHole($event, at)"
          />
          <g
            v-if="hole === at"
            class="distance"
            :transform="`translate(${build.punched[at]?.x ?? 0} ${build.punched[at]?.y ?? 0}) scale(${px})`"
          >
            <rect x="14" y="-26" width="60" height="20" rx="10" />
            <text x="44" y="-11.5">{{ formatLength(rims[at] ?? 0, settings.unit) }}</text>
          </g>
        </g>
        <template v-for="(crease, at) in piece?.creases ?? []" :key="`ends${at}`">
          <circle
            v-for="end in [0, 1] as const"
            :key="end"
            class="grip"
            data-grip
            :cx="crease[end].x"
            :cy="crease[end].y"
            :r="6 * px"
            :aria-label="words.creaseEnd(at + 1, end + 1)"
            @pointerdown.stop="gestures.startCrease($event, at, end)"
          />
        </template>
        <rect
          v-if="handles.length && part"
          class="box"
          :transform="`translate(${part.x} ${part.y}) rotate(${part.angle})`"
          v-bind="boxOfPart"
        />
        <circle
          v-for="handle in handles"
          :key="handle.key"
          class="grip"
          :class="{ box: handle.key === 'size' }"
          data-grip
          :data-handle="handle.key"
          :cx="handle.at.x"
          :cy="handle.at.y"
          :r="6 * px"
          @pointerdown.stop="gestures.startHandle($event, handle.key)"
        >
          <title>{{ name(handle.key) }}</title>
        </circle>
        <NodeHandles
          v-if="nodes"
          :rings="nodes.rings"
          :map="nodes.map"
          :px="px"
          :point="edge.point.value"
          @choose="choosePoint"
          @press="(event, place, side) => gestures.startNode(event, place, side)"
          @key="pressNode"
        />
      </template>
    </g>
  </svg>
  <BenchRulers :bench="bench" />
</template>

<style scoped>
.bench {
  width: 100%;
  height: 100%;
  touch-action: none;
}
.paper {
  fill: var(--release);
  filter: drop-shadow(0 8px 22px #44203d2b);
}
.label {
  filter: drop-shadow(0 1px 2px #2a1b2e55);
}
.faint {
  opacity: 0.28;
}
.white {
  fill: #b5432a;
  fill-opacity: 0.75;
}
.reach {
  fill: none;
  stroke: var(--apricot);
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.part {
  fill: #5d2a5308;
  stroke: #5d2a5388;
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
  stroke-dasharray: 4 3;
  cursor: move;
}
.part.away {
  fill: #b5432a1c;
  stroke: #b5432a;
}
.part.chosen {
  stroke-width: 2px;
}
.hole {
  fill: #ffffff01;
  stroke: transparent;
  cursor: move;
}
.hole.chosen,
.hole:focus-visible {
  stroke: #5d2a53;
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
  outline: none;
}
.grip {
  fill: #fffdf9;
  stroke: #5d2a53;
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
  cursor: grab;
}
.box:not(.grip) {
  fill: none;
  stroke: #5d2a5344;
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.grip.box {
  cursor: nwse-resize;
}
.grip:not(.box) {
  fill: var(--apricot);
}
.distance {
  pointer-events: none;
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
