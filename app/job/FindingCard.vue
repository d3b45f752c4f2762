<script setup lang="ts">
import type { Finding } from '../../core/proof/index.ts';
import CardPanel from '../ui/CardPanel.vue';
import StateMark from '../ui/StateMark.vue';
import { useShownSteps } from './shown-steps.ts';
import { texts } from '../texts/index.ts';

/** A finding with what it says, why it matters, and the fix in it, which is shown when it is pointed at. */
defineProps<{ finding: Finding; show?: boolean }>();
defineEmits<{ show: [finding: Finding] }>();
const steps = useShownSteps();

const TONES = { blocker: 'brick', warning: 'amber', note: undefined } as const;
const STATES = { blocker: 'stop', warning: 'look', note: 'open' } as const;
</script>

<template>
  <CardPanel
    :title="texts.proof.severities[finding.severity]"
    :tone="TONES[finding.severity]"
    :data-finding="finding.code"
  >
    <p><StateMark class="mark" :state="STATES[finding.severity]" />{{ finding.what }}</p>
    <p class="why">{{ finding.why }}</p>
    <div class="actions">
      <button
        v-if="finding.fix"
        class="link"
        type="button"
        v-on="steps.pointed(finding.fix.call)"
        @click="steps.act(finding.fix.call)"
      >
        {{ finding.fix.label }}
      </button>
      <button v-if="show" class="link" type="button" @click="$emit('show', finding)">
        {{ texts.proof.showMe }}
      </button>
    </div>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 0 0 4px;
}
.mark {
  margin-right: 7px;
  vertical-align: -2px;
}
.why {
  font-size: 12.5px;
}
.actions {
  display: flex;
  gap: 16px;
}
</style>
