<script setup lang="ts">
import { ref } from 'vue';
import { Cancelled } from '../../../core/base/index.ts';
import { zipFiles } from '../../../core/job/index.ts';
import { fileStem, type Format, type MadeFile } from '../../../core/output/index.ts';
import { calls, type Ongoing } from '../../calls/index.ts';
import { download } from '../../storage/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import { useMessages } from '../../ui/messages-store.ts';
import { useJobStore } from '../store/job-store.ts';
import { texts } from '../../texts/index.ts';

/** The files that the job can be saved as, and what each is for. */
const store = useJobStore();
const messages = useMessages();
const busy = ref<Format>();
const share = ref(0);
let ongoing: Ongoing<'exportFiles'> | undefined;

const FILES: readonly { format: keyof typeof texts.proof.formats; type: string }[] = [
  { format: 'pdf', type: 'application/pdf' },
  {
    format: 'svg',
    type: 'image/svg+xml',
  },
  {
    format: 'hpgl',
    type: 'application/vnd.hp-hpgl',
  },
  { format: 'png', type: 'image/png' },
];

async function save(format: Format, type: string): Promise<void> {
  const job = store.job;
  if (!job) return;
  busy.value = format;
  share.value = 0;
  try {
    ongoing = calls.call('exportFiles', { job, formats: [format] }, (part) => (share.value = part));
    const files = await ongoing.answer;
    give(files, type, fileStem(job.name));
  } catch (error) {
    if (!(error instanceof Cancelled)) messages.sayError(error);
  } finally {
    busy.value = undefined;
  }
}

function give(files: readonly MadeFile[], type: string, stem: string): void {
  const [only] = files;
  if (!only) return messages.say(texts.proof.nothing);
  if (files.length === 1) download(only.name, only.bytes, type);
  else download(`${stem}-${only.format}.zip`, zipFiles(files), 'application/zip');
  const bytes = files.reduce((sum, file) => sum + file.bytes.length, 0);
  messages.say(
    `${files.length === 1 ? only.name : texts.proof.files(files.length)}, ${Math.max(1, Math.round(bytes / 1024))} kB`,
  );
}
</script>

<template>
  <CardPanel :title="texts.proof.saveAs" peeled>
    <div v-for="file in FILES" :key="file.format" class="file">
      <button
        class="link"
        type="button"
        :disabled="busy !== undefined"
        :data-format="file.format"
        @click="save(file.format, file.type)"
      >
        {{ texts.proof.formats[file.format].name }}
      </button>
      <span class="quiet">{{ texts.proof.formats[file.format].purpose }}</span>
    </div>
    <div v-if="busy" class="busy">
      <v-progress-linear
        :aria-label="texts.proof.progress"
        :model-value="share * 100"
        color="primary"
        rounded
      />
      <button class="link" type="button" @click="ongoing?.cancel()">
        {{ texts.proof.cancel }}
      </button>
    </div>
    <p class="quiet">{{ texts.proof.printHint }}</p>
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
.busy {
  display: flex;
  gap: 12px;
  align-items: center;
}
p {
  margin: 8px 0 0;
  font-size: 12.5px;
}
</style>
