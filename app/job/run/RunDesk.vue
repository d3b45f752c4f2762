<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { Cancelled } from '../../../core/base/index.ts';
import { printKeys, type Job } from '../../../core/job/index.ts';
import { unaccepted, type RunReport } from '../../../core/run/index.ts';
import { calls, type Ongoing } from '../../calls/index.ts';
import { useShelf } from '../../shelf/shelf-store.ts';
import { keepRun, type KeptRun } from '../../storage/index.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import { useMessages } from '../../ui/messages-store.ts';
import PixelPicture from '../../ui/PixelPicture.vue';
import FindingCard from '../FindingCard.vue';
import PrintedNowCard from '../sheet/PrintedNowCard.vue';
import { useJobStore } from '../store/job-store.ts';
import ReportCard from './ReportCard.vue';
import RunSteps from './RunSteps.vue';
import { texts } from '../../texts/index.ts';

const store = useJobStore();
const shelf = useShelf();
const messages = useMessages();
const report = shallowRef<RunReport>();
/** The run as it is remembered. */
const kept = shallowRef<KeptRun>();
const running = ref(false);
const share = ref(0);
const doing = ref('');
const sheet = ref(0);
const look = ref<'printed' | 'cut' | 'peeled'>('peeled');
let ongoing: Ongoing<'run'> | undefined;

const blockers = computed(() => unaccepted(store.findings.list, []));
const shown = computed(() => report.value?.sheets[sheet.value]?.[look.value]);

async function start(): Promise<void> {
  const job = store.job;
  if (!job || running.value) return;
  await store.flush();
  running.value = true;
  report.value = undefined;
  share.value = 0;
  try {
    const seed = Math.floor(Math.random() * 1e9);
    ongoing = calls.call('run', { job, seed, accept: [] }, (part, text) => {
      share.value = part;
      doing.value = text;
    });
    const done = await ongoing.answer;
    if (!done.ok) return messages.sayProblem(done.problem);
    report.value = done.value;
    sheet.value = 0;
    await remember(done.value, job);
  } catch (error) {
    if (!(error instanceof Cancelled)) messages.sayError(error);
  } finally {
    running.value = false;
  }
}

async function remember(done: RunReport, job: Job): Promise<void> {
  const copies = done.sheets.flatMap((one) => one.copies);
  if (copies.length === 0) return;
  const at = new Date().toISOString();
  const keys = printKeys(job);
  await keep({
    id: `${job.id}@${at}`,
    job: job.id,
    at,
    sheets: done.sheets.length,
    copies: copies.length,
    worstDeviation: Math.max(...copies.map(({ deviation }) => deviation)),
    printed: Object.fromEntries(copies.map(({ copy }) => [copy, keys[copy] ?? ''])),
    spoiled: copies.filter(({ bleedLeft }) => bleedLeft < 0).map(({ copy }) => copy),
  });
}

async function keep(run: KeptRun): Promise<void> {
  kept.value = run;
  await keepRun(run);
  await shelf.refresh();
}

const spoiled = computed(() => new Set(kept.value?.spoiled));

/** Notes of a copy that it cannot be used, or that it can. */
function mark(copy: string, isSpoiled: boolean): void {
  if (!kept.value) return;
  const others = (kept.value.spoiled ?? []).filter((one) => one !== copy);
  void keep({ ...kept.value, spoiled: isSpoiled ? [...others, copy] : others }).catch(
    messages.sayError,
  );
}

/** Has the spoiled copies alone printed in the next run. */
function printSpoiled(): void {
  if (!store.act({ name: 'print-only', args: { copies: [...spoiled.value] } })) return;
  report.value = undefined;
  messages.say(texts.run.spoiledNext(spoiled.value.size));
}

onBeforeUnmount(() => ongoing?.cancel());
</script>

<template>
  <BenchLayout :cards="texts.run.run">
    <template #bench>
      <div v-if="shown" class="result">
        <PixelPicture
          :image="shown"
          :label="`${texts.run.sheet(sheet + 1)}, ${texts.run.seen[look]}`"
        />
        <div class="looks">
          <ChoiceRow v-model="look" :label="texts.run.looks" :choices="texts.run.seen" />
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
      <ReportCard
        v-if="report"
        :report="report"
        :sheet="sheet"
        :spoiled="spoiled"
        @mark="mark"
        @again="printSpoiled"
      />
      <PrintedNowCard v-else />
      <v-btn
        v-if="!running"
        color="primary"
        height="44"
        :disabled="blockers.length > 0 || store.layout?.sheets.length === 0"
        @click="start"
        >{{ report ? texts.run.again : texts.run.start }}</v-btn
      >
      <v-btn v-else variant="outlined" height="44" @click="ongoing?.cancel()">{{
        texts.run.cancel
      }}</v-btn>
      <p class="quiet">
        {{ texts.run.simulated }}
      </p>
    </template>
  </BenchLayout>
</template>

<style scoped>
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
