<script setup lang="ts">
import { computed, ref } from 'vue';
import { findingKey, type Finding } from '../../../core/proof/index.ts';
import { findingText } from '../../../messages/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import LinkButton from '../../ui/LinkButton.vue';
import FindingCard from '../common/FindingCard.vue';
import { useJobStore } from '../../session/job-store.ts';

/** All that the proof has to say, those of a kind together, and what was accepted with its note. */
const emit = defineEmits<{ show: [finding: Finding] }>();
const store = useJobStore();
const say = texts.proof;
const SHOWN = 2; // of one kind, before the others are asked for
const opened = ref<ReadonlySet<string>>(new Set());
const groups = computed(() => {
  const kinds = new Map<string, Finding[]>();
  for (const finding of store.findings.list) {
    const kind = `${finding.severity} ${finding.code}`;
    kinds.set(kind, [...(kinds.get(kind) ?? []), finding]);
  }
  return [...kinds].map(([kind, all]) => ({
    kind,
    shown: opened.value.has(kind) ? all : all.slice(0, SHOWN),
    more: opened.value.has(kind) ? 0 : Math.max(0, all.length - SHOWN),
  }));
});
const accepted = computed(() => store.findings.accepted);

function reopen(finding: Finding): void {
  store.act({ name: 'reopen-finding', args: { key: findingKey(finding) } });
}
</script>

<template>
  <template v-for="{ kind, shown, more } in groups" :key="kind">
    <FindingCard
      v-for="finding in shown"
      :key="findingKey(finding)"
      :finding="finding"
      show
      @show="emit('show', $event)"
    />
    <LinkButton v-if="more" @click="opened = new Set([...opened, kind])">
      {{ say.moreAlike(more) }}
    </LinkButton>
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
.link {
  align-self: flex-start;
}
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
