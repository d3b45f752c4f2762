<script setup lang="ts">
import { computed } from 'vue';
import type { NoTrimPlan, TrimPlan } from '../../../core/sheet/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';

/** The straight cuts of a trimmer, in order; one that is pointed at is shown on the sheet. */
const props = defineProps<{ plan: TrimPlan | NoTrimPlan }>();
const shown = defineModel<number>('shown');
const store = useJobStore();
const settings = useSettings();
const say = texts.sheet;
const cuts = computed(() => (typeof props.plan === 'string' ? [] : props.plan.cuts));
const none = computed(() => (typeof props.plan === 'string' ? say.noTrim[props.plan] : undefined));

function mark(cropMarks: boolean): void {
  store.act({ name: 'change-plan', args: { changes: { cropMarks } } });
}
</script>

<template>
  <CardPanel :title="say.trim" :aside="cuts.length ? say.trimCuts(cuts.length) : ''">
    <template v-if="none">
      <p>{{ none }}</p>
      <LinkButton
        v-if="plan === 'crossed' && store.job?.plan.arrangement !== 'step'"
        @click="
          store.act({
            name: 'change-plan',
            args: { changes: { arrangement: 'step', handPlaces: {} } },
          })
        "
      >
        {{ say.trimInRows }}
      </LinkButton>
    </template>
    <template v-else>
      <p class="quiet">{{ say.trimHint }}</p>
      <ol tabindex="0" :aria-label="say.trim" @pointerleave="shown = undefined">
        <li
          v-for="(cut, at) in cuts"
          :key="at"
          :class="{ shown: at === shown }"
          @pointerenter="shown = at"
        >
          <span class="number">{{ at + 1 }}</span>
          {{ say.trimCut(formatLength(cut.measure, settings.unit), cut.axis) }}
        </li>
      </ol>
    </template>
    <CheckRow
      :label="say.cropMarks"
      :model-value="store.job?.plan.cropMarks ?? false"
      @update:model-value="mark"
    />
  </CardPanel>
</template>

<style scoped>
p {
  margin: 0 0 6px;
}
ol {
  max-height: 232px;
  margin: 0 0 6px;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}
li {
  display: flex;
  gap: 8px;
  border-radius: 8px;
  padding: 2px 6px;
}
li.shown {
  background: var(--apricot-soft);
}
.number {
  min-width: 20px;
  color: var(--ink-2);
  text-align: right;
}
</style>
