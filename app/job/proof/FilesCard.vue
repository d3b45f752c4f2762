<script setup lang="ts">
import { computed, ref } from 'vue';
import { formPlaceholders, type Format } from '../../../core/output/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import { useMessages } from '../../ui/messages-store.ts';
import { useJobStore } from '../../session/job-store.ts';
import { texts } from '../../texts/index.ts';
import FilesPanel from './FilesPanel.vue';
import { useMaking } from './making.ts';
import MakingRow from './MakingRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { kilobytes, saveFiles } from './saved-files.ts';

/** The files that the job is mostly saved as, one press each, and the way to all of them. */
const store = useJobStore();
const messages = useMessages();
const making = useMaking();
const open = ref(false);
const ofAll = ref(false);
const say = texts.proof;
const offered = computed<readonly Format[]>(() => [
  'pdf',
  ...(store.committed && formPlaceholders(store.committed).length ? (['form'] as const) : []),
  'svg',
  'dxf',
  'hpgl',
  'png',
]);

async function save(format: Format): Promise<void> {
  const files = await making.make([format], {}, ofAll.value);
  const { committed: job } = store;
  if (!files || !job) return;
  const [only] = files;
  if (!only) return messages.say(say.nothing);
  saveFiles(files, job.name);
  const what = files.length === 1 ? only.name : say.files(files.length);
  const pages = only.pages === undefined ? '' : `, ${say.pages(only.pages)}`;
  messages.say(`${what}, ${kilobytes(files)}${pages}`);
}
</script>

<template>
  <CardPanel :title="say.saveAs" peeled>
    <div v-for="format in offered" :key="format" class="file">
      <LinkButton :disabled="making.busy.value" :data-format="format" @click="save(format)">
        {{ say.formats[format].name }}
      </LinkButton>
      <span class="quiet">{{ say.formats[format].purpose }}</span>
    </div>
    <CheckRow v-if="store.whole?.set" v-model="ofAll" :label="texts.set.ofAll" />
    <LinkButton @click="open = true">{{ say.allFiles }}</LinkButton>
    <MakingRow
      v-if="making.busy.value && !open"
      :share="making.share.value"
      @cancel="making.cancel"
    />
    <p class="quiet">{{ say.printHint }}</p>
    <FilesPanel v-if="open" @close="open = false" />
  </CardPanel>
</template>

<style scoped>
.file {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  align-items: center;
  min-height: var(--row);
}
.file .link {
  white-space: nowrap;
}
.file .quiet {
  font-size: 12.5px;
  text-align: right;
}
p {
  margin: 8px 0 0;
  font-size: 12.5px;
}
</style>
