<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { pageOf, printedBox, printedPages, printedSheet } from '../../../core/job/index.ts';
import type { PaperSide } from '../../../core/stock/index.ts';
import type { Finding } from '../../../core/proof/index.ts';
import { useBenchView } from '../../ui/bench-view.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import CardPanel from '../../ui/CardPanel.vue';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import PixelPicture from '../../ui/PixelPicture.vue';
import { useSeenAs } from '../../ui/seen-as.ts';
import SeenAsFilter from '../../ui/SeenAsFilter.vue';
import ZoomTray from '../../ui/ZoomTray.vue';
import SheetStrip from '../sheet/SheetStrip.vue';
import { useJobStore } from '../../session/job-store.ts';
import { pageCompiler } from '../../session/page-resources.ts';
import FilesCard from './FilesCard.vue';
import FindingGroups from './FindingGroups.vue';
import { lookOfMaterial, type Layer } from './layers.ts';
import OtherThings from './OtherThings.vue';
import ProofLayers from './ProofLayers.vue';
import ShownCards from './ShownCards.vue';
import WritingTray from './WritingTray.vue';
import { useMadePdf } from './made-pdf.ts';
import { texts } from '../../texts/index.ts';

const store = useJobStore();
const seen = useSeenAs();
const router = useRouter();
const index = ref(0);
const svg = ref<SVGSVGElement | null>(null);
const current = computed(() =>
  Math.min(index.value, Math.max(0, (store.layout?.sheets.length ?? 1) - 1)),
);
/** Which side of the sheet is looked at. */
const wantedSide = ref<PaperSide>('front');
const pages = computed(() =>
  store.job && store.layout ? printedPages(store.job, store.layout) : [],
);
const hasBack = computed(() => pageOf(pages.value, current.value, 'back') >= 0);
const side = computed((): PaperSide => (hasBack.value ? wantedSide.value : 'front'));
const made = useMadePdf(
  () => store.job,
  () => Math.max(0, pageOf(pages.value, current.value, side.value)),
);
const stock = computed(() => store.job?.stock);
const bench = useBenchView(svg, () => ({
  left: 0,
  top: 0,
  right: stock.value?.width ?? 210,
  bottom: stock.value?.height ?? 297,
}));
const shown = ref<Finding>();
const findings = computed(() => store.findings.list);
const layers = ref<ReadonlySet<Layer>>(new Set(['cuts']));
const onStock = ref(false);
const look = computed(() => (store.job ? lookOfMaterial(store.job.material) : 'plain'));
const ground = computed(() => (look.value === 'clear' ? '' : (store.job?.material.color ?? '')));
const sheet = computed(() => {
  const [job, layout] = [store.job, store.layout?.sheets[current.value]];
  return job && layout
    ? printedSheet(job, layout, { compiler: pageCompiler, side: side.value })
    : undefined;
});
const used = computed(() => (current.value === 0 ? (store.job?.plan.usedLabels ?? []) : []));
const ring = computed(() => {
  const { sheet: on, box } = shown.value?.where ?? {};
  return store.job && box && on === current.value ? printedBox(store.job, box) : undefined;
});
const page = computed(() => {
  const { x, y, scale } = bench.view.value;
  return {
    left: `${x}px`,
    top: `${y}px`,
    width: `${(stock.value?.width ?? 0) * scale}px`,
    height: `${(stock.value?.height ?? 0) * scale}px`,
  };
});

/** Looks closer once the zoom has come to rest. */
let timer: ReturnType<typeof setTimeout> | undefined;
watch(
  () => bench.view.value.scale,
  (scale) => {
    clearTimeout(timer);
    const wanted = Math.min(
      360,
      Math.max(144, Math.ceil((scale * 25.4 * devicePixelRatio) / 72) * 72),
    );
    timer = setTimeout(() => void made.draw(wanted).catch(() => undefined), 250);
  },
);

function show(finding: Finding): void {
  shown.value = finding;
  const { sheet, piece, element, box } = finding.where;
  if (sheet !== undefined) {
    index.value = sheet;
    wantedSide.value = 'front';
    if (!box || !store.job) return;
    const at = printedBox(store.job, box);
    bench.look({ x: (at.left + at.right) / 2, y: (at.top + at.bottom) / 2 }, 6);
  } else if (element) void router.push({ name: 'artwork', query: { piece, element } });
  else void router.push({ name: finding.code === 'spot-shape-differs' ? 'stock' : 'sheet' });
}
</script>

<template>
  <BenchLayout :cards="texts.proof.proof">
    <template #bench>
      <SeenAsFilter
        v-if="seen.way !== 'screen'"
        id="seen-as"
        :way="seen.way"
        :paper="store.job?.material.color ?? '#ffffff'"
      />
      <div
        class="page"
        :class="onStock ? ['stock', look] : ''"
        :style="{
          ...page,
          filter: seen.filter,
          ...(onStock && ground ? { backgroundColor: ground } : {}),
        }"
      >
        <PixelPicture
          v-if="made.image.value"
          :image="made.image.value"
          :label="texts.proof.sheet(current + 1)"
        />
      </div>
      <svg ref="svg" class="bench" aria-hidden="true">
        <g
          v-if="sheet"
          :transform="`translate(${bench.view.value.x} ${bench.view.value.y}) scale(${bench.view.value.scale})`"
        >
          <ProofLayers
            :sheet="sheet"
            :shown="layers"
            :used="used"
            :ring="ring"
            :scale="bench.view.value.scale"
          />
        </g>
      </svg>
      <WritingTray v-if="made.doing.value" :made="made" />
    </template>
    <template #foot>
      <ChoiceRow
        v-if="hasBack"
        v-model="wantedSide"
        class="side"
        :label="texts.printers.side"
        :choices="texts.printers.sides"
      />
      <SheetStrip v-model="index" :current="current" />
      <ZoomTray :bench="bench" :whole="texts.proof.wholeSheet" />
    </template>
    <template #cards>
      <CardPanel
        v-if="findings.length === 0"
        :title="store.findings.looking ? texts.proof.looking : texts.proof.clean"
        :tone="store.findings.looking ? undefined : 'leaf'"
      >
        <p class="plain">
          {{ store.findings.looking ? texts.proof.lookingWhat : texts.proof.cleanHint }}
        </p>
      </CardPanel>
      <FindingGroups @show="show" />
      <OtherThings />
      <FilesCard />
      <v-btn
        v-if="findings.every(({ severity }) => severity !== 'blocker')"
        color="primary"
        height="40"
        :to="{ name: 'run' }"
        >{{ texts.proof.toRun }}</v-btn
      >
      <ShownCards v-model:way="seen.way" v-model:on-stock="onStock" v-model:layers="layers" />
    </template>
  </BenchLayout>
</template>

<style scoped>
.bench {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  touch-action: none;
}
.page {
  position: absolute;
  background: #fff;
  box-shadow: var(--shadow-paper);
}
.page canvas {
  display: block;
  width: 100%;
  height: 100%;
}
/* Ink lets through what it lies on. */
.stock canvas {
  mix-blend-mode: multiply;
}
.clear {
  background: repeating-conic-gradient(#d9cfcb 0 25%, #fffdf9 0 50%) 0 0 / 18px 18px;
}
.shiny {
  background-image: linear-gradient(
    115deg,
    #ffffffb0 0,
    #00000018 30%,
    #ffffff90 52%,
    #00000022 78%
  );
}
.rainbow {
  background-image: linear-gradient(115deg, #ffc4d6, #ffe9a8, #bff3d0, #b9dcff, #e3c4ff, #ffc4d6);
}
.woven {
  background-image:
    repeating-linear-gradient(0deg, #0000000f 0 1px, transparent 1px 3px),
    repeating-linear-gradient(90deg, #0000000f 0 1px, transparent 1px 3px);
}
.plain {
  margin: 0;
}
</style>
