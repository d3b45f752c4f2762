<script setup lang="ts">
import { computed } from 'vue';
import { boxAbout, boxAround } from '../../../core/geometry/index.ts';
import type { CommandCall } from '../../../core/job/index.ts';
import { seenBox } from '../../../core/piece/index.ts';
import type { Movable, Moves } from '../align/align.ts';
import AlignRow from '../align/AlignRow.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** Bringing the chosen elements into line, as they stand without a preview; those of a group are one. */
const props = defineProps<{ desk: DeskState }>();

const movables = computed<Movable[]>(() => {
  const { desk } = props;
  const chosen = (desk.committedCompiled.value?.elements ?? []).filter(
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
const frame = computed(() => {
  const { width = 0, height = 0 } = props.desk.committedCompiled.value ?? {};
  return boxAbout({ x: 0, y: 0 }, width, height);
});

function callFor(moves: Moves): CommandCall | undefined {
  const piece = props.desk.committedPiece.value;
  if (!piece) return undefined;
  const changes = Object.fromEntries(
    piece.elements.flatMap(({ id, x, y }) => {
      const move = moves[id];
      return move ? [[id, { x: x + move.dx, y: y + move.dy }] as const] : [];
    }),
  );
  return { name: 'change-elements', args: { piece: piece.id, changes, doing: 'bring into line' } };
}
</script>

<template>
  <AlignRow :movables="movables" :frame="frame" :call-for="callFor" />
</template>
