<script setup lang="ts">
import { mdiCheck } from '@mdi/js';
import { computed, ref, watch } from 'vue';
import type { Point } from '../../../core/geometry/index.ts';
import { loadingOf } from '../../../core/stock/index.ts';
import { texts } from '../../texts/index.ts';
import DoingBar from '../../ui/DoingBar.vue';
import NumberRow from '../../ui/NumberRow.vue';
import { useJobStore } from '../../session/job-store.ts';
import { useChosenTray } from '../../session/chosen-devices.ts';
import LoadPicture from '../../stock/printers/LoadPicture.vue';
import AlignAtCutter from './AlignAtCutter.vue';
import CountSheet from './CountSheet.vue';
import CutPlay from './CutPlay.vue';
import LabelPictures from './LabelPictures.vue';
import LoadedByPicture from './LoadedByPicture.vue';
import PrinterBefore from './PrinterBefore.vue';
import type { RealRun } from './real-run.ts';
import StepPicture from './StepPicture.vue';
import WaitRing from './WaitRing.vue';
import LinkButton from '../../ui/LinkButton.vue';

/** A run for real: the step that is next, large; those before and after it as a row of pictures. */
const { run } = defineProps<{ run: RealRun; blocked: boolean }>();
const words = texts.run;
const store = useJobStore();
const { broken, busy, cutter, cutting, doing, done, from, fromCut, now, rests } = run;
const { places, printed, printer, record, share, spoiled, steps } = run;
const at = computed(() => steps.value.findIndex(({ key }) => key === now.value?.key));
const sheets = computed(() => printed.value?.sheets ?? []);
const marks = computed(() => (sheets.value[0]?.marks.length ?? 0) > 0);
const shown = ref(0);
watch(sheets, () => (shown.value = 0));
const sheet = computed(() => sheets.value[Math.min(shown.value, sheets.value.length - 1)]);
const counting = computed(() => now.value?.kind === 'count');
const cutSheet = computed(() =>
  now.value?.kind === 'cut' ? sheets.value[now.value.sheet ?? 0] : undefined,
);
const tray = useChosenTray();
const prints = computed(() => now.value?.kind === 'print' || now.value?.kind === 'print-back');
const side = computed(() => (now.value?.kind === 'print-back' ? 'back' : 'front'));
/** How the sheets lie in the tray for the step that is next, where that was found out. */
const loading = computed(() => {
  const feed = prints.value ? tray.value?.feed : undefined;
  const job = store.committed;
  return feed && job && loadingOf(feed, job.stock, side.value, job.plan.turnOver);
});
/** The sheet as it looks up from the tray: the side that is printed next, or before. */
const seenSheet = computed(() => {
  const isBack = side.value === 'back' && loading.value?.printed === 'up';
  return isBack ? printed.value?.backs[0] : sheets.value[0];
});
/** Whether somebody has to see to the printer before it prints. */
const printerStops = ref(false);
/** How a hand shows where the marks are, while it does. */
const showing = ref<'pointer' | 'picture'>();
watch(now, () => (showing.value = undefined));
/** Whether the cutter can go along the lines without working. */
const dry = computed(() => cutSheet.value && cutter.value?.profile?.language === 'gcode');
const marked = computed(() => (cutSheet.value?.marks.length ?? 0) > 2);

/** Cuts by the marks as a hand or a picture has shown them. */
async function cutBy(shown: readonly Point[]): Promise<void> {
  places.value = shown;
  showing.value = undefined;
  if (now.value) await run.perform(now.value);
}
const count = computed(() => record.value?.copies ?? 0);
</script>

<template>
  <div class="run">
    <ol class="row" :aria-label="words.run">
      <li
        v-for="(step, index) in steps"
        :key="step.key"
        :class="{ now: index === at, past: done.has(step.key) }"
        :title="step.title"
        :aria-current="index === at ? 'step' : undefined"
      >
        <StepPicture :picture="step.picture" :marks="marks" />
        <button
          v-if="done.has(step.key) && !busy"
          class="again"
          type="button"
          :aria-label="`${words.redo}: ${step.title}`"
          @click="run.redo(step)"
        >
          <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiCheck" /></svg>
        </button>
      </li>
    </ol>
    <section
      v-if="now"
      class="step"
      :class="{ pictured: now.kind === 'cut' || counting || loading }"
      data-step
    >
      <div class="says">
        <p class="quiet">{{ words.stepOf(at + 1, steps.length) }}</p>
        <h1 class="display">{{ now.title }}</h1>
        <p>{{ now.text }}</p>
        <WaitRing
          v-if="now.kind === 'wait' && record"
          :key="now.key"
          :minutes="now.minutes ?? 0"
          :run="record.id"
        />
        <template v-if="counting">
          <div v-if="sheets.length > 1" class="pages">
            <button
              v-for="(_, index) in sheets"
              :key="index"
              type="button"
              :aria-pressed="index === shown"
              @click="shown = index"
            >
              {{ words.sheet(index + 1) }}
            </button>
          </div>
          <strong data-good>{{ words.goodOnes(count - spoiled.size, count) }}</strong>
        </template>
        <PrinterBefore
          v-if="prints && printer && !busy"
          :key="now.key"
          v-model:stopped="printerStops"
          :printer="printer"
        />
        <NumberRow
          v-if="broken && prints && sheets.length > 1"
          v-model="from"
          :label="words.fromSheet"
          :min="1"
          :max="sheets.length"
        />
        <NumberRow
          v-if="broken && cutSheet"
          v-model="fromCut"
          :label="words.fromCut"
          :min="1"
          :max="cutSheet.cuts.length"
        />
        <template v-if="busy">
          <DoingBar :doing="doing" :share="share" :label="words.progress">
            <LinkButton @click="run.cancel">{{ words.cancel }}</LinkButton>
          </DoingBar>
          <LinkButton v-if="cutting" @click="run.rest">
            {{ rests ? words.restOver : words.rest }}
          </LinkButton>
        </template>
        <template v-else-if="showing === 'pointer' && cutSheet && cutter?.address">
          <AlignAtCutter
            :cutter="cutter"
            :width="cutSheet.drawing.width"
            :height="cutSheet.drawing.height"
            :marks="cutSheet.marks"
            @done="cutBy"
            @close="showing = undefined"
          />
        </template>
        <v-btn
          v-else-if="showing !== 'picture'"
          color="primary"
          height="48"
          size="large"
          data-do
          :disabled="blocked || (prints && printerStops)"
          @click="run.perform(now)"
          >{{ now.button }}</v-btn
        >
        <router-link
          v-if="prints && printer && !loading && !busy"
          class="link"
          :to="{ name: 'stock-room', params: { part: 'printers' }, query: { open: printer.id } }"
          >{{ texts.feeding.unknown }}</router-link
        >
        <LinkButton v-if="dry && !showing && !busy" @click="run.dryRun(now)">
          {{ words.dryRun }}
        </LinkButton>
        <template v-if="marked && !showing && !busy">
          <p v-if="cutter?.smallestMark === null" class="quiet">{{ words.noSensor }}</p>
          <LinkButton v-if="cutter?.address" @click="showing = 'pointer'">
            {{ words.placeByHand }}
          </LinkButton>
          <LinkButton @click="showing = 'picture'">
            {{ words.byPictureLink }}
          </LinkButton>
        </template>
      </div>
      <LoadPicture
        v-if="loading && seenSheet"
        class="load-picture"
        :loading="loading"
        :side="side"
        :size="seenSheet.drawing"
      >
        <LabelPictures :sheet="seenSheet" />
      </LoadPicture>
      <LoadedByPicture
        v-if="cutSheet && showing === 'picture'"
        :sheet="now.sheet ?? 0"
        :width="cutSheet.drawing.width"
        :height="cutSheet.drawing.height"
        @done="cutBy"
        @close="showing = undefined"
      />
      <CutPlay
        v-else-if="cutSheet && store.committed"
        :sheet="cutSheet"
        :cut="store.committed.material.cut"
        :from="broken ? fromCut - 1 : 0"
      />
      <CountSheet v-if="counting && sheet" :sheet="sheet" :spoiled="spoiled" @mark="run.mark" />
    </section>
  </div>
</template>

<style scoped>
.run {
  display: flex;
  flex-direction: column;
  gap: 18px;
  box-sizing: border-box;
  height: 100%;
  max-width: 820px;
  margin: 0 auto;
  padding: 74px 24px 24px;
}
.row {
  display: flex;
  flex: none;
  gap: 8px;
  justify-content: center;
  margin: 0;
  padding: 6px;
  list-style: none;
  overflow-x: auto;
}
.row li {
  position: relative;
  flex: none;
  border: 2px solid transparent;
  border-radius: 12px;
  padding: 5px 8px;
  background: var(--card);
  opacity: 0.75;
}
.row > li > svg {
  display: block;
  width: 46px;
}
.row .now {
  border-color: var(--apricot);
  opacity: 1;
}
.again {
  position: absolute;
  right: -6px;
  bottom: -6px;
  width: 24px;
  height: 24px;
  border: 0;
  border-radius: 50%;
  background: var(--leaf);
  padding: 3px;
  cursor: pointer;
}
.again path {
  fill: #fff;
}
.step {
  box-sizing: border-box;
  min-height: 0;
  border-radius: var(--r-job);
  padding: 22px 28px 26px;
  background: var(--card);
  box-shadow: var(--shadow);
}
.pictured {
  display: grid;
  flex: 1;
  grid-template-rows: 100%;
  grid-template-columns: minmax(200px, 2fr) 3fr;
  gap: 24px;
}
.load-picture {
  place-self: center;
}
.says {
  display: flex;
  flex-direction: column;
  gap: 12px;
  align-items: flex-start;
}
.step p {
  margin: 0;
}
.step h1 {
  font-size: 24px;
}
.pages {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  max-height: 130px;
  overflow: auto;
}
.pages button {
  min-height: 30px;
  border: 0;
  border-radius: 12px;
  padding: 0 12px;
  background: var(--well);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.pages button[aria-pressed='true'] {
  background: var(--apricot-soft);
}
</style>
