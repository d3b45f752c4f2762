<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { isProblem } from '../../../core/base/index.ts';
import { runCommand, type CommandCall, type Job } from '../../../core/job/index.ts';
import { chanceBeyond, strayFor, type Chances } from '../../../core/run/index.ts';
import { texts } from '../../texts/index.ts';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';
import { useManyRehearsals } from './many-rehearsals.ts';

/** What another bleed, gap or number of marks would do to a sheet that was rehearsed. */
const props = defineProps<{ job: Job; sheet: number; chances: Chances }>();
const words = texts.run.whatIf;
const store = useJobStore();
const { running, rehearse, stop } = useManyRehearsals();

const bleedNow = Math.min(...props.job.pieces.map(({ bleed }) => bleed));
const gapNow = props.job.plan.gap;
type Count = '3' | '4' | '6';
const marksNow = `${props.job.plan.marks.number}` as const;
const bleed = ref(bleedNow);
const gap = ref(gapNow);
const marks = ref<Count>(marksNow);
/** The same sheet with other marks. */
const others = shallowRef<Chances>();
const { percent, mm } = texts.run;
const shows = computed(() => percent(chanceBeyond(props.chances.strays, bleed.value)));
/** By how much the gap is wider or narrower than now, the neighbours are. */
const near = computed(() => (props.chances.gap ?? gapNow) + gap.value - gapNow);
const enters = computed(() => percent(chanceBeyond(props.chances.outs, near.value)));
const off = computed(() => {
  const seen = marks.value === marksNow ? props.chances : others.value;
  return seen && mm(strayFor(Float32Array.from(seen.deviations).sort(), 0.99), 2);
});

const withMarks = computed((): CommandCall => {
  const number = Number(marks.value) as 3 | 4 | 6;
  const changes = { marks: { ...props.job.plan.marks, number } };
  return { name: 'change-plan', args: { changes } };
});

async function tryMarks(number: Count): Promise<void> {
  stop();
  marks.value = number;
  others.value = undefined;
  const changed = runCommand(props.job, withMarks.value);
  if (number !== marksNow && !isProblem(changed))
    others.value = await rehearse(changed, props.sheet);
}

const steps = computed((): CommandCall[] => {
  const pieces = props.job.pieces.map(({ id }) => id);
  return [
    ...(bleed.value === bleedNow
      ? []
      : [{ name: 'set-bleed' as const, args: { pieces, bleed: bleed.value } }]),
    ...(gap.value === gapNow
      ? []
      : [{ name: 'change-plan' as const, args: { changes: { gap: gap.value } } }]),
    ...(marks.value === marksNow ? [] : [withMarks.value]),
  ];
});
const take = (): void => steps.value.forEach((step) => store.act(step));
</script>

<template>
  <div class="what-if" role="group" :aria-label="words.title">
    <h3>{{ words.title }}</h3>
    <LengthRow v-model="bleed" :label="words.bleed" :min="0" :max="8" :step="0.5" />
    <p class="quiet" data-shows>{{ words.shows(shows) }}</p>
    <LengthRow v-model="gap" :label="words.gap" :min="0" :max="20" :step="0.5" />
    <p class="quiet" data-enters>{{ words.enters(enters) }}</p>
    <template v-if="job.plan.marks.on">
      <ChoicesRow
        :model-value="marks"
        :label="words.marks"
        :choices="words.numbers as Readonly<Record<Count, string>>"
        @update:model-value="tryMarks"
      />
      <p class="quiet" data-off>{{ running ? words.trying : off ? words.off(off) : '' }}</p>
    </template>
    <LinkButton v-if="steps.length && !running" @click="take">
      {{ words.take }}
    </LinkButton>
  </div>
</template>

<style scoped>
.what-if {
  margin-top: 10px;
}
h3 {
  margin: 0 0 4px;
  font-size: 13px;
}
p {
  margin: 0 0 6px;
  font-size: 12.5px;
}
</style>
