<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { Cancelled } from '../../../core/base/index.ts';
import { stepSize } from '../../../core/testprint/index.ts';
import { fileStem } from '../../../core/output/index.ts';
import { firstStock } from '../../../core/stock/index.ts';
import { largerThing, type MeasuredThing } from '../../../core/things/index.ts';
import { say } from '../../../messages/index.ts';
import { calls } from '../../calls/index.ts';
import { download } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import { useMessages } from '../../ui/messages-store.ts';
import { useSettings } from '../../ui/settings-store.ts';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';

/** Bare outlines on plain paper, to be held to the thing; the one that fits is taken over. */
const props = defineProps<{
  thing: MeasuredThing;
  /** The size as it is told, once it is taken over. */
  fact: string;
  takeOver: (thing: MeasuredThing) => boolean;
}>();
const store = useJobStore();
const settings = useSettings();
const messages = useMessages();
const STEPS = { fine: 0.5, usual: 1, coarse: 2 } as const;
const step = ref<keyof typeof STEPS>('usual');
const printed = ref(false);
const busy = ref(false);
const steps = computed(() => [-STEPS[step.value], 0, STEPS[step.value]]);

async function print(): Promise<void> {
  const job = store.job;
  if (!job || busy.value) return;
  busy.value = true;
  try {
    const paper = job.stock.spots ? firstStock(false) : job.stock;
    const { thing } = props;
    const test = { thing, steps: steps.value, paper, name: job.name, unit: settings.unit };
    const bytes = await calls.call('fitTest', test).answer;
    download(`${fileStem(job.name)}-fit-test.pdf`, bytes, 'application/pdf');
    printed.value = true;
  } catch (error) {
    if (!(error instanceof Cancelled)) messages.sayError(error);
  } finally {
    busy.value = false;
  }
}

async function take(by: number): Promise<void> {
  if (by !== 0 && !props.takeOver(largerThing(props.thing, by))) return;
  printed.value = false;
  await nextTick();
  messages.say(texts.size.taken(props.fact));
}
</script>

<template>
  <CardPanel :title="texts.size.fitTest">
    <p class="hint">{{ printed ? texts.size.whichFits : texts.size.fitTestHint }}</p>
    <div v-if="printed" class="which" role="group" :aria-label="texts.size.whichFits">
      <button v-for="by in steps" :key="by" type="button" class="step" @click="take(by)">
        {{ say('fit-test-step', stepSize(by, settings.unit)) }}
      </button>
    </div>
    <ChoicesRow v-else v-model="step" :label="texts.size.stepsOf" :choices="texts.size.steps" />
    <LinkButton :disabled="busy" @click="print">
      {{ printed ? texts.size.printAgain : texts.size.printTest }}
    </LinkButton>
  </CardPanel>
</template>

<style scoped>
.hint {
  margin: 4px 0 8px;
  color: var(--ink-2);
}
.which {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 8px;
}
.step {
  border: 1px solid var(--apricot);
  border-radius: var(--r-field);
  padding: 5px 10px;
  background: var(--apricot-soft);
  color: var(--ink);
  font: inherit;
  font-weight: 600;
  cursor: pointer;
}
.step:hover {
  background: var(--apricot);
}
</style>
