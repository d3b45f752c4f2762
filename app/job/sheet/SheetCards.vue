<script setup lang="ts">
import { computed } from 'vue';
import type { CompiledSheet, NoTrimPlan, SheetCopy, TrimPlan } from '../../../core/sheet/index.ts';
import { useJobStore } from '../../session/job-store.ts';
import FindingCard from '../common/FindingCard.vue';
import ArrangementCard from './ArrangementCard.vue';
import CopiesCard from './CopiesCard.vue';
import CopyCard from './CopyCard.vue';
import GuestsCard from './GuestsCard.vue';
import MarksCard from './MarksCard.vue';
import OneOffCard from './OneOffCard.vue';
import OneOffsCard from './OneOffsCard.vue';
import PrintedNowCard from './PrintedNowCard.vue';
import SheetCard from './SheetCard.vue';
import TrimCard from './TrimCard.vue';
import WantedCard from './WantedCard.vue';
import WaysCard from './WaysCard.vue';

/** What can be said about the copies that are selected, the sheet and how all sheets are filled. */
const props = defineProps<{
  /** The sheet that is shown, from 0. */
  current: number;
  copies: readonly SheetCopy[];
  /** The sheet without what a gesture is just doing. */
  committed: CompiledSheet | undefined;
  trim: TrimPlan | NoTrimPlan | undefined;
}>();
const index = defineModel<number>('index', { required: true });
const selected = defineModel<readonly string[]>('selected', { required: true });
/** The straight cut that is pointed at. */
const cut = defineModel<number>('cut');
const store = useJobStore();

/** Notes about the sheet that are told beside it; all others stand in the proof. */
const SHOWN_NOTES = new Set(['gap-too-small', 'scissors-gap']);
const findings = computed(() =>
  store.findings.list.filter(
    ({ code, where, severity }) =>
      where.sheet === props.current && (severity !== 'note' || SHOWN_NOTES.has(code)),
  ),
);

function showCopy(copy: string, sheet: number): void {
  index.value = sheet;
  selected.value = [copy];
}
</script>

<template>
  <template v-if="copies.length === 1 && copies[0]">
    <CopyCard :copy="copies[0]" :sheet="current" @follow="index = $event" @gone="selected = []" />
    <OneOffCard :copy="copies[0]" />
  </template>
  <CopiesCard v-else-if="copies.length" :copies="copies" :sheet="current" @gone="selected = []" />
  <FindingCard v-for="finding in findings" :key="finding.code" :finding="finding" />
  <PrintedNowCard />
  <WantedCard />
  <GuestsCard />
  <OneOffsCard @show="showCopy" />
  <ArrangementCard :sheet="current" :shown="committed" />
  <SheetCard
    v-if="(store.layout?.sheets.length ?? 0) > 1 && store.job?.plan.arrangement !== 'spots'"
    :sheet="current"
    @follow="index = $event"
  />
  <TrimCard v-if="trim" v-model:shown="cut" :plan="trim" />
  <WaysCard />
  <MarksCard />
</template>
