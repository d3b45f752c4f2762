<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { copySource } from '../../../core/job/index.ts';
import { compileSheet, trimPlan } from '../../../core/sheet/index.ts';
import { texts } from '../../texts/index.ts';
import { useDrawnScale } from '../../ui/drawn-scale.ts';
import { useBenchView } from '../../ui/bench-view.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import BenchLegend from '../../ui/BenchLegend.vue';
import ZoomTray from '../../ui/ZoomTray.vue';
import { useCommitted } from '../common/committed.ts';
import UndoTray from '../common/UndoTray.vue';
import { useJobStore } from '../../session/job-store.ts';
import { pageCompiler } from '../../session/page-resources.ts';
import { useCopyDrag } from './copy-drag.ts';
import CopyMarks from './CopyMarks.vue';
import DraggedCopy from './DraggedCopy.vue';
import GoneLabels from './GoneLabels.vue';
import SheetCards from './SheetCards.vue';
import SheetCopies from './SheetCopies.vue';
import SheetMarks from './SheetMarks.vue';
import { useSheetKeys } from './sheet-keys.ts';
import SheetZones from './SheetZones.vue';
import SheetStrip from './SheetStrip.vue';
import TrimLines from './TrimLines.vue';

const store = useJobStore();
const route = useRoute();
const index = ref(Number(route.query.sheet ?? 0));
const selected = ref<readonly string[]>([]);
const field = ref<HTMLElement | null>(null);

const sheets = computed(() => store.layout?.sheets ?? []);
const current = computed(() => Math.min(index.value, Math.max(0, sheets.value.length - 1)));
const sheet = computed(() =>
  store.job
    ? compileSheet(
        store.job,
        sheets.value[current.value] ?? { placements: [], stock: store.job.stock },
        copySource(store.job, pageCompiler),
      )
    : undefined,
);
const stock = computed(() => sheet.value?.stock);
const frame = () => ({
  left: 0,
  top: 0,
  right: stock.value?.width ?? 210,
  bottom: stock.value?.height ?? 297,
});
const bench = useBenchView(field, frame);
const view = computed(() => bench.view.value);
const drag = useCopyDrag({ sheet, bench, current, selected, store });
const drawn = useDrawnScale(() => view.value.scale);
const over = computed(() => {
  const { x, y, scale } = view.value;
  const { width, height } = stock.value ?? { width: 0, height: 0 };
  const at = drawn.value;
  return {
    width: `${width * at}px`,
    height: `${height * at}px`,
    transform: `translate3d(${x}px, ${y}px, 0) scale(${scale / at})`,
  };
});
const paper = computed(() => ({ ...over.value, background: store.job?.material.color }));
const kinds = computed(() => new Set(sheet.value?.cuts.map(({ kind }) => kind)));
const legend = computed(() => [
  ...(['kiss', 'through'] as const).filter((kind) => kinds.value.has(kind)),
  ...(kinds.value.has('crease') ? (['fold'] as const) : []),
  ...(sheet.value?.zones.length ? (['zone'] as const) : []),
]);
/** The sheet without what is only shown: cards beside it keep still meanwhile. */
const committed = useCommitted(() => sheet.value);
const oneOffs = computed(() => new Set(Object.keys(store.job?.oneOffs ?? {})));
/** The straight cuts, where a trimmer is used, and the one that is pointed at. */
const trim = computed(() =>
  store.committed?.material.tool === 'trimmer' && committed.value?.copies.length
    ? trimPlan(committed.value.copies, committed.value.stock)
    : undefined,
);
const cut = ref<number>();
const copies = computed(() =>
  [...(sheet.value?.copies ?? []), ...(sheet.value?.empty ?? [])].filter(({ placement }) =>
    selected.value.includes(placement.copy),
  ),
);
useSheetKeys({
  store,
  bench,
  current,
  selected,
  copies,
  all: () => sheet.value?.copies.map(({ placement }) => placement.copy) ?? [],
});

watch(
  () => route.query,
  ({ sheet: wanted, copy: shown }) => {
    if (wanted !== undefined) index.value = Number(wanted);
    if (shown) selected.value = [String(shown)];
  },
  { immediate: true },
);

function press(event: PointerEvent): void {
  if (!(event.target as Element).closest('[data-grip]')) selected.value = [];
}
</script>

<template>
  <BenchLayout :cards="texts.sheet.sheet">
    <template #bench>
      <div ref="field" class="table" @pointerdown="press">
        <svg
          v-if="stock && sheet"
          class="paper"
          :aria-label="texts.sheet.bench"
          :viewBox="`0 0 ${stock.width} ${stock.height}`"
          :style="paper"
        >
          <SheetZones :sheet="sheet" />
          <GoneLabels v-if="index === 0" :stock="stock" />
          <SheetCopies :sheet="sheet" :one-offs="oneOffs" @grip="drag.start" />
          <SheetMarks :sheet="sheet" />
        </svg>
        <svg
          v-if="stock && copies.length"
          class="paper over"
          aria-hidden="true"
          :viewBox="`0 0 ${stock.width} ${stock.height}`"
          :style="over"
        >
          <CopyMarks
            v-for="copy in copies"
            :key="copy.placement.copy"
            :copy="copy"
            :away="drag.dragged.value?.copies.includes(copy) ?? false"
            :paper="store.job?.material.color ?? ''"
          />
        </svg>
        <svg
          v-if="stock && trim && typeof trim !== 'string' && store.job === store.committed"
          class="paper over"
          aria-hidden="true"
          :viewBox="`0 0 ${stock.width} ${stock.height}`"
          :style="over"
        >
          <TrimLines :cuts="trim.cuts" :shown="cut" :px="1 / view.scale" />
        </svg>
      </div>
      <DraggedCopy v-if="drag.dragged.value" :dragged="drag.dragged.value" :view="view" />
      <p v-if="sheets.length === 0" class="empty">
        {{ texts.sheet.empty }}
      </p>
      <UndoTray class="corner" />
    </template>
    <template #foot>
      <BenchLegend :lines="legend" />
      <SheetStrip v-model="index" :current="current" />
      <ZoomTray :bench="bench" :whole="texts.sheet.wholeSheet" />
    </template>
    <template #cards>
      <SheetCards
        v-model:index="index"
        v-model:selected="selected"
        v-model:cut="cut"
        :current="current"
        :copies="copies"
        :committed="committed"
        :trim="trim"
      />
    </template>
  </BenchLayout>
</template>

<style scoped>
.corner {
  top: 16px;
  left: 16px;
}
.table {
  position: absolute;
  inset: 0;
  touch-action: none;
}
/* A layer of its own: panning moves it without painting anything. */
.paper {
  position: absolute;
  top: 0;
  left: 0;
  border-radius: 2px;
  overflow: visible;
  transform-origin: 0 0;
  box-shadow: 0 8px 22px #44203d2b;
  will-change: transform;
}
.over {
  box-shadow: none;
  pointer-events: none;
}
.tray,
.empty {
  position: absolute;
}
.tray {
  border-radius: var(--r-tray);
  padding: 5px;
  background: var(--card);
  box-shadow: var(--shadow);
}
.empty {
  top: 44%;
  left: 50%;
  width: 320px;
  margin: 0;
  border-radius: var(--r-card);
  padding: 14px 20px;
  background: var(--card);
  text-align: center;
  transform: translate(-50%, -50%);
}
</style>
