<script setup lang="ts">
import { computed, onMounted, shallowRef } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import { leftOutTexts } from '../../../messages/index.ts';
import PieceThumbnail from '../../session/PieceThumbnail.vue';
import { saveOriginal } from '../../session/save-original.ts';
import { versionsOf, type JobVersion } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import OverlayPanel from '../../ui/OverlayPanel.vue';
import SidePanel from '../../ui/SidePanel.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';
import { loadFor } from '../../session/page-resources.ts';

/** What was done to a job: the steps of this visit, and earlier versions to return to or compare. */
defineEmits<{ close: [] }>();
const store = useJobStore();
const words = texts.history;
const versions = shallowRef<readonly JobVersion[]>([]);
const compared = shallowRef<JobVersion>();

/** The steps with how far each is from now: what was done last is at the top. */
const steps = computed(() => {
  const { past, future } = store;
  return [
    ...future.map((label, at) => ({ label, by: at + 1 })).reverse(),
    ...past.map((label, at) => ({ label, by: at + 1 - past.length })).reverse(),
    { label: words.opened, by: -past.length },
  ];
});

const when = (at: number): string =>
  new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });

async function load(): Promise<void> {
  const { job } = store;
  if (!job) return;
  versions.value = await versionsOf(job.id);
  for (const version of versions.value) await loadFor(version.job);
}
onMounted(() => void load().catch(useMessages().sayError));

function back({ at, job }: JobVersion): void {
  compared.value = undefined;
  store.returnTo(job, words.returning(when(at)));
}

function saveAsIs({ job, original }: JobVersion): void {
  void saveOriginal(job.name, original).catch(useMessages().sayError);
}

const sides = computed(() =>
  compared.value && store.job
    ? [
        { name: words.now, job: store.job },
        { name: when(compared.value.at), job: compared.value.job },
      ]
    : [],
);
const firstPiece = (job: Job): string => job.pieces[0]?.id ?? '';
</script>

<template>
  <SidePanel :title="words.title" @close="$emit('close')">
    <h3>{{ words.steps }}</h3>
    <p class="quiet">{{ words.stepsHint }}</p>
    <ol>
      <li v-for="step in steps" :key="step.by">
        <button
          type="button"
          :class="{ ahead: step.by > 0 }"
          :aria-current="step.by === 0 ? 'step' : undefined"
          @click="store.walkBy(step.by)"
        >
          {{ step.label }}
        </button>
      </li>
    </ol>
    <h3>{{ words.versions }}</h3>
    <p class="quiet">{{ words.versionsHint }}</p>
    <p v-if="versions.length === 0" class="quiet">{{ words.none }}</p>
    <div v-for="version in versions" :key="version.at" class="version">
      <PieceThumbnail :job="version.job" :piece="firstPiece(version.job)" />
      <div>
        <strong>{{ when(version.at) }}</strong>
        <LinkButton @click="compared = version">{{ words.compare }}</LinkButton>
        <LinkButton @click="back(version)">{{ words.back }}</LinkButton>
        <template v-if="version.leftOut.length">
          <span class="quiet">{{ words.leftOut(leftOutTexts(version.leftOut)) }}</span>
          <LinkButton @click="saveAsIs(version)">
            {{ texts.shelf.saveAsIs }}
          </LinkButton>
        </template>
      </div>
    </div>
  </SidePanel>
  <OverlayPanel
    v-if="compared"
    :title="words.compareTitle(when(compared.at))"
    @close="compared = undefined"
  >
    <div class="sides">
      <section v-for="side in sides" :key="side.name">
        <h3>{{ side.name }}</h3>
        <figure v-for="piece in side.job.pieces.slice(0, 12)" :key="piece.id">
          <PieceThumbnail :job="side.job" :piece="piece.id" />
          <figcaption>{{ piece.name }}</figcaption>
        </figure>
      </section>
    </div>
    <template #foot>
      <LinkButton @click="compared && back(compared)">
        {{ words.back }}
      </LinkButton>
    </template>
  </OverlayPanel>
</template>

<style scoped>
h3 {
  margin: 8px 2px 2px;
  font-size: 13.5px;
}
p {
  margin: 0 2px 6px;
  font-size: 12.5px;
}
ol {
  max-height: 300px;
  margin: 0 0 8px;
  padding: 0;
  overflow: auto;
  list-style: none;
}
ol button {
  width: 100%;
  min-height: 28px;
  border: 0;
  border-left: 3px solid transparent;
  padding: 2px 8px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
ol button:hover {
  background: var(--apricot-soft);
}
ol button[aria-current] {
  border-color: var(--apricot);
  background: var(--apricot-soft);
  font-weight: 600;
}
.ahead {
  color: var(--ink-2) !important;
  font-style: italic !important;
}
.version {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 5px 2px;
}
.version svg {
  flex: none;
  width: 62px;
  height: 62px;
}
.version strong {
  display: block;
  font-size: 13px;
}

.version .quiet {
  display: block;
  font-size: 12.5px;
}
.version .link {
  margin-right: 12px;
}
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}
figure {
  margin: 6px 0 10px;
  text-align: center;
}
figure svg {
  width: 100%;
  max-height: 260px;
}
figcaption {
  font-size: 12.5px;
}
</style>
