<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js';
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { arrange } from '../../core/sheet/index.ts';
import { eachThing, thingsOf, type Job } from '../../core/job/index.ts';
import { texts } from '../texts/index.ts';
import { dayOf } from '../ui/dates.ts';
import { loadFor } from '../session/page-resources.ts';
import { useMessages } from '../ui/messages-store.ts';
import { useSettings } from '../ui/settings-store.ts';
import { sizeFact } from '../session/ticket-lines.ts';
import PieceThumbnail from '../session/PieceThumbnail.vue';
import { useShelf } from '../session/shelf-store.ts';
import PrintAgain from './PrintAgain.vue';

const props = defineProps<{
  job: Job;
  /** How many parts of it could not be read. */
  leftOut: number;
}>();
const shelf = useShelf();
const settings = useSettings();
const messages = useMessages();
const renaming = ref(false);
/** Whether it is asked what of a set is printed again. */
const printing = ref(false);
const name = ref('');
const field = ref<HTMLInputElement | null>(null);

const facts = computed(() => {
  const run = shelf.lastRun(props.job.id);
  const parts = props.job.set
    ? [
        thingsOf(props.job)
          .map(({ name }) => name)
          .join(', '),
      ]
    : [
        sizeFact(props.job, settings.unit).replace('Round, ', ''),
        texts.ticket.perSheet(arrange(props.job).perSheet),
      ];
  return [...parts, ...(run ? [texts.shelf.run(dayOf(run.at))] : [])].join(' · ');
});
/** The first pieces; of a set one of each thing. */
const shown = computed(() => {
  const most = props.job.set ? 1 : MOST_SHOWN;
  const pieces = eachThing(props.job).flatMap(({ job }) =>
    job.pieces.slice(0, most).map((piece) => ({ job, piece })),
  );
  return seen.value ? pieces.slice(0, MOST_SHOWN) : [];
});
const MOST_SHOWN = 3;

const card = ref<HTMLElement | null>(null);
/** Whether it has come near the window: what it shows is loaded and drawn then. */
const seen = ref(false);
const NEAR = '160px';
const observer = new IntersectionObserver(
  (entries) => {
    if (!entries.some(({ isIntersecting }) => isIntersecting)) return;
    seen.value = true;
    observer.disconnect();
  },
  { rootMargin: NEAR },
);
onMounted(() => card.value && observer.observe(card.value));
onBeforeUnmount(() => observer.disconnect());
watch([seen, () => props.job], () => {
  if (seen.value) void loadFor(props.job).catch(messages.sayError);
});

async function startRename(): Promise<void> {
  name.value = props.job.name;
  renaming.value = true;
  await nextTick();
  field.value?.select();
}

function endRename(keep: boolean): void {
  if (!renaming.value) return;
  renaming.value = false;
  if (keep && name.value.trim() && name.value !== props.job.name)
    void shelf.rename(props.job, name.value);
}
</script>

<template>
  <article ref="card" class="job">
    <router-link class="picture" :to="`/job/${job.id}`" :aria-label="job.name">
      <PieceThumbnail
        v-for="({ job: thing, piece }, index) in shown"
        :key="index"
        :job="thing"
        :piece="piece.id"
        :class="`piece at-${shown.length}-${index}`"
      />
    </router-link>
    <div class="foot">
      <input
        v-if="renaming"
        ref="field"
        v-model="name"
        class="well name"
        :aria-label="texts.shelf.rename"
        maxlength="120"
        @keydown.enter="endRename(true)"
        @keydown.esc="endRename(false)"
        @blur="endRename(true)"
      />
      <h3 v-else class="display" :title="job.name">{{ job.name }}</h3>
      <p class="quiet" :title="facts">{{ facts }}</p>
      <p v-if="leftOut" class="left-out">{{ texts.shelf.leftOut(leftOut) }}</p>
    </div>
    <v-menu location="top end">
      <template #activator="{ props: menu }">
        <button v-bind="menu" class="more" type="button" :aria-label="texts.shelf.menu(job.name)">
          <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiDotsHorizontal" /></svg>
        </button>
      </template>
      <v-list>
        <v-list-item v-if="job.set" :title="texts.shelf.printAgainWhich" @click="printing = true" />
        <v-list-item v-else :title="texts.shelf.printAgain" :to="`/job/${job.id}/run`" />
        <v-list-item :title="texts.shelf.rename" @click="startRename" />
        <v-list-item :title="texts.shelf.duplicate" @click="shelf.duplicate(job)" />
        <v-list-item :title="texts.shelf.export" @click="shelf.exportJob(job)" />
        <v-list-item :title="texts.shelf.delete" @click="shelf.remove(job)" />
      </v-list>
    </v-menu>
    <PrintAgain v-if="printing" :job="job" @close="printing = false" />
  </article>
</template>

<style scoped>
.job {
  position: relative;
  border: 1px solid var(--line);
  border-radius: var(--r-job);
  border-top-right-radius: 0;
  background: var(--card);
  overflow: hidden;
  clip-path: polygon(0 0, calc(100% - 26px) 0, 100% 26px, 100% 100%, 0 100%);
  transition: transform 0.15s;
}
.job::after {
  content: '';
  position: absolute;
  top: -1px;
  right: -1px;
  width: 27px;
  height: 27px;
  border-bottom-left-radius: 11px;
  background: linear-gradient(45deg, var(--line) 0%, var(--card) 44%, var(--apricot-soft) 50%);
  box-shadow: -2px 2px 6px #44203d33;
}
.job:hover {
  transform: translateY(-2px);
}
.picture {
  position: relative;
  display: block;
  height: 186px;
  background: linear-gradient(150deg, var(--bench-from), var(--bench-to));
}
.picture:focus-visible {
  outline-offset: -4px;
}
.piece {
  position: absolute;
  top: 50%;
  left: 50%;
  width: auto;
  height: 148px;
  max-width: 82%;
  transform: translate(-50%, -50%);
}
.at-2-0,
.at-3-0 {
  z-index: 2;
}
.at-2-0 {
  transform: translate(-78%, -50%);
}
.at-2-1 {
  transform: translate(-16%, -48%) rotate(7deg) scale(0.84);
}
.at-3-1 {
  transform: translate(-98%, -48%) rotate(-7deg) scale(0.76);
}
.at-3-2 {
  transform: translate(-2%, -48%) rotate(7deg) scale(0.76);
}
.foot {
  padding: 11px 52px 13px 16px;
}
h3 {
  overflow: hidden;
  font-size: 17px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.name {
  box-sizing: border-box;
  width: 100%;
  font-family: var(--display);
  font-size: 16px;
}
p {
  margin: 2px 0 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.more {
  position: absolute;
  right: 10px;
  bottom: 16px;
  width: 36px;
  height: 36px;
  border: 0;
  border-radius: 50%;
  background: none;
  cursor: pointer;
}
.more:hover {
  background: var(--apricot-soft);
}
.more svg {
  width: 20px;
  fill: var(--ink-2);
}
.left-out {
  margin: 2px 0 0;
  color: var(--amber-text);
  font-size: 12.5px;
}
</style>
