<script setup lang="ts">
import {
  mdiAlignHorizontalCenter,
  mdiAlignHorizontalDistribute,
  mdiAlignHorizontalLeft,
  mdiAlignHorizontalRight,
  mdiAlignVerticalBottom,
  mdiAlignVerticalCenter,
  mdiAlignVerticalDistribute,
  mdiAlignVerticalTop,
} from '@mdi/js';
import { computed } from 'vue';
import type { Box } from '../../../core/geometry/index.ts';
import type { CommandCall } from '../../../core/job/index.ts';
import { texts } from '../../texts/index.ts';
import IconButton from '../../ui/IconButton.vue';
import { useShownSteps } from '../common/shown-steps.ts';
import { movesTo, OUTCOMES, type Movable, type Moves, type Outcome } from './align.ts';

/** Bringing things into line; what is pointed at is shown before it is done. */
const props = defineProps<{
  movables: readonly Movable[];
  /** What one alone is brought into line with. */
  frame: Box;
  /** The step that makes moves. */
  callFor: (moves: Moves) => CommandCall | undefined;
}>();
const steps = useShownSteps();
const ICONS: Readonly<Record<Outcome, string>> = {
  lefts: mdiAlignHorizontalLeft,
  'middles-across': mdiAlignHorizontalCenter,
  rights: mdiAlignHorizontalRight,
  tops: mdiAlignVerticalTop,
  'middles-down': mdiAlignVerticalCenter,
  bottoms: mdiAlignVerticalBottom,
  'gaps-across': mdiAlignHorizontalDistribute,
  'gaps-down': mdiAlignVerticalDistribute,
};

const several = computed(() => props.movables.length > 1);
const offered = computed(() =>
  OUTCOMES.filter((one) => !one.startsWith('gaps') || props.movables.length > 2),
);
const names = computed(() => (several.value ? texts.exact.outcomes : texts.exact.outcomesOfOne));

function callOf(outcome: Outcome): CommandCall | undefined {
  return props.callFor(movesTo(outcome, props.movables, props.frame));
}
</script>

<template>
  <div class="align" role="group" :aria-label="texts.exact.align">
    <span v-for="outcome in offered" :key="outcome" v-on="steps.pointed(callOf(outcome))">
      <IconButton
        :icon="ICONS[outcome]"
        :name="names[outcome]"
        @click="steps.act(callOf(outcome))"
      />
    </span>
  </div>
</template>

<style scoped>
.align {
  display: flex;
  flex-wrap: wrap;
  margin: 0 -6px;
}
</style>
