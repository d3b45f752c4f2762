<script setup lang="ts">
import type { Finding } from '../../../core/proof/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import StateMark from '../../ui/StateMark.vue';
import { FINDING_STATES } from './finding-states.ts';

/** The card of what the proof found: how grave it is, what it is and why it matters; what to do goes into the slot. */
defineProps<{ finding: Finding; what: string; why: string; aside?: string }>();

const TONES = { blocker: 'brick', warning: 'amber', note: undefined } as const;
</script>

<template>
  <CardPanel
    :title="texts.proof.severities[finding.severity]"
    :tone="TONES[finding.severity]"
    :data-finding="finding.code"
    v-bind="aside === undefined ? {} : { aside }"
  >
    <p><StateMark class="mark" :state="FINDING_STATES[finding.severity]" />{{ what }}</p>
    <p class="why">{{ why }}</p>
    <div class="actions"><slot /></div>
    <slot name="foot" />
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
  flex-wrap: wrap;
  gap: 2px 16px;
}
</style>
