<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { IDENTITY } from '../../../core/geometry/index.ts';
import { sheetMarks } from '../../../core/stock/index.ts';
import { isOpenBlocker } from '../../../core/proof/index.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import CardPanel from '../../ui/CardPanel.vue';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import PixelPicture from '../../ui/PixelPicture.vue';
import FindingCard from '../common/FindingCard.vue';
import PrintedNowCard from '../sheet/PrintedNowCard.vue';
import { usePrintAgain } from '../../session/print-again.ts';
import { useJobStore } from '../../session/job-store.ts';
import ChancesCard from './ChancesCard.vue';
import DevicesCard from './DevicesCard.vue';
import FaultsCard from './FaultsCard.vue';
import { useRealRun } from './real-run.ts';
import { useRehearsal } from './rehearsal-run.ts';
import MarksByHand from './MarksByHand.vue';
import OnTheThing from './OnTheThing.vue';
import RealRun from './RealRun.vue';
import ReportCard from './ReportCard.vue';
import RunSteps from './RunSteps.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { texts } from '../../texts/index.ts';

const store = useJobStore();
const mode = ref<'rehearse' | 'real'>('rehearse');
const look = ref<keyof typeof texts.run.seen>('peeled');
const { report, running, share, doing, sheet, faults, marksByHand, rehearse, cutByHand, cancel } =
  useRehearsal(() => (look.value = 'peeled'));
const again = usePrintAgain();
const run = useRealRun(() => mode.value === 'real');

const blockers = computed(() => store.findings.list.filter(isOpenBlocker));
const seen = computed(() => report.value?.sheets[sheet.value]);
const shown = computed(() => seen.value?.[look.value === 'thing' ? 'peeled' : look.value]);
/** How what came of a rehearsal is looked at; a label on its thing where that can be drawn. */
const looks = computed((): Record<string, string> => {
  const { thing, ...others } = texts.run.seen;
  const thingless = store.committed?.thing.kind === 'label-sheet';
  return thingless ? others : { ...others, thing };
});
const blocked = computed(() => blockers.value.length > 0 || store.layout?.sheets.length === 0);
const cuts = computed(
  () => store.committed?.material.tool === 'knife' && !store.committed.stock.spots,
);
/** Whether the run that is under way was begun before the desk was opened. */
const resumed = ref(false);
const interrupted = computed(() => run.record.value?.open?.done.length ?? 0);

/** Those that are to be printed again after this one. */
const then = computed(() => again.left(store.whole?.id ?? ''));

onMounted(async () => {
  const { whole } = store;
  const first = again.begin(whole?.id ?? '');
  if (first !== undefined && first !== store.thing) return store.showThing(first);
  const due = whole && again.take(whole.id, store.thing);
  if (due) mode.value = 'real';
  if (due?.count !== undefined) store.act({ name: 'want-labels', args: { count: due.count } });
  // A run that is under way is what one has come back for.
  resumed.value = await run.resume().catch(() => false);
  if (resumed.value) mode.value = 'real';
});

const marks = computed(() => {
  const job = store.committed;
  return job ? sheetMarks(job.stock, job.plan.marks) : [];
});
onBeforeUnmount(cancel);
</script>

<template>
  <BenchLayout :cards="texts.run.run">
    <template #bench>
      <div class="mode">
        <ChoiceRow v-model="mode" :label="texts.run.mode" :choices="texts.run.modes" />
      </div>
      <RealRun v-if="mode === 'real'" :run="run" :blocked="blocked" />
      <MarksByHand
        v-else-if="marksByHand && seen?.cut"
        :image="seen.cut"
        :width="store.committed?.stock.width ?? 0"
        :marks="marks"
        @done="cutByHand"
        @close="marksByHand = false"
      />
      <div v-else-if="shown" class="result">
        <OnTheThing
          v-if="look === 'thing' && store.committed"
          :job="store.committed"
          :sheet="sheet"
          :peeled="shown"
          :lies="seen?.registration?.map ?? IDENTITY"
        />
        <PixelPicture
          v-else
          :image="shown"
          :label="`${texts.run.sheet(sheet + 1)}, ${texts.run.seen[look]}`"
        />
        <div class="looks">
          <ChoiceRow
            :model-value="look as string"
            :label="texts.run.looks"
            :choices="looks"
            @update:model-value="look = $event as typeof look"
          />
        </div>
        <div v-if="(report?.sheets.length ?? 0) > 1" class="pages">
          <button
            v-for="(_, at) in report?.sheets"
            :key="at"
            type="button"
            :aria-pressed="at === sheet"
            @click="sheet = at"
          >
            {{ texts.run.sheet(at + 1) }}
          </button>
        </div>
      </div>
      <RunSteps v-else :running="running" :doing="doing" :share="share" />
    </template>
    <template #cards>
      <template v-if="blockers.length">
        <p class="stop">{{ texts.run.stopped }}</p>
        <FindingCard v-for="(finding, at) in blockers" :key="at" :finding="finding" />
      </template>
      <template v-if="mode === 'real'">
        <CardPanel
          v-if="run.record.value"
          :title="
            texts.run[resumed ? 'interrupted' : 'underWay'](interrupted, run.steps.value.length)
          "
          tone="amber"
        >
          <LinkButton @click="run.giveUp">{{ texts.run.giveUp }}</LinkButton>
        </CardPanel>
        <PrintedNowCard v-else />
        <CardPanel v-if="then.length" :title="texts.again.then">
          <p v-for="one in then" :key="one.thing">
            <LinkButton @click="store.showThing(one.thing)">{{
              texts.again.next(one.name)
            }}</LinkButton>
          </p>
        </CardPanel>
        <DevicesCard :cuts="cuts" />
      </template>
      <template v-else>
        <ReportCard v-if="report && store.job" :job="store.job" :report="report" :sheet="sheet" />
        <LinkButton
          v-if="seen?.stopped && marks.length > 2 && !marksByHand && !running"
          @click="marksByHand = true"
        >
          {{ texts.run.byHand }}
        </LinkButton>
        <v-btn v-if="!running" color="primary" height="44" :disabled="blocked" @click="rehearse">{{
          report ? texts.run.again : texts.run.start
        }}</v-btn>
        <v-btn v-else variant="outlined" height="44" @click="cancel">{{ texts.run.cancel }}</v-btn>
        <ChancesCard v-if="!running && !blocked" :sheet="sheet" />
        <FaultsCard v-model="faults" />
        <p class="quiet">{{ texts.run.simulated }}</p>
      </template>
    </template>
  </BenchLayout>
</template>

<style scoped>
.mode {
  position: absolute;
  z-index: 2;
  top: 20px;
  left: 20px;
}
.result {
  position: relative;
  display: flex;
  justify-content: center;
  box-sizing: border-box;
  height: 100%;
  padding: 74px 30px 70px;
}
.result canvas {
  max-width: 100%;
  max-height: 100%;
  border-radius: 3px;
  object-fit: contain;
  box-shadow: var(--shadow-paper);
}
.looks {
  position: absolute;
  top: 20px;
  left: 50%;
  transform: translateX(-50%);
}
.pages {
  position: absolute;
  bottom: 18px;
  left: 50%;
  display: flex;
  gap: 4px;
  max-width: 80%;
  border-radius: var(--r-tray);
  padding: 5px 10px;
  overflow-x: auto;
  background: var(--card);
  box-shadow: var(--shadow);
  transform: translateX(-50%);
}
.pages button {
  min-height: 32px;
  border: 0;
  border-radius: 12px;
  padding: 0 12px;
  background: none;
  color: var(--ink);
  font: inherit;
  white-space: nowrap;
  cursor: pointer;
}
.pages button[aria-pressed='true'] {
  background: var(--apricot-soft);
}
.stop {
  margin: 0;
  font-weight: 600;
}
</style>
