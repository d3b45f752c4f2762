<script setup lang="ts">
import { computed, ref } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import {
  plainShape,
  shapePath,
  shapeSize,
  type EdgeShape,
  type PlainShape,
} from '../../../core/shape/index.ts';
import { useBenchView } from '../../ui/bench-view.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import BenchLegend from '../../ui/BenchLegend.vue';
import CardPanel from '../../ui/CardPanel.vue';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import DrawnNodes from '../../ui/DrawnNodes.vue';
import FactRow from '../../ui/FactRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import ZoomTray from '../../ui/ZoomTray.vue';
import { useJobStore } from '../store/job-store.ts';
import { pageSources, resourceVersion } from '../store/page-resources.ts';
import { texts } from '../../texts/index.ts';

const store = useJobStore();
const seen = ref<'printed' | 'cut'>('printed');
const piece = computed(() => store.job?.pieces[0]);
const compiled = computed(() => piece.value && store.pieces.get(piece.value.id));
const frame = () => {
  const { width = 60, height = 60 } = compiled.value ?? {};
  return {
    left: -width / 2 - 6,
    top: -height / 2 - 6,
    right: width / 2 + 6,
    bottom: height / 2 + 6,
  };
};
const svg = ref<SVGSVGElement | null>(null);
const bench = useBenchView(svg, frame);
const line = (by: number): string => (piece.value ? pathData(shapePath(piece.value.edge, by)) : '');

const plain = computed(() =>
  ['circle', 'ellipse', 'rectangle'].includes(piece.value?.edge.kind ?? '')
    ? (piece.value?.edge.kind as PlainShape['kind'])
    : undefined,
);

function reshape(kind: PlainShape['kind']): void {
  if (!piece.value || piece.value.edge.kind === kind) return;
  const { width, height } = shapeSize(piece.value.edge);
  const flatter = kind === 'ellipse' && width === height ? height * 0.75 : height;
  const edge = plainShape(kind, width, flatter, 3);
  for (const one of store.job?.pieces ?? []) change(one.id, { edge });
}

function change(id: string, changes: { edge?: EdgeShape; bleed?: number; safe?: number }): void {
  store.act(
    { name: 'change-piece', args: { piece: id, changes } },
    `edge:${Object.keys(changes).join()}`,
  );
}

function changeAll(changes: { bleed?: number; safe?: number }): void {
  for (const one of store.job?.pieces ?? []) change(one.id, changes);
}
</script>

<template>
  <BenchLayout :cards="texts.edge.edge">
    <template #bench>
      <svg ref="svg" class="bench" role="img" :aria-label="texts.edge.bench">
        <g
          v-if="compiled"
          :transform="`translate(${bench.view.value.x} ${bench.view.value.y}) scale(${bench.view.value.scale})`"
        >
          <path class="paper" :d="line(compiled.piece.bleed + 4)" />
          <clipPath id="as-cut"><path :d="line(0)" /></clipPath>
          <g :clip-path="seen === 'cut' ? 'url(#as-cut)' : undefined">
            <DrawnNodes :nodes="compiled.nodes" :sources="pageSources" :version="resourceVersion" />
          </g>
          <template v-if="seen === 'printed'">
            <path :class="store.job?.plan.cut" :d="line(0)" />
            <path class="safe" :d="line(-compiled.piece.safe)" />
          </template>
        </g>
      </svg>
      <div class="looks">
        <ChoiceRow v-model="seen" :label="texts.edge.looks" :choices="texts.edge.seen" />
      </div>
    </template>
    <template #foot>
      <BenchLegend :lines="[store.job?.plan.cut ?? 'kiss', 'bleed']" />
      <ZoomTray :bench="bench" :whole="texts.edge.wholePiece" />
    </template>
    <template #cards>
      <CardPanel v-if="piece" :title="texts.edge.edge" peeled>
        <FactRow v-if="plain" :label="texts.edge.shape"
          ><ChoiceRow
            :model-value="plain"
            :label="texts.edge.shape"
            :choices="texts.artwork.shapes"
            @update:model-value="reshape"
        /></FactRow>
        <LengthRow
          :label="texts.edge.bleedLong"
          :name="texts.edge.bleed"
          :model-value="piece.bleed"
          :min="0"
          :max="20"
          @update:model-value="changeAll({ bleed: $event })"
        />
        <LengthRow
          :label="texts.edge.safe"
          :name="texts.edge.safeInset"
          :model-value="piece.safe"
          :min="0"
          :max="50"
          @update:model-value="changeAll({ safe: $event })"
        />
        <p class="quiet">
          {{ texts.edge.bleedHint }}
        </p>
      </CardPanel>
    </template>
  </BenchLayout>
</template>

<style scoped>
.bench {
  width: 100%;
  height: 100%;
  touch-action: none;
}
.paper {
  fill: var(--release);
}
.kiss,
.through,
.safe {
  fill: none;
  vector-effect: non-scaling-stroke;
}
.through {
  stroke: var(--through);
  stroke-width: 1.6px;
}
.kiss {
  stroke: var(--kiss);
  stroke-width: 1.6px;
  stroke-dasharray: 7 4;
}
.safe {
  stroke: #5d2a5366;
  stroke-dasharray: 1.5 3.5;
}
.looks {
  position: absolute;
  top: 18px;
  left: 50%;
  transform: translateX(-50%);
}
</style>
