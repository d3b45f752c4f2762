<script setup lang="ts">
import { onBeforeUnmount } from 'vue';
import type { Finding } from '../../core/proof/index.ts';
import CardPanel from '../ui/CardPanel.vue';
import StateMark from '../ui/StateMark.vue';
import { useJobStore } from './store/job-store.ts';
import { texts } from '../texts/index.ts';

/** A finding with what it says, why it matters, and the fix in it, which is shown when it is pointed at. */
const props = defineProps<{ finding: Finding; show?: boolean }>();
defineEmits<{ show: [finding: Finding] }>();
const store = useJobStore();

function preview(): void {
  if (props.finding.fix) store.preview(props.finding.fix.call);
}

function mend(): void {
  store.drop();
  if (props.finding.fix) store.act(props.finding.fix.call);
}

onBeforeUnmount(() => store.drop());

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
        @pointerenter="preview"
        @pointerleave="store.drop()"
        @focus="preview"
        @blur="store.drop()"
        @click="mend"
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
