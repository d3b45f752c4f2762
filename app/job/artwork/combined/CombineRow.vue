<script setup lang="ts">
import { computed, onBeforeUnmount } from 'vue';
import { tryCommand, type CommandCall } from '../../../../core/job/index.ts';
import { isShapePart, MEETINGS } from '../../../../core/piece/index.ts';
import PieceThumbnail from '../../../shelf/PieceThumbnail.vue';
import { texts } from '../../../texts/index.ts';
import type { DeskState } from '../desk-state.ts';

/** One shape made of those chosen, each way as it would look. */
const props = defineProps<{ desk: DeskState }>();
const say = texts.combined;

const ways = computed(() => {
  const { settled, still, store } = props.desk;
  if (!settled.value || !store.settled || still.value.length < 2) return [];
  if (!still.value.every(isShapePart)) return [];
  const elements = still.value.map(({ id }) => id);
  const { id: piece } = settled.value;
  return MEETINGS.flatMap((how) => {
    const call: CommandCall = { name: 'combine-elements', args: { piece, elements, how } };
    const job = store.settled && tryCommand(store.settled, call);
    return job ? [{ how, call, job }] : [];
  });
});

function use(call: CommandCall): void {
  const { store, piece } = props.desk;
  store.drop();
  const before = new Set(piece.value?.elements.map(({ id }) => id));
  if (!store.act(call)) return;
  const made = piece.value?.elements.find(({ id }) => !before.has(id));
  if (made) props.desk.select(made.id);
}

onBeforeUnmount(() => props.desk.store.drop());
</script>

<template>
  <template v-if="ways.length">
    <p class="quiet">{{ say.make }}</p>
    <div class="ways">
      <button
        v-for="way in ways"
        :key="way.how"
        type="button"
        @pointerenter="desk.store.preview(way.call)"
        @pointerleave="desk.store.drop()"
        @focus="desk.store.preview(way.call)"
        @blur="desk.store.drop()"
        @click="use(way.call)"
      >
        <PieceThumbnail :job="way.job" :piece="desk.settled.value?.id ?? ''" />
        <span>{{ say.ways[way.how] }}</span>
      </button>
    </div>
  </template>
</template>

<style scoped>
p {
  margin: 6px 0 4px;
}
.ways {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 6px;
}
.ways button {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 3px;
  min-width: 0;
  border: 1px solid var(--line);
  border-radius: 12px;
  padding: 6px 2px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 11.5px;
  line-height: 1.2;
  cursor: pointer;
}
.ways button:hover {
  border-color: var(--plum);
  background: var(--apricot-soft);
}
.ways svg {
  width: 100%;
  height: 52px;
}
</style>
