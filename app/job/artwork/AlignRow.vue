<script setup lang="ts">
import {
  mdiAlignHorizontalCenter,
  mdiAlignHorizontalDistribute,
  mdiAlignHorizontalLeft,
  mdiAlignHorizontalRight,
  mdiAlignVerticalBottom,
  mdiAlignVerticalCenter,
  mdiAlignVerticalDistribute,
  mdiAlignVerticalTop,
} from '@mdi/js';
import { computed, onBeforeUnmount } from 'vue';
import { boxAbout, boxAround } from '../../../core/geometry/index.ts';
import type { CommandCall } from '../../../core/job/index.ts';
import { seenBox } from '../../../core/piece/index.ts';
import { texts } from '../../texts/index.ts';
import IconButton from '../../ui/IconButton.vue';
import { movesTo, OUTCOMES, type Movable, type Outcome } from './align.ts';
import type { DeskState } from './desk-state.ts';

/** Bringing elements into line; what is pointed at is shown before it is done. */
const props = defineProps<{ desk: DeskState }>();
const ICONS: Readonly<Record<Outcome, string>> = {
  lefts: mdiAlignHorizontalLeft,
  'middles-across': mdiAlignHorizontalCenter,
  rights: mdiAlignHorizontalRight,
  tops: mdiAlignVerticalTop,
  'middles-down': mdiAlignVerticalCenter,
  bottoms: mdiAlignVerticalBottom,
  'gaps-across': mdiAlignHorizontalDistribute,
  'gaps-down': mdiAlignVerticalDistribute,
};

/** The chosen elements as they stand without a preview; those of a group are one. */
const movables = computed<Movable[]>(() => {
  const { desk } = props;
  const chosen = (desk.settledPiece.value?.elements ?? []).filter(
    ({ element }) => desk.selected.value.includes(element.id) && !element.locked,
  );
  const groups = new Map<string, typeof chosen>();
  for (const one of chosen) {
    const key = one.element.group ?? `alone:${one.element.id}`;
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return [...groups.values()].flatMap((members) => {
    const box = boxAround(members.map(seenBox));
    return box ? [{ ids: members.map(({ element }) => element.id), box }] : [];
  });
});
const several = computed(() => movables.value.length > 1);
const offered = computed(() =>
  OUTCOMES.filter((one) => !one.startsWith('gaps') || movables.value.length > 2),
);
const names = computed(() => (several.value ? texts.exact.outcomes : texts.exact.outcomesOfOne));

function callFor(outcome: Outcome): CommandCall | undefined {
  const { desk } = props;
  const piece = desk.settled.value;
  const { width = 0, height = 0 } = desk.settledPiece.value ?? {};
  if (!piece) return undefined;
  const moves = movesTo(outcome, movables.value, boxAbout({ x: 0, y: 0 }, width, height));
  const changes = Object.fromEntries(
    piece.elements.flatMap(({ id, x, y }) => {
      const move = moves[id];
      return move ? [[id, { x: x + move.dx, y: y + move.dy }] as const] : [];
    }),
  );
  return { name: 'change-elements', args: { piece: piece.id, changes, doing: 'bring into line' } };
}

function show(outcome: Outcome): void {
  const call = callFor(outcome);
  if (call) props.desk.store.preview(call);
}

function act(outcome: Outcome): void {
  const call = callFor(outcome);
  props.desk.store.drop();
  if (call) props.desk.store.act(call);
}

onBeforeUnmount(() => props.desk.store.drop());
</script>

<template>
  <div class="align" role="group" :aria-label="texts.exact.align">
    <span
      v-for="outcome in offered"
      :key="outcome"
      @pointerenter="show(outcome)"
      @pointerleave="desk.store.drop()"
      @focusin="show(outcome)"
      @focusout="desk.store.drop()"
    >
      <IconButton :icon="ICONS[outcome]" :name="names[outcome]" @click="act(outcome)" />
    </span>
  </div>
</template>

<style scoped>
.align {
  display: flex;
  flex-wrap: wrap;
  margin: 0 -6px;
}
</style>
