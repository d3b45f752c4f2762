<script setup lang="ts">
import type { Doing } from '../../../core/base/index.ts';
import { doingText } from '../../../messages/index.ts';
import { computed } from 'vue';
import DoingBar from '../../ui/DoingBar.vue';
import { useJobStore } from '../../session/job-store.ts';
import StepPicture from './StepPicture.vue';
import { texts } from '../../texts/index.ts';

/** What to load and which way round, step by step; the step under way is lit. */
const props = defineProps<{ running: boolean; doing: Doing | undefined; share: number }>();
const store = useJobStore();
const marks = computed(() => store.job?.plan.marks.on ?? false);
const sheets = computed(() => store.layout?.sheets.length ?? 0);
const steps = computed(() => [
  {
    key: 'load' as const,
    title: texts.run.load,
    text: texts.run.loadHint(sheets.value, store.job?.stock.name ?? ''),
  },
  {
    key: 'print' as const,
    title: texts.run.print,
    text: texts.run.printHint,
    doing: 'printing-sheet' as const,
  },
  {
    key: 'lay' as const,
    title: marks.value ? texts.run.lay : texts.run.layBare,
    text: marks.value ? texts.run.layHint : texts.run.layBareHint,
    doing: 'finding-marks' as const,
  },
  {
    key: 'cut' as const,
    title: store.job?.plan.cut === 'through' ? texts.run.through : texts.run.kiss,
    text: marks.value ? texts.run.cutHint : texts.run.cutBareHint,
    doing: 'cutting-sheet' as const,
  },
  { key: 'peel' as const, title: texts.run.peel, text: texts.run.peelHint },
]);
const at = computed(() =>
  props.running
    ? steps.value.findIndex((step) => 'doing' in step && step.doing === props.doing?.code)
    : -1,
);
</script>

<template>
  <div class="run">
    <ol>
      <li
        v-for="(step, index) in steps"
        :key="step.key"
        :class="{ now: index === at, past: running && index < at }"
      >
        <StepPicture :picture="step.key" :marks="marks" />
        <div>
          <strong>{{ step.title }}</strong>
          <span>{{ step.text }}</span>
        </div>
      </li>
    </ol>
    <div v-if="running && doing" class="doing">
      <DoingBar :doing="doingText(doing)" :share="share" :label="texts.run.progress" />
    </div>
  </div>
</template>

<style scoped>
.run {
  display: flex;
  flex-direction: column;
  justify-content: center;
  gap: 18px;
  box-sizing: border-box;
  height: 100%;
  max-width: 560px;
  margin: 0 auto;
  padding: 20px;
}
ol {
  display: grid;
  gap: 10px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 18px;
  align-items: center;
  border: 2px solid transparent;
  border-radius: var(--r-card);
  padding: 9px 18px;
  background: var(--card);
  box-shadow: var(--shadow);
}
.now {
  border-color: var(--apricot);
}
.past {
  opacity: 0.65;
}
li svg {
  flex: none;
  width: 66px;
}
strong,
li span {
  display: block;
}
strong {
  font-size: 15px;
}
.doing {
  border-radius: var(--r-card);
  padding: 10px 20px 14px;
  background: var(--card);
  box-shadow: var(--shadow);
}
</style>
