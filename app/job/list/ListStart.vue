<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { Cancelled } from '../../../core/base/index.ts';
import { parseList, type ListChoices, type ReadList } from '../../../core/piece/index.ts';
import { calls } from '../../calls/index.ts';
import { bytesOf, chooseFiles } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import SelectRow from '../../ui/SelectRow.vue';
import { useMessages } from '../../ui/messages-store.ts';
import type { ListState } from './list-state.ts';
import NumberRows from './NumberRows.vue';
import LinkButton from '../../ui/LinkButton.vue';

/** Where a list comes from: pasted or dropped, a file that is shown before it is taken, or only numbers. */
const props = defineProps<{ state: ListState }>();
const emit = defineEmits<{ done: [] }>();
const messages = useMessages();
const say = texts.list;
const text = ref('');
const numbering = ref(false);
const reading = ref(false);
const file = shallowRef<{ bytes: Uint8Array; read: ReadList }>();
const pasted = computed(() => (text.value.trim() ? parseList(text.value) : undefined));
const preview = computed(() => {
  const list = file.value?.read.list ?? (pasted.value?.ok ? pasted.value.value : undefined);
  return list && { list, rows: list.rows.slice(0, 5) };
});

async function takeFile(files: readonly File[]): Promise<void> {
  const [first] = files;
  if (first) await read(await bytesOf(first), {});
}

async function read(bytes: Uint8Array, choices: ListChoices): Promise<void> {
  reading.value = true;
  try {
    const found = await calls.call('readList', { bytes, choices }).answer;
    if (found.ok) file.value = { bytes, read: found.value };
    else messages.sayProblem(found.problem);
  } catch (error) {
    if (!(error instanceof Cancelled)) messages.sayError(error);
  } finally {
    reading.value = false;
  }
}

/** Thousands of rows are put in at once: a field that takes them in as typing is slow. */
function paste(event: ClipboardEvent): void {
  const pastedText = event.clipboardData?.getData('text/plain') ?? '';
  if (text.value.trim() || !pastedText.includes('\n')) return;
  event.preventDefault();
  text.value = pastedText;
}

function again(choices: ListChoices): void {
  const { value } = file;
  if (value) void read(value.bytes, { ...value.read, ...choices });
}

function take(): void {
  const list = preview.value?.list;
  if (list && props.state.take(list)) emit('done');
}

function startEmpty(): void {
  const { store } = props.state;
  const rows = [[], [], []];
  if (store.act({ name: 'add-rows', args: { rows } })) emit('done');
}

function fillNumbers({
  count,
  ...how
}: {
  count: number;
  from: number;
  step: number;
  digits: number;
  draw?: number;
}): void {
  const column = say.numberColumn;
  const rows = Array.from({ length: count }, (_, at) => ({ key: `r${at + 1}`, fields: [''] }));
  if (!props.state.take({ columns: [column], rows })) return;
  props.state.store.act({ name: 'number-rows', args: { column, ...how } }, `list:${count}`);
  emit('done');
}

const tables = computed(() =>
  Object.fromEntries((file.value?.read.tables ?? []).map((name) => [name, name])),
);

defineExpose({ takeFile });
</script>

<template>
  <div class="start">
    <p v-if="reading" class="quiet" role="status">{{ say.reading }}</p>
    <NumberRows v-else-if="numbering" counted @fill="fillNumbers" @back="numbering = false" />
    <template v-else>
      <div class="from">
        <template v-if="file">
          <SelectRow
            v-if="file.read.encoding"
            :label="say.letters"
            :model-value="file.read.encoding"
            :choices="say.encodings"
            @update:model-value="again({ encoding: $event })"
          />
          <SelectRow
            v-if="file.read.separator"
            :label="say.between"
            :model-value="file.read.separator"
            :choices="say.separators"
            @update:model-value="again({ separator: $event })"
          />
          <SelectRow
            v-if="file.read.table"
            :label="say.table"
            :model-value="file.read.table"
            :choices="tables"
            @update:model-value="again({ table: $event })"
          />
        </template>
        <template v-else>
          <p class="quiet">{{ say.startHint }}</p>
          <textarea
            v-model="text"
            class="well"
            :placeholder="say.example"
            :aria-label="say.asText"
            spellcheck="false"
            @keydown.stop
            @paste.stop="paste"
          />
        </template>
        <div class="links">
          <v-btn v-if="preview" color="primary" height="34" @click="take()">{{
            say.take(preview.list.rows.length)
          }}</v-btn>
          <LinkButton
            :title="say.fileKinds"
            @click="chooseFiles('.csv,.tsv,.txt,.xlsx,.ods,text/csv').then(takeFile)"
          >
            {{ say.choose }}
          </LinkButton>
          <LinkButton v-if="file" @click="file = undefined">
            {{ say.back }}
          </LinkButton>
          <template v-else-if="!preview">
            <LinkButton v-if="!state.list.value" @click="startEmpty">
              {{ say.empty }}
            </LinkButton>
            <LinkButton @click="numbering = true">{{ say.numbers }}</LinkButton>
          </template>
          <LinkButton v-if="state.list.value" @click="emit('done')">
            {{ say.back }}
          </LinkButton>
        </div>
      </div>
      <table v-if="preview" class="preview">
        <thead>
          <tr>
            <th v-for="column in preview.list.columns.slice(0, 6)" :key="column">{{ column }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in preview.rows" :key="row.key">
            <td v-for="(field, at) in row.fields.slice(0, 6)" :key="at">{{ field }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </div>
</template>

<style scoped>
.start {
  display: flex;
  flex: 1;
  gap: 22px;
  min-height: 0;
  padding: 4px 18px 14px;
  overflow: auto;
}
.from {
  flex: 1;
  min-width: 280px;
  max-width: 520px;
}
p {
  margin: 0 0 8px;
}
textarea {
  width: 100%;
  height: 96px;
  padding: 8px 12px;
  resize: vertical;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
  margin-top: 8px;
}
.preview {
  flex: 1;
  align-self: flex-start;
  min-width: 0;
  border-collapse: collapse;
  table-layout: fixed;
}
.preview th,
.preview td {
  overflow: hidden;
  border-bottom: 1px solid var(--line);
  padding: 4px 8px;
  text-align: left;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
