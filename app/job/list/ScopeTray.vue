<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { hasOwnArtwork } from '../../../core/job/index.ts';
import { copyId, isByRow, copyIds, type CopyId } from '../../../core/sheet/index.ts';
import { texts } from '../../texts/index.ts';
import IconButton from '../../ui/IconButton.vue';
import LinkButton from '../../ui/LinkButton.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';
import { copyName } from '../common/one-off-facts.ts';

/** Says whether changes go to every copy or to one alone, walks through the rows, and switches between both. */
const props = defineProps<{ desk: DeskState }>();
const { store } = props.desk;
const router = useRouter();
const say = texts.list;
const rows = computed(() => store.job?.list?.rows ?? []);
const at = computed(() => rows.value.findIndex(({ key }) => key === store.row?.key));
const named = computed(() => store.row?.fields[0] ?? '');
/** The copy of the piece that the row fills, where it has one of its own. */
const copy = computed<CopyId | undefined>(() => {
  const [job, piece, row] = [store.job, props.desk.piece.value?.id, store.row];
  if (!job || piece === undefined || !row || !isByRow(job, piece)) return undefined;
  const name = copyId(piece, row.key);
  return copyIds(job, piece).includes(name) ? name : undefined;
});
const alone = computed(() => store.alone);
const own = computed(() => {
  const found = alone.value && store.committed?.oneOffs?.[alone.value];
  return found ? hasOwnArtwork(found) : false;
});
/** The sheet that the copy lies on. */
const sheet = computed(() =>
  store.layout?.sheets.findIndex(({ placements }) =>
    placements.some((one) => one.copy === alone.value),
  ),
);

function walk(by: number): void {
  const next = rows.value[(at.value + by + rows.value.length) % rows.value.length];
  if (next) store.showRow(next.key);
}

function useOnAll(): void {
  if (alone.value && store.act({ name: 'use-on-all', args: { copy: alone.value } }))
    store.showCopy(undefined);
}

function backToPiece(): void {
  if (alone.value) store.act({ name: 'return-one-offs', args: { copies: [alone.value] } });
}

function toSheet(): void {
  void router.push({ name: 'sheet', query: { sheet: sheet.value, copy: alone.value } });
}
</script>

<template>
  <div v-if="alone || rows.length" class="scope bench-tray" :class="{ alone }" role="status">
    <template v-if="alone">
      <span class="mark" />
      <strong class="name">{{ store.committed && copyName(store.committed, alone) }}</strong>
      <span>{{ say.onlyThis }}</span>
      <LinkButton @click="store.showCopy(undefined)">
        {{ say.everyCopy }}
      </LinkButton>
      <LinkButton v-if="own" @click="useOnAll">{{ say.useOnAll }}</LinkButton>
      <LinkButton v-if="own" @click="backToPiece">
        {{ say.backToPiece }}
      </LinkButton>
      <LinkButton v-if="sheet !== undefined && sheet >= 0" @click="toSheet">
        {{ say.toSheet }}
      </LinkButton>
    </template>
    <template v-else>
      <IconButton :icon="mdiChevronLeft" :name="say.before" @click="walk(-1)" />
      <span class="name" :title="named"
        >{{ say.rowOf(at + 1, rows.length) }}<template v-if="named"> · {{ named }}</template></span
      >
      <IconButton :icon="mdiChevronRight" :name="say.after" @click="walk(1)" />
      <span class="quiet">{{ say.toAll }}</span>
      <LinkButton v-if="copy" @click="store.showCopy(copy)">
        {{ say.alone }}
      </LinkButton>
    </template>
  </div>
</template>

<style scoped>
.scope {
  position: absolute;
  top: 102px;
  right: 14px;
  left: 40px;
  z-index: 1;
  display: flex;
  gap: 10px;
  align-items: center;
  width: fit-content;
  max-width: calc(100% - 60px);
  margin: 0 auto;
  padding: 0 14px 0 8px;
  white-space: nowrap;
}
.alone {
  padding: 3px 16px;
  border: 2px solid var(--apricot);
  background: var(--apricot-soft);
}
.name {
  min-width: 0;
  max-width: 220px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.mark {
  flex: none;
  width: 10px;
  height: 10px;
  border: 1.5px solid var(--plum);
  background: var(--apricot);
  transform: rotate(45deg);
}
</style>
