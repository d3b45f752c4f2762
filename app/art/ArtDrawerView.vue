<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import type { ReadArt } from '../../core/art/index.ts';
import { chooseFiles } from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import BenchLayout from '../ui/BenchLayout.vue';
import CardPanel from '../ui/CardPanel.vue';
import ChoiceRow from '../ui/ChoiceRow.vue';
import { useMessages } from '../ui/messages-store.ts';
import ArtBench from './bench/ArtBench.vue';
import ArtCard from './ArtCard.vue';
import ArtGrid from './ArtGrid.vue';
import { useDrawer, type SortedBy } from './drawer-store.ts';
import { useFileDrops } from '../ui/file-drops.ts';
import { PICTURE_FILES } from '../ui/picture-files.ts';
import type { ReadyMade } from './ready-made.ts';
import FindArt from './FindArt.vue';
import ReadyGrid from './ReadyGrid.vue';
import TakeTray from './TakeTray.vue';
import { useTray } from './tray-store.ts';

const words = texts.art;
const drawer = useDrawer();
const tray = useTray();
const messages = useMessages();
const part = ref<keyof typeof words.parts>('own');
const typedReady = ref('');
const open = ref<string>();
/** The art on the bench, which stays there while others come in. */
const preparing = ref<string>();
const entry = computed(
  () => drawer.all.find(({ art }) => art.id === open.value) ?? drawer.found[0],
);
const benched = computed(() => drawer.all.find(({ art }) => art.id === preparing.value));
const known = (id: string) => drawer.all.find(({ art }) => art.id === id)?.art;

onMounted(() => void drawer.refresh().catch(messages.sayError));

function take(files: Iterable<File>): void {
  const give = (reads: readonly ReadArt[]): void => {
    void drawer.put(reads);
    open.value = reads[0]?.art.id;
    part.value = 'own';
  };
  void tray.take(files, { drawer: give });
}

async function add(): Promise<void> {
  take(await chooseFiles(PICTURE_FILES, true));
}

const { over, drop } = useFileDrops(take);

async function takeReady(picture: ReadyMade): Promise<void> {
  const read = await drawer.takeReadyMade(picture);
  if (!read) return;
  open.value = read.art.id;
  messages.say(words.put(1));
}

async function made(read: ReadArt): Promise<void> {
  await drawer.put([read]);
  open.value = read.art.id;
  preparing.value = undefined;
}

async function split(): Promise<void> {
  preparing.value = undefined;
  await drawer.refresh();
}
</script>

<template>
  <BenchLayout :cards="words.card">
    <template #bench>
      <div
        class="drawer"
        :class="{ over }"
        @dragover.prevent="over = true"
        @dragleave.self="over = false"
        @drop.prevent="drop"
      >
        <h1 class="visually-hidden">{{ words.drawer }}</h1>
        <div class="find">
          <ChoiceRow v-model="part" :label="words.partsLabel" :choices="words.parts" />
          <FindArt v-model="typedReady" class="typed" :part="part" />
          <template v-if="part === 'own'">
            <select
              class="well"
              :value="drawer.sort"
              :aria-label="words.sort"
              @change="drawer.sort = ($event.target as HTMLSelectElement).value as SortedBy"
            >
              <option v-for="(name, key) in words.sorts" :key="key" :value="key">{{ name }}</option>
            </select>
            <v-btn color="primary" @click="add">{{ words.add }}</v-btn>
          </template>
        </div>
        <div v-if="part === 'own' && drawer.tags.length" class="tags">
          <button
            v-for="tag in ['', ...drawer.tags]"
            :key="tag"
            type="button"
            :aria-pressed="drawer.tag === tag"
            @click="drawer.tag = tag"
          >
            {{ tag || words.everything }}
          </button>
        </div>
        <div class="pictures">
          <template v-if="part === 'own'">
            <ArtGrid
              :found="drawer.found"
              :chosen="entry?.art.id"
              :label="words.drawer"
              @choose="open = $event.art.id"
              @open="
                open = $event.art.id;
                preparing = $event.art.id;
              "
            />
            <p v-if="drawer.ready && drawer.all.length === 0" class="empty">{{ words.empty }}</p>
            <p v-else-if="drawer.ready && drawer.found.length === 0" class="empty">
              {{ words.noMatch(drawer.typed || drawer.tag) }}
            </p>
          </template>
          <ReadyGrid v-else :typed="typedReady" @choose="takeReady" />
        </div>
        <p v-if="over" class="dropping">{{ words.dropHere }}</p>
      </div>
      <TakeTray />
      <ArtBench
        v-if="benched"
        :art="benched.art"
        :known="known"
        :in-job="false"
        @close="preparing = undefined"
        @made="made"
        @parts="split"
      />
    </template>
    <template #cards>
      <CardPanel v-if="part === 'ready'" :title="words.parts.ready">
        <p class="note">{{ words.readyNote }}</p>
      </CardPanel>
      <ArtCard
        v-if="entry && (part === 'own' || entry.art.id === open)"
        :entry="entry"
        @prepare="preparing = entry.art.id"
      />
    </template>
  </BenchLayout>
</template>

<style scoped>
.drawer {
  display: flex;
  flex-direction: column;
  height: 100%;
  user-select: auto;
}
.over {
  outline: 3px dashed var(--apricot);
  outline-offset: -10px;
}
.find {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  padding: 16px 24px 8px;
}
.find > :deep(.choices) {
  background: var(--card);
}
.typed {
  flex: 1;
  min-width: 180px;
}
.find .well {
  background: var(--card);
}
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  max-height: 76px;
  padding: 0 24px 8px;
  overflow: auto;
}
.tags button {
  border: 1px solid var(--field-line);
  border-radius: 14px;
  padding: 2px 11px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 12.5px;
  cursor: pointer;
}
.tags button[aria-pressed='true'],
.tags button:hover {
  background: var(--apricot-soft);
}
.pictures {
  flex: 1;
  min-height: 0;
  padding: 8px 24px 24px;
  overflow: auto;
}
.note {
  margin: 0;
}
.empty {
  font-size: 15px;
}
.dropping {
  position: absolute;
  bottom: 28px;
  left: 50%;
  border-radius: var(--r-tray);
  padding: 10px 22px;
  background: var(--plum);
  color: var(--on-plum);
  transform: translateX(-50%);
}
</style>
