<script setup lang="ts">
import { mdiChevronDown } from '@mdi/js';
import { computed, ref } from 'vue';
import { findNamedColor } from '../../../core/color/index.ts';
import { colorsOfPieces, fieldOf } from '../../../core/piece/index.ts';
import { texts } from '../../texts/index.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import { newWords } from '../artwork-state/new-elements.ts';
import { drawerArtNamed } from './drawer-art.ts';
import type { ListState } from './list-state.ts';
import NumberRows from './NumberRows.vue';
import LinkButton from '../../ui/LinkButton.vue';

/** What a column of the list is for: its name, order, and what it changes on each copy. */
const props = defineProps<{ desk: DeskState; state: ListState; column: string }>();
const { store } = props.desk;
const say = texts.list;
const open = ref(false);
const numbering = ref(false);
const list = computed(() => props.state.list.value);
const name = ref('');
const longest = computed(() => (open.value ? props.state.longest(props.column) : undefined));
const words = computed(() =>
  props.desk.committedOnly.value?.kind === 'words' ? props.desk.committedOnly.value : undefined,
);
const picture = computed(() =>
  props.desk.committedOnly.value?.kind === 'picture' ? props.desk.committedOnly.value : undefined,
);
const isQuantity = computed(() => list.value?.quantity === props.column);
const color = computed(
  () => list.value?.colors?.find(({ column }) => column === props.column)?.color,
);
const shownIn = computed(() =>
  list.value?.pictures?.some(
    ({ column, element }) => column === props.column && element === picture.value?.id,
  ),
);
/** The colours of the pieces, and whether the column says any. */
const colors = computed(() => (open.value ? colorsOfPieces(store.own) : []));
const saysColors = computed(() =>
  list.value?.rows.some(
    (row) => list.value && findNamedColor(fieldOf(list.value, row, props.column)) !== undefined,
  ),
);

function opened(now: boolean): void {
  name.value = props.column;
  numbering.value = false;
  if (!now) rename();
}

function rename(): void {
  const typed = name.value.trim();
  if (typed && typed !== props.column)
    store.act({ name: 'rename-column', args: { column: props.column, name: typed } });
}

function close(): void {
  name.value = props.column;
  open.value = false;
}

function act(call: Parameters<typeof store.act>[0]): void {
  close();
  store.act(call);
}

function showLongest(): void {
  if (longest.value) store.showRow(longest.value.row.key);
  close();
}

function insert(): void {
  close();
  const placeholder = `{${props.column}}`;
  if (words.value) {
    const { text } = words.value;
    props.desk.change({ text: text && !/\s$/.test(text) ? `${text} ${placeholder}` : placeholder });
  } else props.desk.addTo((piece) => ({ ...newWords(piece, false), text: placeholder }));
}

function bindColor(next: string): void {
  const before = color.value;
  close();
  if (before && before !== next)
    store.act({ name: 'bind-color', args: { color: before, column: undefined } });
  store.act({
    name: 'bind-color',
    args: { color: next, column: before === next ? undefined : props.column },
  });
}

async function bindPicture(): Promise<void> {
  const [piece, element] = [props.desk.piece.value?.id, picture.value?.id];
  if (piece === undefined || element === undefined || !list.value) return;
  const names = list.value.rows.map((row) => list.value && fieldOf(list.value, row, props.column));
  const bound = shownIn.value;
  const art = bound ? [] : await drawerArtNamed(names.filter((one) => one !== undefined));
  act({
    name: 'bind-picture',
    args: { piece, element, column: bound ? undefined : props.column, art },
  });
}
</script>

<template>
  <v-menu
    v-model="open"
    :close-on-content-click="false"
    location="top start"
    @update:model-value="opened"
  >
    <template #activator="{ props: menu }">
      <button
        v-bind="menu"
        class="column"
        type="button"
        :aria-label="say.columnMenu(column)"
        :title="say.columnMenu(column)"
      >
        <strong>{{ column }}</strong>
        <span v-if="isQuantity" class="bound">{{ say.countsCopies }}</span>
        <span v-if="color" class="chip" :style="{ background: color }" />
        <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiChevronDown" /></svg>
      </button>
    </template>
    <div class="menu" role="dialog" :aria-label="say.columnMenu(column)" @keydown.stop>
      <NumberRows
        v-if="numbering"
        @fill="act({ name: 'number-rows', args: { column, ...$event } })"
        @back="numbering = false"
      />
      <template v-else>
        <input
          v-model="name"
          class="well"
          :aria-label="say.rename"
          maxlength="36"
          @keydown.enter="
            rename();
            open = false;
          "
          @keydown.esc="close"
        />
        <div class="pair">
          <LinkButton @click="act({ name: 'sort-list', args: { column } })">
            {{ say.sortUp }}
          </LinkButton>
          <LinkButton @click="act({ name: 'sort-list', args: { column, down: true } })">
            {{ say.sortDown }}
          </LinkButton>
        </div>
        <LinkButton v-if="longest?.said" @click="showLongest">
          {{
            longest.size === undefined
              ? say.longest
              : say.longestIs(longest.said, `${longest.size.toFixed(1)} pt`)
          }}
        </LinkButton>
        <LinkButton @click="insert">
          {{ words ? say.intoWords(column) : say.asWords(column) }}
        </LinkButton>
        <label class="check">
          <input
            type="checkbox"
            :checked="isQuantity"
            @change="
              act({ name: 'bind-quantity', args: { column: isQuantity ? undefined : column } })
            "
          />{{ say.quantity }}
        </label>
        <label v-if="picture" class="check">
          <input type="checkbox" :checked="shownIn" @change="bindPicture" />{{ say.givesPicture }}
        </label>
        <p v-if="picture" class="quiet">{{ say.pictureHint }}</p>
        <div v-if="saysColors || color" class="colors" role="group" :aria-label="say.givesColor">
          <span>{{ say.givesColor }}</span>
          <button
            v-for="one in colors"
            :key="one"
            class="chip"
            type="button"
            :aria-label="one"
            :title="one"
            :aria-pressed="one === color"
            :style="{ background: one }"
            @click="bindColor(one)"
          />
        </div>
        <LinkButton @click="numbering = true">{{ say.number }}</LinkButton>
        <LinkButton
          v-if="(list?.columns.length ?? 0) > 1"
          @click="act({ name: 'delete-column', args: { column } })"
        >
          {{ say.deleteColumn }}
        </LinkButton>
      </template>
    </div>
  </v-menu>
</template>

<style scoped>
.column {
  display: flex;
  gap: 6px;
  align-items: center;
  box-sizing: border-box;
  width: 100%;
  height: 29px;
  border: 0;
  border-left: 1px solid var(--line);
  padding: 0 6px 0 10px;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.column:hover {
  background: var(--apricot-soft);
}
.column strong {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.column svg {
  flex: none;
  width: 16px;
  height: 16px;
  margin-left: auto;
  fill: var(--plum);
}
.bound {
  border-radius: 8px;
  padding: 0 6px;
  background: var(--apricot-soft);
  font-size: 11.5px;
}
.chip {
  flex: none;
  width: 16px;
  height: 16px;
  border: 1px solid var(--field-line);
  border-radius: 50%;
  padding: 0;
}
button.chip {
  width: 24px;
  height: 24px;
  cursor: pointer;
}
button.chip[aria-pressed='true'] {
  outline: 2.5px solid var(--plum);
  outline-offset: 1px;
}
.menu {
  display: flex;
  flex-direction: column;
  gap: 2px;
  align-items: flex-start;
  width: 268px;
  border-radius: var(--r-card);
  padding: 12px 14px;
  background: var(--card);
  box-shadow: var(--shadow);
  font-size: 13.5px;
}
.menu .well {
  width: 100%;
  margin-bottom: 4px;
}
.menu .link {
  max-width: 100%;
  text-align: left;
}
.pair {
  display: flex;
  gap: 18px;
}
.check {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: var(--row);
}
.check input {
  accent-color: var(--plum);
}
.menu p {
  margin: 0;
  font-size: 12.5px;
}
.colors {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.colors span {
  flex-basis: 100%;
}
</style>
