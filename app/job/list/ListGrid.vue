<script setup lang="ts">
import { mdiClose, mdiPlus } from '@mdi/js';
import { computed, nextTick, ref, watch } from 'vue';
import { parseTable } from '../../../core/piece/index.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import ColumnMenu from './ColumnMenu.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { useSeenRows, type ListState } from './list-state.ts';

/** The list as a table to be typed in; only the rows in view are drawn. */
const props = defineProps<{ desk: DeskState; state: ListState }>();
const { store } = props.desk;
const { sought } = props.state;
const say = texts.list;
const ROW = 30; // px, as in the style below
const scroller = ref<HTMLElement | null>(null);
const { first, seen, scrolled } = useSeenRows(props.state.found, ROW);
const columns = computed(() => props.state.list.value?.columns ?? []);
const template = computed(
  () => `68px ${props.state.widths.value.map((width) => `${width}px`).join(' ')} 40px`,
);
const allOn = computed(() => props.state.found.value.every(({ row }) => !row.off));

function type(row: string, column: string, event: Event): void {
  const text = (event.target as HTMLInputElement).value;
  store.stage(
    { name: 'change-fields', args: { fields: { [row]: { [column]: text } } } },
    `field:${row}:${column}`,
  );
}

const inputAt = (number: number, column: number): HTMLInputElement | null =>
  scroller.value?.querySelector(`input[data-at="${number}:${column}"]`) ?? null;

/** Goes to a field, wherever it is scrolled to. */
async function goTo(number: number, column: number): Promise<void> {
  const at = props.state.found.value.findIndex((one) => one.number === number);
  if (at < 0 || !scroller.value) return;
  const { scrollTop, clientHeight } = scroller.value;
  const [top, bottom] = [at * ROW, (at + 2) * ROW]; // the head covers a row
  if (top < scrollTop) scroller.value.scrollTop = top;
  else if (bottom > scrollTop + clientHeight) scroller.value.scrollTop = bottom - clientHeight;
  await nextTick();
  await new Promise(requestAnimationFrame);
  const field = inputAt(number, column);
  field?.focus();
  field?.select();
}

async function key(event: KeyboardEvent, number: number, column: number): Promise<void> {
  event.stopPropagation();
  const steps: Partial<Record<string, number>> = { ArrowUp: -1, ArrowDown: 1, Enter: 1 };
  const step = steps[event.key];
  if (event.key === 'Escape') (event.target as HTMLElement).blur();
  if (step === undefined || event.altKey) return;
  event.preventDefault();
  const all = props.state.found.value;
  const at = all.findIndex((one) => one.number === number) + step;
  if (at >= all.length && event.key === 'Enter') {
    await addRow();
    return;
  }
  const next = all[at];
  if (next) await goTo(next.number, column);
}

function paste(event: ClipboardEvent, row: string, column: string): void {
  const text = event.clipboardData?.getData('text/plain') ?? '';
  event.stopPropagation();
  if (!/[\t\n]/.test(text.trimEnd())) return;
  event.preventDefault();
  const table = parseTable(text, '\t');
  if (table.ok) store.act({ name: 'paste-fields', args: { row, column, table: table.value } });
  else useMessages().sayProblem(table.problem);
}

async function addRow(): Promise<void> {
  sought.value = '';
  if (!store.act({ name: 'add-rows', args: { rows: [[]] } })) return;
  await nextTick();
  await goTo(props.state.rows.value.length, 0);
}

function switchShown(on: boolean): void {
  const rows = props.state.found.value.map(({ row }) => row.key);
  store.act({ name: 'switch-rows', args: { rows, on } });
}

/** What is shown on the desk stays in view. */
watch(
  () => store.row?.key,
  (shown) => {
    const at = props.state.found.value.findIndex(({ row }) => row.key === shown);
    const box = scroller.value;
    if (at < 0 || !box || box.contains(document.activeElement)) return;
    if (at * ROW < box.scrollTop || (at + 2) * ROW > box.scrollTop + box.clientHeight)
      box.scrollTop = Math.max(0, at * ROW - box.clientHeight / 2);
  },
);
</script>

<template>
  <div
    ref="scroller"
    class="grid"
    role="table"
    :aria-label="say.title"
    :aria-rowcount="state.rows.value.length + 1"
    @scroll.passive="scrolled"
  >
    <div class="line head" role="row" :style="{ gridTemplateColumns: template }">
      <span class="corner" role="columnheader">
        <input
          type="checkbox"
          :checked="allOn"
          :title="say.printsShown"
          :aria-label="say.printsShown"
          @change="switchShown(!allOn)"
        />
      </span>
      <span v-for="column in columns" :key="column" role="columnheader">
        <ColumnMenu :desk="desk" :state="state" :column="column" />
      </span>
      <button
        class="more"
        type="button"
        :title="say.addColumn"
        :aria-label="say.addColumn"
        @click="store.act({ name: 'add-column', args: { name: say.newColumn } })"
      >
        <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiPlus" /></svg>
      </button>
    </div>
    <div class="rows" :style="{ height: `${state.found.value.length * ROW}px` }">
      <div :style="{ transform: `translateY(${first * ROW}px)` }">
        <div
          v-for="{ row, number } in seen"
          :key="row.key"
          class="line"
          :class="{ off: row.off, shown: row.key === store.row?.key }"
          role="row"
          :aria-rowindex="number + 1"
          :aria-label="row.fields[0] || say.row(number)"
          :style="{ gridTemplateColumns: template }"
        >
          <span class="corner">
            <input
              type="checkbox"
              :checked="!row.off"
              :aria-label="say.prints(row.fields[0] || say.row(number))"
              @change="
                store.act({
                  name: 'switch-rows',
                  args: { rows: [row.key], on: row.off === true },
                })
              "
            />
            <button class="number" type="button" tabindex="-1" @click="store.showRow(row.key)">
              {{ number }}
            </button>
          </span>
          <input
            v-for="(column, at) in columns"
            :key="column"
            class="field"
            :value="row.fields[at]"
            :data-at="`${number}:${at}`"
            :aria-label="say.field(column, number)"
            maxlength="2000"
            @focus="store.showRow(row.key)"
            @input="type(row.key, column, $event)"
            @keydown="key($event, number, at)"
            @paste="paste($event, row.key, column)"
          />
          <button
            class="more"
            type="button"
            tabindex="-1"
            :title="say.deleteRow(number)"
            :aria-label="say.deleteRow(number)"
            @click="store.act({ name: 'delete-rows', args: { rows: [row.key] } })"
          >
            <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiClose" /></svg>
          </button>
        </div>
      </div>
    </div>
    <LinkButton class="add" @click="addRow">{{ say.addRow }}</LinkButton>
  </div>
</template>

<style scoped>
.grid {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
.line {
  display: grid;
  width: max-content;
  min-width: 100%;
  height: 30px;
  border-bottom: 1px solid var(--line);
  box-sizing: border-box;
}
.line > * {
  min-width: 0;
}
.head {
  position: sticky;
  top: 0;
  z-index: 2;
  background: var(--paper);
}
.corner {
  position: sticky;
  left: 0;
  z-index: 1;
  display: flex;
  gap: 4px;
  align-items: center;
  padding-left: 14px;
  background: inherit;
}
.line:not(.head) {
  background: var(--card);
}
.line.shown {
  background: var(--apricot-soft);
}
.corner input {
  accent-color: var(--plum);
}
.number {
  flex: 1;
  border: 0;
  padding: 0 6px 0 0;
  background: none;
  color: var(--ink-2);
  font: inherit;
  font-size: 12px;
  text-align: right;
  cursor: pointer;
}
.field {
  box-sizing: border-box;
  width: 100%;
  height: 29px;
  border: 0;
  border-left: 1px solid var(--line);
  padding: 0 10px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-overflow: ellipsis;
}
.field:focus {
  outline: 2px solid var(--plum);
  outline-offset: -2px;
  background: var(--card);
}
.off .field {
  color: var(--ink-2);
  text-decoration: line-through;
}
.more {
  display: grid;
  place-items: center;
  border: 0;
  border-left: 1px solid var(--line);
  background: none;
  cursor: pointer;
}
.more svg {
  width: 15px;
  height: 15px;
  fill: var(--plum);
}
.line:not(.head) .more {
  opacity: 0;
}
.line:hover .more,
.more:focus-visible {
  opacity: 1;
}
.add {
  position: sticky;
  left: 0;
  margin: 4px 14px 10px;
}
</style>
