<script setup lang="ts">
import { computed, ref } from 'vue';
import { findingKey, gatherFindings, type Finding } from '../../../core/proof/index.ts';
import { findingText } from '../../../messages/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import LinkButton from '../../ui/LinkButton.vue';
import FindingCard from '../common/FindingCard.vue';
import GatheredCard from './GatheredCard.vue';
import { useJobStore } from '../../session/job-store.ts';

/** All that the proof has to say, those of a kind together, and what was accepted with its note. */
const emit = defineEmits<{ show: [finding: Finding] }>();
const store = useJobStore();
const say = texts.proof;
/** Kinds whose findings are looked at one by one. */
const opened = ref<ReadonlySet<string>>(new Set());
const groups = computed(() => gatherFindings(store.findings.list));
const accepted = computed(() => store.findings.accepted);

function toggle(code: string): void {
  const now = new Set(opened.value);
  if (!now.delete(code)) now.add(code);
  opened.value = now;
}

function reopen(finding: Finding): void {
  store.act({ name: 'reopen-finding', args: { key: findingKey(finding) } });
}
</script>

<template>
  <template v-for="group in groups" :key="findingKey(group.findings[0])">
    <GatheredCard
      v-if="group.pieces > 1"
      :group="group"
      :opened="opened.has(group.findings[0].code)"
      @show="emit('show', $event)"
      @open="toggle(group.findings[0].code)"
    />
    <template v-if="group.pieces === 1 || opened.has(group.findings[0].code)">
      <FindingCard
        v-for="finding in group.findings"
        :key="findingKey(finding)"
        :finding="finding"
        show
        @show="emit('show', $event)"
      />
    </template>
  </template>
  <CardPanel v-if="accepted.length" :title="say.accepted" :aside="String(accepted.length)">
    <div v-for="finding in accepted" :key="findingKey(finding)" class="taken">
      <p>{{ findingText(finding).what }}</p>
      <p v-if="finding.accepted" class="quiet">{{ finding.accepted }}</p>
      <LinkButton @click="reopen(finding)">{{ say.reopen }}</LinkButton>
    </div>
  </CardPanel>
</template>

<style scoped>
.taken + .taken {
  margin-top: 8px;
  border-top: 1px solid var(--line);
  padding-top: 6px;
}
p {
  margin: 0;
}
.quiet {
  font-size: 12.5px;
}
</style>
