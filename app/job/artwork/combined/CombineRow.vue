<script setup lang="ts">
import { computed } from 'vue';
import { tryCommand, type CommandCall } from '../../../../core/job/index.ts';
import { isShapePart, MEETINGS } from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import ShownWays from '../ShownWays.vue';

/** One shape made of those chosen, each way as it would look. */
const props = defineProps<{ desk: DeskState }>();
const say = texts.combined;

const ways = computed(() => {
  const { committedPiece, committedSelection, store } = props.desk;
  if (!committedPiece.value || !store.committed || committedSelection.value.length < 2) return [];
  if (!committedSelection.value.every(isShapePart)) return [];
  const elements = committedSelection.value.map(({ id }) => id);
  const { id: piece } = committedPiece.value;
  return MEETINGS.flatMap((how) => {
    const call: CommandCall = { name: 'combine-elements', args: { piece, elements, how } };
    const job = store.committed && tryCommand(store.committed, call);
    return job ? [{ key: how, call, job, name: say.ways[how] }] : [];
  });
});
</script>

<template>
  <template v-if="ways.length">
    <p class="quiet">{{ say.make }}</p>
    <ShownWays :desk="desk" :ways="ways" @use="desk.addBy" />
  </template>
</template>

<style scoped>
p {
  margin: 6px 0 4px;
}
</style>
