<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue';
import { chanceBeyond, type Chances } from '../../../core/run/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { useJobStore } from '../../session/job-store.ts';
import { useManyRehearsals } from './many-rehearsals.ts';
import MeasurePrinter from './MeasurePrinter.vue';
import WhatIf from './WhatIf.vue';
import LinkButton from '../../ui/LinkButton.vue';

/** How likely a sheet is to come out well, by many rehearsals, and what bleed would do. */
const props = defineProps<{ sheet: number }>();
const words = texts.run;
const store = useJobStore();
const settings = useSettings();
const chances = shallowRef<Chances>();
const { running, share, rehearse: many, stop } = useManyRehearsals();
const STEPS = 40; // of the plot, from no bleed to 4 mm
const FAR = 4; // mm

watch([() => store.committed, () => props.sheet], () => {
  stop();
  chances.value = undefined;
});

async function rehearse(): Promise<void> {
  if (store.committed) chances.value = await many(store.committed, props.sheet);
}

const { percent } = words;
const worst = computed(() =>
  chances.value?.copies.reduce((most, one) => (one.least < most.least ? one : most)),
);
const slivers = computed(() => {
  const all = chances.value?.copies ?? [];
  return all.reduce((sum, { sliver }) => sum + sliver, 0) / (all.length || 1);
});
const bleeds = computed(() => store.committed?.pieces.map(({ bleed }) => bleed) ?? []);
const bleed = computed(() => Math.min(...bleeds.value));
const needed = computed(() => Math.ceil((chances.value?.bleedFor99 ?? 0) * 10) / 10);
const tone = computed(() => (slivers.value > 0.01 ? 'amber' : 'leaf'));
const plot = computed(() => {
  const strays = chances.value?.strays;
  if (!strays?.length) return '';
  return Array.from({ length: STEPS + 1 }, (_, at) => {
    const chance = chanceBeyond(strays, (at / STEPS) * FAR);
    return `${(at / STEPS) * 240},${(60 - chance * 56).toFixed(2)}`;
  }).join(' ');
});
const across = (mm: number): number => Math.min(240, (mm / FAR) * 240);
const length = (mm: number): string => formatLength(mm, settings.unit);

function widen(): void {
  const pieces = store.committed?.pieces.map(({ id }) => id) ?? [];
  store.act({ name: 'set-bleed', args: { pieces, bleed: needed.value } });
}
</script>

<template>
  <CardPanel :title="words.chances" v-bind="chances ? { tone } : {}" data-chances>
    <template v-if="chances">
      <p>{{ slivers > 0 ? words.slivers(percent(slivers)) : words.noSlivers }}</p>
      <p v-if="chances.refused">{{ words.refused(chances.refused) }}</p>
      <svg viewBox="-2 0 246 76" role="img" :aria-label="words.withBleed">
        <path class="axis" d="M0 60H240" />
        <polyline class="curve" :points="plot" />
        <path class="now" :d="`M${across(bleed)} 4V60`" />
        <path class="needed" :d="`M${across(needed)} 4V60`" />
        <text v-for="mm in [0, 1, 2, 3, 4]" :key="mm" :x="across(mm)" y="73">{{ mm }}</text>
      </svg>
      <FactRow :label="words.bleedNow"
        ><strong>{{ length(bleed) }}</strong></FactRow
      >
      <FactRow :label="words.bleedNeeded"
        ><strong data-needed>{{ length(needed) }}</strong></FactRow
      >
      <FactRow v-if="worst && slivers > 0" :label="words.worstCopy"
        ><span>{{ worst.copy }}, {{ percent(worst.sliver) }}</span></FactRow
      >
      <LinkButton v-if="needed > bleed" @click="widen">
        {{ words.takeBleed(length(needed)) }}
      </LinkButton>
      <MeasurePrinter v-if="store.committed?.stock.spots && slivers > 0" />
      <WhatIf v-if="store.committed" :job="store.committed" :sheet="sheet" :chances="chances" />
    </template>
    <template v-else>
      <p class="quiet">{{ words.chancesHint }}</p>
      <div v-if="running" class="busy" role="status">
        <v-progress-linear
          :aria-label="words.rehearsing"
          :model-value="share * 100"
          color="primary"
          height="6"
          rounded
        />
        <LinkButton @click="stop">{{ words.cancel }}</LinkButton>
      </div>
      <v-btn v-else color="primary" variant="tonal" @click="rehearse">{{ words.rehearse }}</v-btn>
    </template>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 0 0 6px;
}
svg {
  display: block;
  width: 100%;
}
.axis {
  stroke: var(--ink-2);
}
.curve {
  fill: none;
  stroke: var(--plum);
  stroke-width: 2;
}
.now,
.needed {
  stroke: var(--ink);
  stroke-width: 1.4;
}
.needed {
  stroke: var(--amber);
  stroke-dasharray: 3 3;
}
text {
  fill: var(--ink-2);
  font-size: 11px;
  text-anchor: middle;
}
.busy {
  display: flex;
  gap: 12px;
  align-items: center;
}
</style>
