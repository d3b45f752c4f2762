<script setup lang="ts">
import { computed } from 'vue';
import { findingKey, gatherFindings } from '../../../core/proof/index.ts';
import { findingText, manyText } from '../../../messages/index.ts';
import { useJobStore } from '../../session/job-store.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import LinkButton from '../../ui/LinkButton.vue';
import StateMark from '../../ui/StateMark.vue';
import { FINDING_STATES } from '../common/finding-states.ts';

/** What the proof has to say of the other things of the set, each with the way there. */
const store = useJobStore();
const groups = computed(() =>
  store.findings.ofOthers
    .filter(({ list }) => list.length > 0)
    .map(({ id, name, list }) => ({ id, name, gathered: gatherFindings(list) })),
);
</script>

<template>
  <CardPanel
    v-for="{ id, name, gathered } in groups"
    :key="id"
    :title="name"
    :aside="String(gathered.length)"
    :data-other="name"
  >
    <p v-for="one in gathered" :key="findingKey(one.findings[0])">
      <StateMark class="mark" :state="FINDING_STATES[one.findings[0].severity]" />{{
        one.pieces > 1 ? manyText(one.findings[0], one.pieces) : findingText(one.findings[0]).what
      }}
    </p>
    <LinkButton @click="store.showThing(id)">{{ texts.set.goTo(name) }}</LinkButton>
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
</style>
