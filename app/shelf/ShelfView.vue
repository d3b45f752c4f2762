<script setup lang="ts">
import { onMounted } from 'vue';
import { useRouter } from 'vue-router';
import { BEGINNINGS, isBackup, type Beginning } from '../../core/job/index.ts';
import type { ReadArt } from '../../core/art/index.ts';
import { useFileDrops } from '../ui/file-drops.ts';
import { PICTURE_FILES } from '../ui/picture-files.ts';
import { isPictureFile } from '../ui/file-place.ts';
import { useMessages } from '../ui/messages-store.ts';
import TakeTray from '../art/TakeTray.vue';
import { useTray } from '../art/tray-store.ts';
import type { StickerChoices } from '../session/stickers.ts';
import { bytesOf, chooseFiles } from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import BeginningPicture from '../ui/thing-pictures/BeginningPicture.vue';
import JobCard from './JobCard.vue';
import UnreadCard from './UnreadCard.vue';
import LinkButton from '../ui/LinkButton.vue';
import { useShelf } from '../session/shelf-store.ts';

const shelf = useShelf();
const router = useRouter();
const tray = useTray();
const messages = useMessages();

onMounted(() => void shelf.start());

async function begin(beginning: Beginning): Promise<void> {
  const job = await shelf.create(beginning);
  if (job) await router.push(`/job/${job.id}/${beginning === 'label-sheet' ? 'stock' : 'size'}`);
}

async function open(accept: string): Promise<void> {
  await shelf.take(await chooseFiles(accept, true));
}

/** Pictures become stickers; everything else is a job or a backup. */
async function take(files: readonly File[]): Promise<void> {
  const isPicture = await Promise.all(
    files.map(async (file) =>
      file.name.endsWith('.zip') ? !isBackup(await bytesOf(file)) : isPictureFile(file),
    ),
  ).catch(messages.sayError);
  if (!isPicture) return;
  const others = files.filter((_, at) => !isPicture[at]);
  if (others.length) void shelf.take(others);
  const stickers = (reads: readonly ReadArt[], choices: StickerChoices): void =>
    void beginFrom(reads, choices);
  void tray.take(
    files.filter((_, at) => isPicture[at]),
    { stickers },
  );
}

async function beginFrom(reads: readonly ReadArt[], choices: StickerChoices): Promise<void> {
  const job = await shelf.createFromArt(reads, choices);
  if (job) await router.push(`/job/${job.id}/edge${job.pieces.length > 1 ? '?all' : ''}`);
}

async function choosePictures(): Promise<void> {
  await take(await chooseFiles(PICTURE_FILES, true));
}

const { over, drop } = useFileDrops((files) => void take(files));
</script>

<template>
  <div
    class="shelf"
    :class="{ over }"
    @dragover.prevent="over = true"
    @dragleave.self="over = false"
    @drop.prevent="drop"
  >
    <h1 class="display">{{ texts.shelf.title }}</h1>
    <div class="beginnings">
      <button
        v-for="beginning in BEGINNINGS"
        :key="beginning"
        type="button"
        class="beginning"
        @click="begin(beginning)"
      >
        <BeginningPicture :beginning="beginning" />
        <span>
          <strong>{{ texts.shelf.beginnings[beginning].name }}</strong>
          <span class="quiet">{{ texts.shelf.beginnings[beginning].hint }}</span>
        </span>
      </button>
      <button type="button" class="beginning pictures" @click="choosePictures">
        <svg class="sticker" viewBox="0 0 44 44" aria-hidden="true">
          <path
            d="M22 5C33 10 39 17 38 26C37 34 30 39 22 39C14 39 7 34 6 26C5 17 11 10 22 5Z"
            class="rim"
          />
          <path
            d="M22 11C29 15 33.5 20 33 26C32.5 31 28 34.5 22 34.5C16 34.5 11.5 31 11 26C10.5 20 15 15 22 11Z"
            class="leaf"
          />
          <path d="M22 15V34" class="vein" />
        </svg>
        <span>
          <strong>{{ texts.shelf.sticker.name }}</strong>
          <span class="quiet">{{ texts.shelf.sticker.hint }}</span>
        </span>
      </button>
    </div>
    <div class="heading">
      <h2>{{ texts.shelf.heading }}</h2>
      <span class="quiet">{{ texts.shelf.jobs(shelf.jobs.length) }}</span>
      <span class="actions">
        <LinkButton @click="open('.peel')">{{ texts.shelf.open }}</LinkButton>
        <LinkButton @click="shelf.saveAll">{{ texts.shelf.backUp }}</LinkButton>
        <LinkButton @click="open('.zip')">{{ texts.shelf.restore }}</LinkButton>
      </span>
    </div>
    <p v-if="shelf.hasDemo" class="demo">
      <span>{{ texts.shelf.demo }}</span>
      <LinkButton @click="shelf.dropDemo">
        {{ texts.shelf.removeDemo }}
      </LinkButton>
    </p>
    <div class="jobs">
      <JobCard
        v-for="{ job, leftOut } in shelf.found"
        :key="job.id"
        :job="job"
        :left-out="leftOut?.length ?? 0"
      />
      <UnreadCard v-for="one in shelf.unread" :key="one.id" :job="one" />
    </div>
    <p v-if="shelf.ready && shelf.jobs.length + shelf.unread.length === 0" class="empty">
      {{ texts.shelf.empty }}
    </p>
    <p v-else-if="shelf.ready && shelf.found.length === 0 && shelf.jobs.length > 0" class="empty">
      {{ texts.shelf.noMatch(shelf.query) }}
    </p>
    <TakeTray />
    <p v-if="over" class="dropping">{{ texts.shelf.drop }}</p>
  </div>
</template>

<style scoped>
.shelf {
  position: relative;
  box-sizing: border-box;
  height: 100%;
  padding: 24px 34px 34px;
  overflow: auto;
}
.over {
  outline: 3px dashed var(--apricot);
  outline-offset: -12px;
}
h1 {
  margin-bottom: 14px;
  color: var(--plum);
  font-size: 26px;
}
.beginnings {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(186px, 1fr));
  gap: 12px;
}
.beginning {
  display: flex;
  align-items: center;
  gap: 12px;
  border: 1px solid var(--line);
  border-radius: var(--r-card);
  padding: 10px 12px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.pictures {
  grid-column: 1 / -1;
  justify-content: center;
  border: 1.5px dashed var(--field-line);
  padding: 6px 12px;
}
.pictures strong {
  display: inline;
  margin-right: 10px;
}
.sticker {
  flex: none;
  width: 44px;
  height: 44px;
}
.rim {
  fill: #fffdf9;
  stroke: var(--kiss);
  stroke-width: 1.4px;
  stroke-dasharray: 3.5 2.5;
}
.leaf {
  fill: #7fa86a;
}
.vein {
  fill: none;
  stroke: #fffdf9;
  stroke-width: 1.2px;
}
.beginning:hover {
  border-color: var(--apricot);
  background: var(--apricot-soft);
}
.beginning strong {
  display: block;
  line-height: 1.25;
}
.beginning .quiet {
  font-size: 12.5px;
}
.heading {
  display: flex;
  align-items: baseline;
  gap: 14px;
  margin: 28px 0 10px;
}
.heading h2 {
  font-size: 15.5px;
}
.actions {
  display: flex;
  gap: 18px;
  margin-left: auto;
}
.demo {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 4px 18px;
  margin: 0 0 14px;
  border-radius: var(--r-card);
  padding: 7px 16px;
  background: var(--apricot-soft);
}
.jobs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 18px;
}
.empty {
  color: var(--ink-2);
  font-size: 15px;
}
.dropping {
  position: fixed;
  bottom: 28px;
  left: 50%;
  border-radius: var(--r-tray);
  padding: 10px 22px;
  background: var(--plum);
  color: var(--on-plum);
  transform: translateX(-50%);
}
</style>
