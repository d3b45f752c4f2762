<script setup lang="ts">
import { computed, ref } from 'vue';
import { findingKey, type Finding, type GatheredFindings } from '../../../core/proof/index.ts';
import { findingText, fixText, manyText } from '../../../messages/index.ts';
import { useJobStore } from '../../session/job-store.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import LinkButton from '../../ui/LinkButton.vue';
import StateMark from '../../ui/StateMark.vue';
import { FINDING_STATES, FINDING_TONES } from '../common/finding-looks.ts';

/** What is found in several pieces: once, with its places in turn and one press for all of them. */
const props = defineProps<{ group: GatheredFindings; opened: boolean }>();
const emit = defineEmits<{ show: [finding: Finding]; open: [] }>();
const store = useJobStore();
const say = texts.proof;
const first = computed(() => props.group.findings[0]);
const fixes = computed(() => props.group.findings.flatMap(({ fix }) => fix ?? []));
const fixSays = computed(() => {
  const said = new Set(fixes.value.map(fixText));
  const [only] = said;
  return only !== undefined && said.size === 1 ? only : say.fixAll(fixes.value.length);
});
/** Which of the places is shown next, from 0. */
const at = ref(0);
const next = computed(() => at.value % props.group.findings.length);

function showNext(): void {
  const finding = props.group.findings[next.value];
  at.value = next.value + 1;
  if (finding) emit('show', finding);
}

/** All fixes, as one step. */
async function mend(): Promise<void> {
  const key = `mend:${first.value.code}`;
  for (const { call } of fixes.value) if (!(await store.actInWorker(call, key))) return;
}

function accept(): void {
  for (const finding of props.group.findings) {
    const args = { key: findingKey(finding), values: finding.values, note: '' };
    if (!store.act({ name: 'accept-finding', args }, `accept:${first.value.code}`)) return;
  }
}
</script>

<template>
  <CardPanel
    :title="say.severities[first.severity]"
    :aside="String(group.findings.length)"
    :tone="FINDING_TONES[first.severity]"
    :data-finding="first.code"
  >
    <p>
      <StateMark class="mark" :state="FINDING_STATES[first.severity]" />{{
        manyText(first, group.pieces)
      }}
    </p>
    <p class="why">{{ findingText(first).why }}</p>
    <div class="actions">
      <LinkButton v-if="fixes.length" @click="mend">{{ fixSays }}</LinkButton>
      <LinkButton @click="showNext">{{ say.showNext(next + 1, group.findings.length) }}</LinkButton>
      <LinkButton @click="emit('open')">{{ opened ? say.together : say.oneByOne }}</LinkButton>
      <LinkButton @click="accept">{{ say.acceptAll }}</LinkButton>
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
  flex-wrap: wrap;
  gap: 2px 16px;
}
</style>
