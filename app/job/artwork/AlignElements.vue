<script setup lang="ts">
import { computed } from 'vue';
import {
  boxAbout,
  boxAround,
  boxOfRings,
  type Box,
  type Point,
} from '../../../core/geometry/index.ts';
import type { CommandCall } from '../../../core/job/index.ts';
import { seenBox } from '../../../core/piece/index.ts';
import { zoneAt, zoneRoom } from '../../../core/things/index.ts';
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
/** One alone is brought to the sides and the middle of the zone in which it stands, or of the piece. */
const frame = computed(() => {
  const { committedCompiled, zones, edge } = props.desk;
  const { width = 0, height = 0 } = committedCompiled.value ?? {};
  const [one] = movables.value;
  const zone = one && zoneAt(zones.value, middleOf(one.box));
  if (!zone || !edge.value) return boxAbout({ x: 0, y: 0 }, width, height);
  const room = zoneRoom(zone, edge.value);
  const along = room.bent ? boxAbout(room.centre, room.width, room.height) : undefined;
  return along ?? boxOfRings(zone.rings) ?? one.box;
});
const middleOf = ({ left, top, right, bottom }: Box): Point => ({
  x: (left + right) / 2,
  y: (top + bottom) / 2,
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
