<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue';
import { artSize, type ReadArt } from '../../core/art/index.ts';
import type { Licence } from '../../core/base/index.ts';
import { formatLength } from '../../core/units/index.ts';
import { artCalls, calls } from '../calls/index.ts';
import { bytesOf, chooseFiles, type UsedArt } from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import CardPanel from '../ui/CardPanel.vue';
import FactRow from '../ui/FactRow.vue';
import { useMessages } from '../ui/messages-store.ts';
import SelectRow from '../ui/SelectRow.vue';
import { useSettings } from '../ui/settings-store.ts';
import ArtPicture from './ArtPicture.vue';
import { useDrawer } from './drawer-store.ts';
import { PICTURE_FILES } from '../ui/picture-files.ts';
import LinkButton from '../ui/LinkButton.vue';

/** What is known of a picture of the drawer, and what can be done with it. */
const props = defineProps<{ entry: UsedArt }>();
const emit = defineEmits<{ prepare: [] }>();
const drawer = useDrawer();
const settings = useSettings();
const messages = useMessages();
const words = texts.art;
const art = computed(() => props.entry.art);
const size = computed(() => artSize(art.value));
const licence = computed(() => art.value.licence ?? 'unknown');
const onDisk = computed(() => {
  const { bytes } = props.entry;
  return bytes < 1e6
    ? `${Math.max(1, Math.round(bytes / 1000))} kB`
    : `${(bytes / 1e6).toFixed(1)} MB`;
});

function rename(event: Event): void {
  const name = (event.target as HTMLInputElement).value.trim().slice(0, 200);
  if (name) void drawer.change({ ...art.value, name });
}

function tag(event: Event): void {
  const typed = (event.target as HTMLInputElement).value.split(',');
  const tags = [...new Set(typed.map((one) => one.trim().slice(0, 60)).filter(Boolean))];
  void drawer.change({ ...art.value, tags: tags.slice(0, 50) });
}

function from(event: Event): void {
  const source = (event.target as HTMLInputElement).value.trim().slice(0, 500);
  void drawer.change({ ...art.value, source });
}

function note(value: Licence | 'unknown'): void {
  void drawer.note(art.value, value === 'unknown' ? undefined : value);
}

/** The same file as it comes in today, where that shows more of it. */
const again = shallowRef<ReadArt>();
watch(
  () => art.value.id,
  async (id) => {
    again.value = undefined;
    if (art.value.kind !== 'vector') return;
    const read = await artCalls.call('readAgain', { art: art.value }).answer.catch(() => undefined);
    if (id === art.value.id && read?.ok) again.value = read.value;
  },
  { immediate: true },
);

/** Puts other art in the place of this one, with what is known of it. */
function putInPlace(read: ReadArt): Promise<unknown> {
  const { tags, source, licence: kept } = art.value;
  const known = { tags, ...(source ? { source } : {}), ...(kept ? { licence: kept } : {}) };
  return drawer.replaceEverywhere(art.value.id, { ...read, art: { ...read.art, ...known } });
}

async function replace(): Promise<void> {
  const [file] = await chooseFiles(PICTURE_FILES);
  if (!file) return;
  const read = await calls
    .call('readArt', { bytes: await bytesOf(file), name: file.name })
    .answer.catch(messages.sayError);
  if (!read) return;
  if (!read.ok) return messages.sayProblem(read.problem);
  await putInPlace(read.value);
}
</script>

<template>
  <CardPanel :title="words.card" peeled>
    <div class="ground"><ArtPicture :art="art" /></div>
    <label>
      <span class="quiet">{{ words.name }}</span>
      <input class="well wide" :value="art.name" maxlength="200" @change="rename" />
    </label>
    <label>
      <span class="quiet">{{ words.tags }}</span>
      <input class="well wide" :value="art.tags.join(', ')" @change="tag" />
    </label>
    <FactRow :label="words.ownSize"
      ><span
        >{{ formatLength(size.width, settings.unit) }} ×
        {{ formatLength(size.height, settings.unit) }}</span
      ></FactRow
    >
    <FactRow :label="words.pixels"
      ><span>{{
        art.kind === 'vector'
          ? words.vector
          : `${art.pixelWidth} × ${art.pixelHeight}, ${Math.round(art.dpi)} dpi`
      }}</span></FactRow
    >
    <FactRow :label="words.onDisk"
      ><span>{{ onDisk }}</span></FactRow
    >
    <p class="used">
      <template v-if="entry.jobs.length">
        <span class="quiet">{{ words.usedIn }}</span>
        <router-link
          v-for="job in entry.jobs"
          :key="job.id"
          class="link"
          :to="`/job/${job.id}/artwork`"
          >{{ job.name }}</router-link
        >
      </template>
      <span v-else class="quiet">{{ words.notUsed }}</span>
    </p>
    <p v-if="again" class="again">
      <span>{{ words.again }}</span>
      <LinkButton @click="putInPlace({ ...again, art: { ...again.art, name: art.name } })">{{
        words.readAgain
      }}</LinkButton>
    </p>
    <p class="does">
      <v-btn color="primary" :title="words.prepareLong" @click="emit('prepare')">{{
        words.prepare
      }}</v-btn>
      <LinkButton @click="replace">{{ words.replace }}</LinkButton>
      <LinkButton @click="drawer.remove(entry)">{{ words.remove }}</LinkButton>
    </p>
  </CardPanel>
  <CardPanel :title="words.note">
    <SelectRow
      :label="words.licence"
      :model-value="licence"
      :choices="words.licences"
      @update:model-value="note"
    />
    <label>
      <span class="quiet">{{ words.source }}</span>
      <input class="well wide" :value="art.source ?? ''" maxlength="500" @change="from" />
    </label>
  </CardPanel>
</template>

<style scoped>
.ground {
  height: 150px;
  margin-bottom: 10px;
  border-radius: var(--r-field);
  padding: 10px;
  background: repeating-conic-gradient(#ece5e9 0 25%, #fbf9fa 0 50%) 0 0 / 18px 18px;
}
label {
  display: block;
  margin-bottom: 8px;
}
.wide {
  width: 100%;
}
.again {
  margin: 0 0 10px;
}
.again span {
  margin-right: 8px;
}
.used {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  margin: 4px 0 8px;
}
.used .link {
  text-decoration: none;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  margin: 0;
}
</style>
