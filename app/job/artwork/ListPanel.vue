<script setup lang="ts">
import { computed, ref } from 'vue';
import { listText, parseList, type List } from '../../../core/piece/index.ts';
import { bytesOf, chooseFiles } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import SidePanel from '../../ui/SidePanel.vue';
import type { DeskState } from './desk-state.ts';

/** The table whose rows fill the copies: pasted or from a file, walked through on the desk. */
const props = defineProps<{ desk: DeskState }>();
defineEmits<{ close: [] }>();
const messages = useMessages();
const say = texts.list;
const list = computed(() => props.desk.store.settled?.list);
/** What is typed while the table is written as text. */
const text = ref<string>();
const ROW = 30; // px

function take(typed: string): void {
  const read = parseList(typed);
  if (!read.ok) return messages.sayProblem(read.problem);
  if (give(read.value)) text.value = undefined;
}

function give(next: List | undefined): boolean {
  props.desk.store.showRow(1);
  return props.desk.store.act({ name: 'set-list', args: { list: next } });
}

async function takeFile(files: readonly File[]): Promise<void> {
  const [file] = files;
  if (!file) return;
  // Spreadsheets of older computers write Western letters in one byte each.
  const bytes = await bytesOf(file);
  const utf8 = new TextDecoder('utf-8').decode(bytes);
  take(utf8.includes('\uFFFD') ? new TextDecoder('windows-1252').decode(bytes) : utf8);
}

/** One copy of the piece on the desk for each row. */
function wantAll(): void {
  const { piece, store } = props.desk;
  if (piece.value && list.value)
    store.act({ name: 'want', args: { piece: piece.value.id, count: list.value.rows.length } });
}
</script>

<template>
  <SidePanel :title="say.title" takes-files @close="$emit('close')" @files="takeFile">
    <template v-if="list && text === undefined">
      <p class="quiet">{{ say.walk }}</p>
      <div class="row head">
        <span class="number" />
        <strong v-for="column in list.columns.slice(0, 3)" :key="column">{{ column }}</strong>
      </div>
      <v-virtual-scroll :items="list.rows" :item-height="ROW" class="rows" role="grid">
        <template #default="{ item: row, index }">
          <button
            class="row"
            type="button"
            role="row"
            :aria-pressed="desk.store.row === index + 1"
            @click="desk.store.showRow(index + 1)"
          >
            <span class="number">{{ index + 1 }}</span>
            <span v-for="(column, at) in list.columns.slice(0, 3)" :key="column">{{
              row[at]
            }}</span>
          </button>
        </template>
      </v-virtual-scroll>
    </template>
    <template v-else>
      <p class="quiet">{{ say.hint }}</p>
      <textarea
        class="well"
        rows="12"
        :value="text ?? ''"
        :placeholder="say.example"
        :aria-label="say.asText"
        spellcheck="false"
        @input="text = ($event.target as HTMLTextAreaElement).value"
      />
    </template>
    <template #foot>
      <div class="links">
        <template v-if="list && text === undefined">
          <button class="link" type="button" @click="wantAll">
            {{ say.wantAll(list.rows.length) }}
          </button>
          <button class="link" type="button" @click="text = listText(list)">{{ say.edit }}</button>
          <button class="link" type="button" @click="give(undefined)">{{ say.remove }}</button>
        </template>
        <template v-else>
          <button class="link" type="button" :disabled="!text?.trim()" @click="take(text ?? '')">
            {{ say.take }}
          </button>
          <button v-if="list" class="link" type="button" @click="text = undefined">
            {{ say.back }}
          </button>
        </template>
        <button
          class="link"
          type="button"
          @click="chooseFiles('.csv,.tsv,.txt,text/csv').then(takeFile)"
        >
          {{ say.choose }}
        </button>
      </div>
    </template>
  </SidePanel>
</template>

<style scoped>
p {
  margin: 0 4px 8px;
}
textarea {
  box-sizing: border-box;
  width: 100%;
  min-height: 220px;
  padding: 10px 12px;
  font-size: 14px;
  resize: vertical;
}
.rows {
  max-height: 380px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
  box-sizing: border-box;
  width: 100%;
  height: 30px;
  border: 0;
  border-radius: 8px;
  padding: 0 8px;
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 13.5px;
  text-align: left;
}
button.row {
  cursor: pointer;
}
button.row:hover,
.row[aria-pressed='true'] {
  background: var(--apricot-soft);
}
.row > * {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.row .number {
  flex: none;
  width: 34px;
  color: var(--ink-2);
  text-align: right;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
</style>
