<script setup lang="ts">
import { mdiDotsHorizontal, mdiPlus } from '@mdi/js';
import { computed, nextTick, ref } from 'vue';
import { useRoute } from 'vue-router';
import { groupsOf, THING_NAME_LETTERS, thingAlone } from '../../../core/job/index.ts';
import { useJobStore } from '../../session/job-store.ts';
import { useShelf } from '../../session/shelf-store.ts';
import { stateOf, type LineState } from '../../session/ticket-lines.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { isOfSheets } from '../common/desks-of-sheets.ts';
import StateMark from '../../ui/StateMark.vue';
import AddThing from './AddThing.vue';

/** The things of the job beside each other; the one that is worked on has a menu. */
const say = texts.set;
const store = useJobStore();
const shelf = useShelf();
const route = useRoute();
const messages = useMessages();
const adding = ref(false);
const renaming = ref<string>();
const field = ref<HTMLInputElement[]>([]);
/** On desks that show sheets, things that lie on the same ones are one. */
const tabs = computed(() =>
  store.whole && isOfSheets(route.name) ? groupsOf(store.whole) : store.things,
);
const isSet = computed(() => store.whole?.set !== undefined);

const nameOf = (id: string): string => store.things.find((one) => one.id === id)?.name ?? '';

/** How another thing stands, where there is something to mend on it. */
const stateAt = (id: string): LineState =>
  stateOf(store.findings.ofOthers.find((one) => one.id === id)?.list ?? []);

async function startRename(id: string): Promise<void> {
  renaming.value = id;
  await nextTick();
  field.value[0]?.select();
}

function rename(event: Event): void {
  const { value } = event.target as HTMLInputElement;
  const thing = renaming.value;
  renaming.value = undefined;
  if (thing && value.trim()) store.act({ name: 'rename-thing', args: { thing, name: value } });
}

function remove(id: string, name: string): void {
  if (store.act({ name: 'remove-thing', args: { thing: id } }))
    messages.say(say.removed(name), { label: texts.undo, run: store.undo });
}

async function takeOut(id: string, name: string): Promise<void> {
  const { whole } = store;
  if (!whole || !(await shelf.takeOut(thingAlone(whole, id), `${whole.name}: ${name}`))) return;
  if (store.act({ name: 'remove-thing', args: { thing: id } })) messages.say(say.takenOut(name));
}

/** Makes a job of each thing but the first, which stays in this one. */
async function split(): Promise<void> {
  const { whole } = store;
  if (!whole?.set) return;
  const { id: keep, others } = whole.set;
  for (const { id, name } of others)
    if (!(await shelf.takeOut(thingAlone(whole, id), `${whole.name}: ${name}`))) return;
  if (store.act({ name: 'split-set', args: { keep } })) messages.say(say.wasSplit(others.length));
}
</script>

<template>
  <div class="things">
    <div v-if="isSet" class="tabs" role="tablist" :aria-label="say.things">
      <span v-for="{ id, name } in tabs" :key="id" :class="{ here: id === store.thing }">
        <input
          v-if="renaming === id"
          ref="field"
          class="well"
          :value="nameOf(id)"
          :maxlength="THING_NAME_LETTERS"
          :aria-label="say.rename"
          @keydown.enter="rename"
          @keydown.esc="renaming = undefined"
          @blur="rename"
        />
        <button
          v-else
          type="button"
          role="tab"
          :aria-selected="id === store.thing"
          :title="name"
          @click="store.showThing(id)"
          @dblclick="startRename(id)"
        >
          <StateMark v-if="stateAt(id) !== 'done'" class="state" :state="stateAt(id)" />{{ name }}
        </button>
        <v-menu v-if="id === store.thing && renaming !== id" location="bottom end">
          <template #activator="{ props: menu }">
            <button v-bind="menu" class="more" type="button" :aria-label="say.menu(nameOf(id))">
              <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiDotsHorizontal" /></svg>
            </button>
          </template>
          <v-list>
            <v-list-item :title="say.rename" @click="startRename(id)" />
            <v-list-item :title="say.takeOut" @click="takeOut(id, nameOf(id))" />
            <v-list-item v-if="store.things.length > 2" :title="say.split" @click="split" />
            <v-list-item :title="say.remove" @click="remove(id, nameOf(id))" />
          </v-list>
        </v-menu>
      </span>
      <button
        class="plus"
        type="button"
        :title="say.add"
        :aria-label="say.add"
        @click="adding = true"
      >
        <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiPlus" /></svg>
      </button>
    </div>
    <button v-else class="add" type="button" :title="say.addHint" @click="adding = true">
      <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiPlus" /></svg>{{ say.add }}
    </button>
    <AddThing v-if="adding" @close="adding = false" />
  </div>
</template>

<style scoped>
.things {
  padding: 0 14px 10px 18px;
}
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-bottom: 4px;
}
.tabs > span {
  display: inline-flex;
  align-items: center;
  max-width: 100%;
  border: 1px solid var(--field-line);
  border-radius: var(--r-field);
  background: var(--well);
}
.tabs > .here {
  border-color: var(--plum);
  background: var(--apricot-soft);
}
button {
  border: 0;
  padding: 3px 9px;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.tabs button[role='tab'] {
  overflow: hidden;
  max-width: 150px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.here button[role='tab'] {
  padding-right: 3px;
  font-weight: 600;
}
.tabs .state {
  width: 11px;
  height: 11px;
  margin-right: 5px;
}
.tabs .more {
  display: inline-flex;
  padding: 3px 6px 3px 2px;
}
svg {
  width: 17px;
  height: 17px;
  fill: var(--plum);
}
.tabs .plus {
  display: inline-flex;
  align-items: center;
  border-radius: var(--r-field);
  padding: 3px 5px;
}
.tabs .plus:hover {
  background: var(--apricot-soft);
}
.tabs input {
  width: 110px;
}
.add {
  display: inline-flex;
  gap: 3px;
  align-items: center;
  padding: 2px 0;
  color: var(--plum);
  font-weight: 600;
  font-size: 13px;
}
.add:hover {
  text-decoration: underline;
}
</style>
