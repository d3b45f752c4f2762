<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { computed, nextTick, onMounted, ref } from 'vue';
import { rowsOn } from '../../../core/piece/index.ts';
import { copyCount } from '../../../core/sheet/index.ts';
import { texts } from '../../texts/index.ts';
import IconButton from '../../ui/IconButton.vue';
import { useHandedFiles } from '../../session/handed-files.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import ListGrid from './ListGrid.vue';
import ListStart from './ListStart.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { useListState } from './list-state.ts';

/** The list of the job below the bench: a table whose rows are walked through on the desk above it. */
const props = defineProps<{ desk: DeskState }>();
const emit = defineEmits<{ close: [] }>();
const { store } = props.desk;
const say = texts.list;
const state = useListState(props.desk);
const handed = useHandedFiles();
/** Whether another table is taken in. */
const taking = ref(false);
const over = ref(false);
const drawer = ref<HTMLElement | null>(null);
const start = ref<InstanceType<typeof ListStart> | null>(null);
const { list, found, rows, sought } = state;
const facts = computed(() => {
  const job = store.job;
  if (!job?.list) return '';
  if (sought.value.trim()) return say.found(found.value.length, rows.value.length);
  const copies = job.pieces.reduce((sum, { id }) => sum + copyCount(job, id), 0);
  return say.facts(rows.value.length, rowsOn(job.list).length, copies);
});
const someOff = computed(() => list.value?.rows.some(({ off }) => off) ?? false);

/** Prints the rows that were found and no others. */
function onlyFound(): void {
  const keys = found.value.map(({ row }) => row.key);
  const meant = new Set(keys);
  const others = rows.value.map(({ row }) => row.key).filter((key) => !meant.has(key));
  store.act({ name: 'switch-rows', args: { rows: others, on: false } }, 'only-found');
  store.act({ name: 'switch-rows', args: { rows: keys, on: true } }, 'only-found');
}

function printAll(): void {
  store.act({
    name: 'switch-rows',
    args: { rows: rows.value.map(({ row }) => row.key), on: true },
  });
}

async function drop(event: DragEvent): Promise<void> {
  over.value = false;
  await takeFiles([...(event.dataTransfer?.files ?? [])]);
}

async function takeFiles(files: readonly File[]): Promise<void> {
  taking.value = true;
  await nextTick();
  await start.value?.takeFile(files);
}
handed.takeAt('list', (files) => void takeFiles(files));

onMounted(() => drawer.value?.focus());
</script>

<template>
  <section
    ref="drawer"
    class="drawer"
    :class="{ over }"
    role="region"
    :aria-label="say.title"
    tabindex="-1"
    @keydown.esc="emit('close')"
    @dragover.prevent.stop="over = true"
    @dragleave.self="over = false"
    @drop.prevent.stop="drop"
  >
    <header>
      <h2 class="display">{{ say.title }}</h2>
      <template v-if="list && !taking">
        <span class="quiet">{{ facts }}</span>
        <input
          v-model="sought"
          class="well find"
          type="search"
          :placeholder="say.find"
          :aria-label="say.find"
          @keydown.stop
        />
        <LinkButton v-if="sought.trim() && found.length" @click="onlyFound">
          {{ say.onlyFound }}
        </LinkButton>
        <LinkButton v-if="someOff" @click="printAll">{{ say.allOn }}</LinkButton>
        <span class="space" />
        <LinkButton @click="taking = true">{{ say.other }}</LinkButton>
        <LinkButton @click="store.act({ name: 'set-list', args: { list: undefined } })">
          {{ say.remove }}
        </LinkButton>
      </template>
      <span v-else class="space" />
      <IconButton :icon="mdiClose" :name="texts.close" @click="emit('close')" />
    </header>
    <ListGrid v-if="list && !taking" :desk="desk" :state="state" />
    <ListStart v-else ref="start" :state="state" @done="taking = false" />
  </section>
</template>

<style scoped>
.drawer {
  display: flex;
  flex: none;
  flex-direction: column;
  height: min(272px, 45%);
  border-top: 1px solid var(--line);
  background: var(--card);
  outline: none;
}
.over {
  outline: 3px dashed var(--apricot);
  outline-offset: -8px;
}
header {
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 4px 8px 4px 18px;
}
h2 {
  color: var(--plum);
  font-size: 17px;
}
.find {
  width: 170px;
}
.space {
  flex: 1;
}
</style>
