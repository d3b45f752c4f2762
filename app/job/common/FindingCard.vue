<script setup lang="ts">
import { computed, ref } from 'vue';
import { findingKey, type Finding } from '../../../core/proof/index.ts';
import { findingText, fixText } from '../../../messages/index.ts';
import LinkButton from '../../ui/LinkButton.vue';
import FindingFrame from './FindingFrame.vue';
import { usePieceHome } from './piece-home.ts';
import { useShownSteps } from './shown-steps.ts';
import { useJobStore } from '../../session/job-store.ts';
import { texts } from '../../texts/index.ts';

/** A finding with what it says, why it matters, and the fix in it, which is shown when it is pointed at. */
const props = defineProps<{ finding: Finding; show?: boolean }>();
defineEmits<{ show: [finding: Finding] }>();
const steps = useShownSteps();
const store = useJobStore();
const { homeOf, goHome } = usePieceHome();
const home = computed(() => homeOf(props.finding.where.piece));
const says = computed(() => findingText(props.finding));
const accepting = ref(false);
const note = ref('');

function accept(): void {
  const { finding } = props;
  const args = { key: findingKey(finding), values: finding.values, note: note.value };
  if (store.act({ name: 'accept-finding', args })) accepting.value = false;
}
</script>

<template>
  <FindingFrame :finding="finding" :what="says.what" :why="says.why">
    <LinkButton
      v-if="finding.fix && home === undefined"
      v-on="steps.pointed(finding.fix.call)"
      @click="steps.act(finding.fix.call)"
    >
      {{ fixText(finding.fix) }}
    </LinkButton>
    <LinkButton v-if="home !== undefined" @click="goHome(finding.where.piece ?? '')">
      {{ texts.set.changeAt(home) }}
    </LinkButton>
    <LinkButton v-if="show" @click="$emit('show', finding)">
      {{ texts.proof.showMe }}
    </LinkButton>
    <LinkButton v-if="show && !accepting" @click="accepting = true">
      {{ texts.proof.accept }}
    </LinkButton>
    <template v-if="accepting" #foot>
      <form class="accept" @submit.prevent="accept">
        <input
          v-model="note"
          class="well"
          maxlength="300"
          :aria-label="texts.proof.note"
          :placeholder="texts.proof.note"
          @keydown.esc="accepting = false"
        />
        <LinkButton type="submit">{{ texts.proof.acceptIt }}</LinkButton>
      </form>
    </template>
  </FindingFrame>
</template>

<style scoped>
.accept {
  display: flex;
  gap: 8px;
  align-items: center;
}
.accept input {
  flex: 1;
  min-width: 0;
}
</style>
