<script setup lang="ts">
import { mdiCheck } from '@mdi/js';
import { computed, ref, watch } from 'vue';
import { texts } from '../../texts/index.ts';
import NumberRow from '../../ui/NumberRow.vue';
import CountSheet from './CountSheet.vue';
import type { RealRun } from './real-run.ts';
import StepPicture from './StepPicture.vue';
import WaitRing from './WaitRing.vue';

/** A run for real: the step that is next, large; those before and after it as a row of pictures. */
const { run } = defineProps<{ run: RealRun; blocked: boolean }>();
const words = texts.run;
const { broken, busy, doing, done, from, now, printed, record, share, spoiled, steps } = run;
const at = computed(() => steps.value.findIndex(({ key }) => key === now.value?.key));
const sheets = computed(() => printed.value?.sheets ?? []);
const marks = computed(() => (sheets.value[0]?.marks.length ?? 0) > 0);
const shown = ref(0);
watch(sheets, () => (shown.value = 0));
const sheet = computed(() => sheets.value[Math.min(shown.value, sheets.value.length - 1)]);
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
    <section v-if="now" class="step" :class="{ counting: now.kind === 'count' }" data-step>
      <p class="quiet">{{ words.stepOf(at + 1, steps.length) }}</p>
      <h1 class="display">{{ now.title }}</h1>
      <p>{{ now.text }}</p>
      <WaitRing
        v-if="now.kind === 'wait' && record"
        :key="now.key"
        :minutes="now.minutes ?? 0"
        :run="record.id"
      />
      <template v-if="now.kind === 'count' && sheet">
        <div class="sheet">
          <CountSheet :sheet="sheet" :spoiled="spoiled" @mark="run.mark" />
        </div>
        <p class="counted">
          <button
            v-for="(_, index) in sheets.length > 1 ? sheets : []"
            :key="index"
            class="page"
            type="button"
            :aria-pressed="index === shown"
            @click="shown = index"
          >
            {{ words.sheet(index + 1) }}
          </button>
          <strong data-good>{{ words.goodOnes(count - spoiled.size, count) }}</strong>
        </p>
      </template>
      <NumberRow
        v-if="broken && now.kind === 'print' && sheets.length > 1"
        v-model="from"
        :label="words.fromSheet"
        :min="1"
        :max="sheets.length"
      />
      <div v-if="busy" class="busy" role="status">
        <span>{{ doing }} …</span>
        <v-progress-linear
          :aria-label="words.progress"
          :model-value="share * 100"
          color="primary"
          height="6"
          rounded
        />
        <button class="link" type="button" @click="run.cancel">{{ words.cancel }}</button>
      </div>
      <v-btn
        v-else
        color="primary"
        height="48"
        size="large"
        data-do
        :disabled="blocked"
        @click="run.perform(now)"
        >{{ now.button }}</v-btn
      >
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
  max-width: 720px;
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
  display: flex;
  flex: 0 1 auto;
  flex-direction: column;
  gap: 10px;
  align-items: flex-start;
  min-height: 0;
  border-radius: var(--r-job);
  padding: 22px 28px 26px;
  background: var(--card);
  box-shadow: var(--shadow);
}
.counting {
  flex: 1 1 0;
  padding-top: 14px;
}
.counting > p:first-child {
  display: none;
}
.step p {
  margin: 0;
}
.step h1 {
  font-size: 24px;
}
.sheet {
  flex: 1;
  align-self: stretch;
  min-height: 0;
}
.counted {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
}
.page {
  min-height: 30px;
  border: 0;
  border-radius: 12px;
  padding: 0 12px;
  background: var(--well);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.page[aria-pressed='true'] {
  background: var(--apricot-soft);
}
.busy {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 6px 14px;
  align-items: center;
  align-self: stretch;
}
.busy span {
  grid-column: 1 / -1;
}
</style>
