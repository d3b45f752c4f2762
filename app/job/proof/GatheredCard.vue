<script setup lang="ts">
import { computed, ref } from 'vue';
import { findingKey, type Finding, type GatheredFindings } from '../../../core/proof/index.ts';
import { findingText, fixText, manyText } from '../../../messages/index.ts';
import { useJobStore } from '../../session/job-store.ts';
import { texts } from '../../texts/index.ts';
import LinkButton from '../../ui/LinkButton.vue';
import { usePieceHome } from '../common/piece-home.ts';
import FindingFrame from '../common/FindingFrame.vue';

/** What is found in several pieces: once, with its places in turn and one press for all of them. */
const props = defineProps<{ group: GatheredFindings; opened: boolean }>();
const emit = defineEmits<{ show: [finding: Finding]; open: [] }>();
const store = useJobStore();
const say = texts.proof;
const first = computed(() => props.group.findings[0]);
const { homeOf } = usePieceHome();
/** What can be mended here: guests are mended where they belong. */
const fixes = computed(() =>
  props.group.findings.flatMap(({ fix, where }) =>
    fix && homeOf(where.piece) === undefined ? [fix] : [],
  ),
);
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
  <FindingFrame
    :finding="first"
    :what="manyText(first, group.pieces)"
    :why="findingText(first).why"
    :aside="String(group.findings.length)"
  >
    <LinkButton v-if="fixes.length" @click="mend">{{ fixSays }}</LinkButton>
    <LinkButton @click="showNext">{{ say.showNext(next + 1, group.findings.length) }}</LinkButton>
    <LinkButton @click="emit('open')">{{ opened ? say.together : say.oneByOne }}</LinkButton>
    <LinkButton @click="accept">{{ say.acceptAll }}</LinkButton>
  </FindingFrame>
</template>
