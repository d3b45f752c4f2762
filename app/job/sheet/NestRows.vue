<script setup lang="ts">
import { computed } from 'vue';
import type { Turns } from '../../../core/sheet/index.ts';
import { texts } from '../../texts/index.ts';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';
import type { Nesting } from './nesting.ts';

/** Nesting: how copies may turn, what was found so far over time, and what can be done next. */
const props = defineProps<{ nesting: Nesting }>();
const store = useJobStore();
const say = texts.sheet;
const [WIDE, HIGH] = [220, 46];

const plan = computed(() => store.committed?.plan);
const wanted = computed(() =>
  Object.values(plan.value?.wanted ?? {}).reduce((sum, count) => sum + count, 0),
);
const rest = computed(() => Math.max(0, wanted.value - (plan.value?.nested ?? []).flat().length));
/** Fewer sheets may do. */
const several = computed(() => (plan.value?.nested?.length ?? 0) > 1);
const last = computed(() => props.nesting.heard.value.at(-1));
/** Used room over time, in steps. */
const line = computed(() => {
  const { value: heard } = props.nesting.heard;
  const end = Math.max(1, last.value?.seconds ?? 1);
  const all = heard.map(({ used }) => used);
  const [low, high] = [Math.min(...all) * 0.9, Math.max(...all)];
  const x = (seconds: number): number => (seconds / end) * WIDE;
  const y = (used: number): number => HIGH - 4 - ((used - low) / (high - low || 1)) * (HIGH - 10);
  return heard
    .map(({ seconds, used }, at) => (at === 0 ? `M0 ${y(used)}` : `H${x(seconds)}V${y(used)}`))
    .concat(`H${WIDE}`)
    .join('');
});

function turn(turns: Turns): void {
  void props.nesting.start({ turns });
}
</script>

<template>
  <ChoicesRow
    :label="say.turns"
    :name="say.turnsLong"
    :model-value="plan?.turns ?? 'quarter'"
    :choices="say.turnsOf"
    @update:model-value="turn"
  />
  <template v-if="last">
    <svg
      v-if="nesting.heard.value.length > 1"
      class="plot"
      role="img"
      :viewBox="`0 0 ${WIDE} ${HIGH}`"
      preserveAspectRatio="none"
      :aria-label="say.nestPlot(last.seconds.toFixed(0))"
    >
      <path :d="line" />
    </svg>
    <p class="found" aria-live="polite">
      <span>{{ say.nesting(last.copies, say.percent(last.used)) }}</span>
      <span class="quiet">{{ say.seconds(last.seconds.toFixed(1)) }}</span>
    </p>
  </template>
  <p class="next">
    <LinkButton v-if="nesting.running.value" @click="nesting.stop()">
      {{ say.nestStop }}
    </LinkButton>
    <template v-else>
      <LinkButton v-if="rest || several" @click="nesting.start()">
        {{ rest ? say.nestRest(rest) : say.nestAgain }}
      </LinkButton>
      <LinkButton @click="nesting.start({ fill: true })">
        {{ say.nestFill }}
      </LinkButton>
    </template>
  </p>
</template>

<style scoped>
.plot {
  display: block;
  width: 100%;
  height: 46px;
  border-bottom: 1px solid var(--line);
}
.plot path {
  fill: none;
  stroke: var(--plum);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.found,
.next {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 2px 14px;
  margin: 4px 0;
}
</style>
