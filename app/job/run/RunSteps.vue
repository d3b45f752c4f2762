<script setup lang="ts">
import { computed } from 'vue';
import { useJobStore } from '../store/job-store.ts';
import { texts } from '../../texts/index.ts';

/** What to load and which way round, step by step; the step under way is lit. */
const props = defineProps<{ running: boolean; doing: string; share: number }>();
const store = useJobStore();
const marks = computed(() => store.job?.plan.marks.on ?? false);
const sheets = computed(() => store.layout?.sheets.length ?? 0);
const steps = computed(() => [
  {
    key: 'load',
    title: texts.run.load,
    text: texts.run.loadHint(sheets.value, store.job?.stock.name ?? ''),
  },
  {
    key: 'print',
    title: texts.run.print,
    text: texts.run.printHint,
    match: 'Printing',
  },
  {
    key: 'lay',
    title: marks.value ? texts.run.lay : texts.run.layBare,
    text: marks.value ? texts.run.layHint : texts.run.layBareHint,
    match: 'Looking',
  },
  {
    key: 'cut',
    title: store.job?.plan.cut === 'through' ? texts.run.through : texts.run.kiss,
    text: marks.value ? texts.run.cutHint : texts.run.cutBareHint,
    match: 'Cutting',
  },
  { key: 'peel', title: texts.run.peel, text: texts.run.peelHint },
]);
const at = computed(() =>
  props.running ? steps.value.findIndex(({ match }) => match && props.doing.startsWith(match)) : -1,
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
        <svg viewBox="0 0 64 52" aria-hidden="true">
          <template v-if="step.key === 'load'">
            <path class="device" d="M8 26h48v18H8z" />
            <path class="paper" d="M18 4h28v22H18z" />
            <path class="line" d="M32 8v12m-5-5 5 5 5-5" />
          </template>
          <template v-else-if="step.key === 'print'">
            <path class="device" d="M8 12h48v20H8z" />
            <path class="paper" d="M16 26h32v22H16z" />
            <circle class="label" cx="26" cy="36" r="5" />
            <circle class="label" cx="39" cy="36" r="5" />
          </template>
          <template v-else-if="step.key === 'lay'">
            <path class="paper" d="M14 6h36v42H14z" />
            <circle v-if="marks" cx="20" cy="12" r="2" />
            <circle v-if="marks" class="ring" cx="20" cy="12" r="3.6" />
            <circle v-if="marks" cx="44" cy="12" r="2" />
            <circle v-if="marks" cx="44" cy="42" r="2" />
            <circle v-if="marks" cx="20" cy="42" r="2" />
            <path class="line" d="M32 34V18m-5 5 5-5 5 5" />
          </template>
          <template v-else-if="step.key === 'cut'">
            <path class="paper" d="M12 6h40v42H12z" />
            <circle class="cut" cx="32" cy="27" r="13" />
            <path class="knife" d="M44 4l6 6-8 10-4-4z" />
          </template>
          <template v-else>
            <circle class="label" cx="32" cy="27" r="19" />
            <path class="paper" d="M32 8a19 19 0 0 1 19 19c-10 2-20-8-19-19z" />
          </template>
        </svg>
        <div>
          <strong>{{ step.title }}</strong>
          <span>{{ step.text }}</span>
        </div>
      </li>
    </ol>
    <div v-if="running" class="doing" role="status">
      <span>{{ doing }} …</span>
      <v-progress-linear
        :aria-label="texts.run.progress"
        :model-value="share * 100"
        color="primary"
        height="6"
        rounded
      />
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
.device {
  fill: #b8a9ae;
  stroke: #44203d;
}
.paper {
  fill: #fffdf9;
  stroke: #44203d;
}
.label {
  fill: #f2a65a;
  stroke: #44203d;
}
.line,
.ring,
.cut {
  fill: none;
  stroke: var(--plum);
  stroke-width: 1.6;
}
.ring {
  stroke: #111;
  stroke-width: 1;
}
.cut {
  stroke: var(--kiss);
  stroke-dasharray: 4 3;
}
.knife {
  fill: var(--plum);
}
.doing {
  border-radius: var(--r-card);
  padding: 10px 20px 14px;
  background: var(--card);
  box-shadow: var(--shadow);
}
</style>
