<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import type { Finding } from '../../../core/proof/index.ts';
import { useBenchView } from '../../ui/bench-view.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import CardPanel from '../../ui/CardPanel.vue';
import PixelPicture from '../../ui/PixelPicture.vue';
import { useSeenAs } from '../../ui/seen-as.ts';
import SeenAsFilter from '../../ui/SeenAsFilter.vue';
import SelectRow from '../../ui/SelectRow.vue';
import ZoomTray from '../../ui/ZoomTray.vue';
import FindingCard from '../FindingCard.vue';
import SheetStrip from '../sheet/SheetStrip.vue';
import { useJobStore } from '../store/job-store.ts';
import FilesCard from './FilesCard.vue';
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
const made = useMadePdf(
  () => store.job,
  () => current.value,
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
const ring = computed(() =>
  shown.value?.where.sheet === current.value ? shown.value.where.box : undefined,
);
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
    if (box) bench.look({ x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }, 6);
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
      <div class="page" :style="{ ...page, filter: seen.filter }">
        <PixelPicture
          v-if="made.image.value"
          :image="made.image.value"
          :label="texts.proof.sheet(current + 1)"
        />
      </div>
      <svg ref="svg" class="bench" aria-hidden="true">
        <g
          v-if="ring"
          :transform="`translate(${bench.view.value.x} ${bench.view.value.y}) scale(${bench.view.value.scale})`"
        >
          <rect
            class="ring"
            :x="ring.left - 1.5"
            :y="ring.top - 1.5"
            :width="ring.right - ring.left + 3"
            :height="ring.bottom - ring.top + 3"
            rx="3"
          />
        </g>
      </svg>
      <div v-if="made.doing.value" class="doing" role="status">
        <span>{{ made.doing.value }} …</span>
        <v-progress-linear
          :aria-label="texts.proof.progress"
          :model-value="made.share.value * 100"
          color="primary"
          rounded
        />
        <button class="link" type="button" @click="made.cancel">{{ texts.proof.cancel }}</button>
      </div>
    </template>
    <template #foot>
      <SheetStrip v-model="index" :current="current" />
      <ZoomTray :bench="bench" :whole="texts.proof.wholeSheet" />
    </template>
    <template #cards>
      <FilesCard />
      <CardPanel :title="texts.seenAs.title">
        <SelectRow v-model="seen.way" :label="texts.proof.proof" :choices="texts.seenAs.ways" />
      </CardPanel>
      <CardPanel
        v-if="findings.length === 0"
        :title="store.findings.looking ? texts.proof.looking : texts.proof.clean"
        :tone="store.findings.looking ? undefined : 'leaf'"
      >
        <p class="plain">
          {{
            store.findings.looking
              ? 'Words, pictures and sheets are being looked at.'
              : texts.proof.cleanHint
          }}
        </p>
      </CardPanel>
      <FindingCard
        v-for="(finding, at) in findings"
        :key="finding.code + at"
        :finding="finding"
        show
        @show="show"
      />
      <v-btn
        v-if="findings.every(({ severity }) => severity !== 'blocker')"
        color="primary"
        height="40"
        :to="{ name: 'run' }"
        >{{ texts.proof.toRun }}</v-btn
      >
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
.ring {
  fill: none;
  stroke: #b5432a;
  stroke-width: 3px;
  vector-effect: non-scaling-stroke;
}
.doing {
  position: absolute;
  top: 18px;
  left: 50%;
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 14px;
  align-items: center;
  width: 300px;
  border-radius: var(--r-tray);
  padding: 8px 20px;
  background: var(--card);
  box-shadow: var(--shadow);
  transform: translateX(-50%);
}
.doing > :nth-child(2) {
  grid-row: 2;
}
.doing > :nth-child(3) {
  grid-row: 1 / 3;
  grid-column: 2;
}
.plain {
  margin: 0;
}
</style>
