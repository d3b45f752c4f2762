<script setup lang="ts">
import { computed } from 'vue';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import FactRow from '../../ui/FactRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import { useJobStore } from '../store/job-store.ts';
import type { Plan } from '../../../core/sheet/index.ts';
import { texts } from '../../texts/index.ts';

const store = useJobStore();
const plan = computed(() => store.job?.plan);
const moved = computed(() => Object.keys(plan.value?.moved ?? {}));
function change(changes: Partial<Plan>, key?: string): void {
  store.act({ name: 'change-plan', args: { changes } }, key);
}
</script>

<template>
  <CardPanel v-if="plan" :title="texts.sheet.arrangement">
    <FactRow :label="texts.sheet.how"
      ><span>{{
        plan.arrangement === 'spots' ? 'into the sheet’s labels' : 'rows and columns'
      }}</span></FactRow
    >
    <LengthRow
      v-if="plan.arrangement === 'step'"
      :label="texts.sheet.gapLong"
      :name="texts.sheet.gap"
      :model-value="plan.gap"
      :min="0"
      :max="100"
      @update:model-value="change({ gap: $event }, 'gap')"
    />
    <ChoicesRow
      :label="texts.sheet.cut"
      :name="texts.sheet.cutLong"
      :model-value="plan.cut"
      :choices="texts.sheet.cuts"
      @update:model-value="change({ cut: $event })"
    />
    <ChoicesRow
      :label="texts.sheet.marks"
      :name="texts.sheet.marksLong"
      :model-value="plan.marks.on ? 'on' : 'off'"
      :choices="texts.sheet.marksOn"
      @update:model-value="change({ marks: { ...plan.marks, on: $event === 'on' } })"
    />
    <button
      v-if="moved.length"
      class="link"
      type="button"
      @click="store.act({ name: 'return-copies', args: { copies: moved } })"
    >
      {{ texts.sheet.backAll(moved.length) }}
    </button>
  </CardPanel>
</template>
